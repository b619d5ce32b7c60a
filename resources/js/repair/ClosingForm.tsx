import { Link, useForm, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { ulid } from 'ulid';
import { endings, type ProofProps } from '@/repair/proofProps';
import Button from '@/ui/Button';
import Choices from '@/ui/Choices';
import { TextArea, TextField } from '@/ui/Field';

/** How the job ends. */
export default function ClosingForm() {
    const { job, outcomes, never, proved, machine, checks } = usePage<ProofProps>().props;
    const [id] = useState(ulid);
    const usual = job.temporaryUntil ? 'temporary' : (outcomes[0]?.value ?? '');
    // An end that was not earned is chosen by a person, never by one press too many.
    const { data, setData, ...form } = useForm({
        outcome: proved || job.kind === 'remote' ? usual : '',
        reason: '',
        dueOn: job.temporaryUntil ?? '',
        who: '',
    });
    const { outcome } = data;
    const errors: Record<string, string | undefined> = form.errors;
    const chosen = outcomes.find((one) => one.value === outcome);
    const unread = proved && checks.some((check) => check.right === null);
    const always = checks.filter((check) => check.always && check.right === null);
    const submit = (event: React.FormEvent) => {
        event.preventDefault();
        form.transform((given) => ({
            ...given,
            id,
            dueOn: chosen?.needsDay ? given.dueOn : null,
            who: chosen?.needsName ? given.who : null,
        }));
        form.post(`/jobs/${job.id}/close`, { preserveState: 'errors' });
    };
    return (
        <form onSubmit={submit} className="mt-8 max-w-[52em] border-t-2 border-ink pt-3">
            <h2 className="mb-2 text-lg font-semibold">How it ends</h2>
            {machine && always.length > 0 && (
                <p className="mb-3 border-l-4 border-warn bg-caution px-3 py-1.5 font-medium">
                    {never} No note replaces {always.map((check) => check.title.toLowerCase()).join('; ')}.
                </p>
            )}
            <Choices
                label="Outcome"
                value={outcome}
                onChange={(next) => setData('outcome', next)}
                choices={outcomes.map((one) => ({ value: one.value, label: endings[one.value].choice }))}
            />
            {errors['outcome'] && (
                <p role="alert" className="mt-1 font-medium text-bad">
                    {errors['outcome']}
                </p>
            )}
            <div className="mt-3 grid items-start gap-3 sm:grid-cols-[1fr_12rem]">
                <TextArea
                    label={
                        outcome === ''
                            ? 'Why it ends so, or a note'
                            : outcome === 'advised'
                              ? 'What was advised'
                              : outcome === 'not-repaired'
                                ? 'Why not'
                                : outcome === 'not-in-service'
                                  ? 'How it is switched off and secured, and what is missing'
                                  : unread
                                    ? 'Why checks were left out, or a note'
                                    : 'Note'
                    }
                    rows={2}
                    value={data.reason}
                    onChange={(event) => setData('reason', event.target.value)}
                    error={errors['reason']}
                />
                {chosen?.needsDay && (
                    <TextField
                        label={
                            chosen.needsName ? 'Looked at next on' : outcome === 'watched' ? 'Watched until' : 'Due on'
                        }
                        type="date"
                        value={data.dueOn}
                        onChange={(event) => setData('dueOn', event.target.value)}
                        error={errors['dueOn']}
                    />
                )}
            </div>
            {chosen?.needsName && (
                <div className="mt-3 max-w-[26em]">
                    <TextField
                        label={outcome === 'handed-over' ? 'Handed to' : 'Told to'}
                        value={data.who}
                        onChange={(event) => setData('who', event.target.value)}
                        error={errors['who']}
                    />
                </div>
            )}
            {errors['reassembly'] && (
                <p role="alert" className="mt-2 border-l-4 border-bad bg-caution px-3 py-2 font-medium">
                    {errors['reassembly']}{' '}
                    <Link href={`/jobs/${job.id}/strip`} className="underline underline-offset-4">
                        To the strip-down
                    </Link>
                </p>
            )}
            {errors['wires'] && (
                <p role="alert" className="mt-2 border-l-4 border-bad bg-caution px-3 py-2 font-medium">
                    {errors['wires']}{' '}
                    <Link href={`/jobs/${job.id}/wires`} className="underline underline-offset-4">
                        To the wires
                    </Link>
                </p>
            )}
            <Button kind="act" type="submit" disabled={form.processing || outcome === ''} className="mt-3">
                Close the job
            </Button>
        </form>
    );
}

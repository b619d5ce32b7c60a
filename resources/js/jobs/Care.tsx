import { useForm, usePage } from '@inertiajs/react';
import { useState, type ReactNode } from 'react';
import { ulid } from 'ulid';
import { day } from '@/lib/format';
import { word } from '@/lib/payload';
import type { ComplaintPage } from '@/generated/props';
import { useMay } from '@/lib/may';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import Choices from '@/ui/Choices';
import { TextArea, TextField } from '@/ui/Field';
import Select from '@/ui/Select';
import TextLink from '@/ui/TextLink';
import Tick from '@/ui/Tick';

type Props = ComplaintPage & Shared;

function Fold({ title, children }: { title: string; children: ReactNode }) {
    return (
        <details className="border-t border-rule">
            <summary className="min-h-11 cursor-pointer content-center font-medium">{title}</summary>
            <div className="pb-4">{children}</div>
        </details>
    );
}

/** Corrects what was written down when the job was opened. */
function Correct() {
    const { job } = usePage<Props>().props;
    const [id, setId] = useState(ulid);
    const form = useForm({
        unit: job.unit,
        place: job.place ?? '',
        model: job.model ?? '',
        complaint: job.complaint,
        since: job.since ?? '',
        intermittent: job.intermittent,
        replacedBefore: job.replacedBefore ?? '',
        reason: '',
    });
    const field = (key: 'unit' | 'place' | 'model' | 'complaint' | 'since' | 'replacedBefore' | 'reason') => ({
        value: form.data[key],
        onChange: (event: { target: { value: string } }) => form.setData(key, event.target.value),
        error: form.errors[key],
    });
    return (
        <form
            className="flex flex-col gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                form.transform((data) => ({ ...data, id }));
                form.post(`/jobs/${job.id}/correct`, { preserveScroll: true, onSuccess: () => setId(ulid()) });
            }}
        >
            <div className="grid items-start gap-3 sm:grid-cols-3">
                <TextField label="Unit" hint="Another name makes it a job of that unit." {...field('unit')} />
                <TextField label="Place" {...field('place')} />
                <TextField label="Model" {...field('model')} />
            </div>
            <TextField label="Complaint" {...field('complaint')} />
            <div className="grid items-start gap-3 sm:grid-cols-2">
                <TextField label="Since" {...field('since')} />
                <TextField label="Replaced before" {...field('replacedBefore')} />
            </div>
            <Tick checked={form.data.intermittent} onChange={(on) => form.setData('intermittent', on)}>
                It comes and goes
            </Tick>
            <TextField label="Why, in a word" {...field('reason')} />
            <p className="flex flex-wrap items-center gap-4">
                <Button type="submit" disabled={form.processing}>
                    Correct it
                </Button>
                <TextLink href={`/jobs/${job.id}/circuit/other`}>The circuit is another one</TextLink>
            </p>
        </form>
    );
}

function HandOver() {
    const { job, people } = usePage<Props>().props;
    const [id, setId] = useState(ulid);
    const form = useForm({ to: '', note: '' });
    if (people.length === 0) return <p className="text-soft">Nobody else works here yet.</p>;
    return (
        <form
            className="flex flex-col items-start gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                form.transform((data) => ({ ...data, id }));
                form.post(`/jobs/${job.id}/handover`, {
                    preserveScroll: true,
                    onSuccess: () => {
                        setId(ulid());
                        form.reset();
                    },
                });
            }}
        >
            <Select
                label="Who goes on with it"
                empty="Choose"
                choices={people}
                value={form.data.to}
                onChange={(event) => form.setData('to', event.target.value)}
                error={form.errors.to}
            />
            <TextArea
                label="How it stands"
                rows={2}
                hint="In a sentence: what is open, what was tried, what to look out for."
                value={form.data.note}
                onChange={(event) => form.setData('note', event.target.value)}
                error={form.errors.note}
                className="w-full"
            />
            <Button type="submit" disabled={form.processing}>
                Hand it over
            </Button>
        </form>
    );
}

function Cancel() {
    const { job } = usePage<Props>().props;
    const [id] = useState(ulid);
    const form = useForm({ reason: '' });
    const errors: Record<string, string | undefined> = form.errors;
    return (
        <form
            className="flex flex-col items-start gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                form.transform((data) => ({ ...data, id, outcome: 'cancelled' }));
                form.post(`/jobs/${job.id}/close`);
            }}
        >
            <TextField
                label="Why it is cancelled"
                hint="Nothing was done to the machine, and nothing will be."
                value={form.data.reason}
                onChange={(event) => form.setData('reason', event.target.value)}
                error={errors['reason'] ?? errors['outcome']}
                className="w-full"
            />
            <Button type="submit" disabled={form.processing || form.data.reason.trim() === ''}>
                Cancel the job
            </Button>
        </form>
    );
}

function Reopen() {
    const { job } = usePage<Props>().props;
    const [id] = useState(ulid);
    const form = useForm({ cameBack: 'yes', reason: '' });
    return (
        <form
            className="flex flex-col items-start gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                form.transform((data) => ({ ...data, id, cameBack: data.cameBack === 'yes' }));
                form.post(`/jobs/${job.id}/reopen`);
            }}
        >
            <Choices
                label="What happened"
                value={form.data.cameBack}
                choices={[
                    { value: 'yes', label: 'The fault came back' },
                    { value: 'no', label: 'Something has to be set right' },
                ]}
                onChange={(next) => form.setData('cameBack', next)}
            />
            <TextField
                label="Why it is opened again"
                value={form.data.reason}
                onChange={(event) => form.setData('reason', event.target.value)}
                error={form.errors.reason}
                className="w-full"
            />
            <Button type="submit" disabled={form.processing || form.data.reason.trim() === ''}>
                Open it again
            </Button>
        </form>
    );
}

/** Deletes the job for good: its number is typed, so that no other one is meant. */
function Delete() {
    const { job } = usePage<Props>().props;
    const form = useForm({ number: '', reason: '' });
    return (
        <form
            className="flex flex-col items-start gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                form.delete(`/jobs/${job.id}`);
            }}
        >
            <p>
                Its readings, photos and captures go with it, and it counts in no odds any more. That cannot be undone:
                export the job file first where it may be needed. Its number stays taken, and what was replaced and
                ordered stays in what was done, for the books.
            </p>
            <TextField
                label={`Type ${job.number}`}
                value={form.data.number}
                onChange={(event) => form.setData('number', event.target.value)}
                error={form.errors.number}
            />
            <TextField
                label="Why it is deleted"
                value={form.data.reason}
                onChange={(event) => form.setData('reason', event.target.value)}
                error={form.errors.reason}
                className="w-full"
            />
            <Button type="submit" disabled={form.processing || form.data.reason.trim() === ''}>
                Delete it for good
            </Button>
        </form>
    );
}

const called: Record<string, string> = {
    unit: 'unit',
    place: 'place',
    model: 'model',
    complaint: 'complaint',
    since: 'since',
    intermittent: 'shows',
    replacedBefore: 'replaced before',
};

/** What was done to the job as a whole, the oldest first. */
export function Past() {
    const { corrected, handedOver, reopened } = usePage<Props>().props;
    const all = [
        ...corrected.map((one) => ({
            ...one,
            words: Object.keys(one.new)
                .map((key) => `${called[key] ?? key} was “${one.old[key] ?? ''}”`)
                .concat(word(one.reason))
                .filter(Boolean)
                .join('; '),
            act: 'corrected the intake',
        })),
        ...handedOver.map((one) => ({ ...one, words: word(one.note), act: `handed it to ${word(one.to)}` })),
        ...reopened.map((one) => ({
            ...one,
            words: word(one.reason),
            act: one.cameBack ? 'opened it again: the fault came back' : 'opened it again',
        })),
    ].sort((a, b) => (a.at ?? '').localeCompare(b.at ?? ''));
    if (all.length === 0) return null;
    return (
        <ul className="mt-4" aria-label="What was done to this job">
            {all.map((one) => (
                <li key={one.id} className="border-t border-rule py-1.5">
                    <strong className="font-semibold">{one.by}</strong> {one.act}
                    {one.at && <span className="text-soft"> on {day(one.at)}</span>}
                    {one.words !== '' && <>: {one.words}</>}
                </li>
            ))}
        </ul>
    );
}

/** What can be done to the job as a whole, folded: most jobs need none of it. */
export default function Care() {
    const { open, job } = usePage<Props>().props;
    const notes = useMay('note');
    const corrects = useMay('correct');
    const deletes = useMay('delete');
    return (
        <div className="mt-5 border-b border-rule">
            {open && notes && (
                <Fold title="Hand it over">
                    <HandOver />
                </Fold>
            )}
            {open && corrects && (
                <Fold title="Correct what stands here">
                    <Correct key={`${job.unit} ${job.place ?? ''} ${job.complaint}`} />
                </Fold>
            )}
            {open && (
                <Fold title="Cancel the job">
                    <Cancel />
                </Fold>
            )}
            {!open && corrects && (
                <Fold title="Open it again">
                    <Reopen />
                </Fold>
            )}
            {deletes && (
                <Fold title="Delete the job">
                    <Delete />
                </Fold>
            )}
        </div>
    );
}

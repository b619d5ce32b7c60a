import { useForm, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { ulid } from 'ulid';
import { type ProofProps } from '@/repair/proofProps';
import type { CheckShown } from '@/generated/props';
import Button from '@/ui/Button';
import Select from '@/ui/Select';

/** One check beside the map, with what is right and what was read. */
export default function ProofCheck({ check, open, said = [] }: { check: CheckShown; open: boolean; said?: string[] }) {
    const { job, practice } = usePage<ProofProps>().props;
    const answer = practice?.answers[check.test];
    const [id, setId] = useState(ulid);
    const form = useForm({ value: '' });
    const errors: Record<string, string | undefined> = form.errors;
    const { value } = form.data;
    const setValue = (next: string) => form.setData('value', next);
    const submit = (event: React.FormEvent) => {
        event.preventDefault();
        form.transform((data) => ({ ...data, id, test: check.test }));
        form.post(`/jobs/${job.id}/checks`, {
            preserveState: true,
            preserveScroll: true,
            onSuccess: () => {
                setId(ulid());
                form.reset();
            },
        });
    };
    return (
        <li className="border-t border-rule py-2.5" data-check={check.test} data-always={check.always}>
            <p>
                <strong className="font-semibold">{check.title}</strong>{' '}
                <span className="text-soft">{check.setUp}</span>
                {check.always && (
                    <span className="ml-2 font-medium text-bad">
                        {check.complained ? 'complained of, never left out' : 'never left out'}
                    </span>
                )}
            </p>
            {check.complained && check.right !== true && open && (
                <p className="text-soft">Ask it again in the same words, over three starts from rest.</p>
            )}
            {check.right === null &&
                open &&
                check.cautions
                    .filter((caution) => !said.includes(caution))
                    .map((caution) => (
                        <p key={caution} className="my-1 border-l-4 border-warn bg-caution px-3 py-1">
                            {caution}
                        </p>
                    ))}
            <div className="mt-1 flex flex-wrap items-start gap-4">
                <p className="min-h-11 content-center">
                    <span className="text-soft">right is</span> <span className="figure">{check.expected}</span>
                </p>
                {check.read !== null && (
                    <p className="min-h-11 content-center">
                        <span className="text-soft">read</span>{' '}
                        <strong
                            className="figure font-medium"
                            style={{ color: check.right ? 'var(--good)' : 'var(--bad)' }}
                        >
                            {check.read}
                            {check.right ? ', right' : ', not right'}
                        </strong>
                        {check.right === null && (open ? ': measure it once more' : ', and not measured again')}
                    </p>
                )}
                {open && check.right !== true && (
                    <form onSubmit={submit} className="flex flex-wrap items-start gap-2">
                        {check.choices.length > 0 ? (
                            <Select
                                bare
                                label={`${check.title}: it shows`}
                                choices={check.choices}
                                empty="it shows"
                                value={value}
                                onChange={(event) => setValue(event.target.value)}
                                error={errors[check.test]}
                                className="w-56"
                            />
                        ) : (
                            <div>
                                <input
                                    aria-label={`${check.title}, in ${check.unit}`}
                                    placeholder={check.unit}
                                    inputMode="text"
                                    value={value}
                                    onChange={(event) => setValue(event.target.value)}
                                    className="min-h-11 w-36 rounded-[4px] border border-soft/60 bg-sheet px-3"
                                />
                                {errors[check.test] && (
                                    <p role="alert" className="mt-1 font-medium text-bad">
                                        {errors[check.test]}
                                    </p>
                                )}
                            </div>
                        )}
                        {answer && (
                            <Button onClick={() => setValue(answer.choice || answer.value)}>Let it answer</Button>
                        )}
                        <Button type="submit" disabled={form.processing || value === ''}>
                            Check
                        </Button>
                    </form>
                )}
            </div>
        </li>
    );
}

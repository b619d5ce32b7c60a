import { router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { ulid } from 'ulid';
import { countdown } from '@/lib/format';
import type { Procedure, ProcedurePage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import { TextArea, TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

type Props = ProcedurePage & Shared;

/** A procedure to be read whole before it is begun. */
export default function Procedure() {
    const { procedure, asksForCapacitor, own, shipped, lead, job, errors } = usePage<Props>().props;
    const [id] = useState(ulid);
    const [charge, setCharge] = useState({ microfarads: '', ohms: '', volts: '' });
    const [text, setText] = useState<string | null>(null);
    const fields = [
        ['microfarads', 'Capacitance, µF'],
        ['ohms', 'Its bleeder, Ω'],
        ['volts', 'Charged to, V'],
    ] as const;
    return (
        <Frame title={procedure.title} {...(job ? { job } : {})}>
            <div className="mx-auto max-w-[900px] px-5 py-5">
                <p>
                    <TextLink href={job ? `/procedures?job=${job.id}` : '/procedures'}>All procedures</TextLink>
                </p>
                <h1 className="text-[1.7rem] leading-tight font-semibold">{procedure.title}</h1>
                <p className="text-soft">{procedure.summary}</p>
                {procedure.cautions.map((caution) => (
                    <p key={caution} className="mt-2 border-l-4 border-warn bg-caution px-3 py-1.5 font-medium">
                        {caution}
                    </p>
                ))}
                <ol className="mt-5 border-b border-rule">
                    {procedure.steps.map((step, n) => (
                        <li key={n} className="grid grid-cols-[2rem_1fr] border-t border-rule py-2">
                            <span className="figure text-soft">{n + 1}</span>
                            <div>
                                {step.cautions.map((caution) => (
                                    <p key={caution} className="mb-1 border-l-4 border-warn bg-caution px-2 py-0.5">
                                        {caution}
                                    </p>
                                ))}
                                <p>{step.text}</p>
                                {step.wait && (
                                    <p className="text-soft">
                                        Wait {countdown(step.wait.least)} at least
                                        {step.wait.most ? `, ${countdown(step.wait.most)} at most` : ''}.{' '}
                                        {step.wait.reason}
                                    </p>
                                )}
                                {step.expect && (
                                    <p className="text-soft">
                                        Seen: {step.expect}.{step.otherwise ? ` If not: ${step.otherwise}` : ''}
                                    </p>
                                )}
                                {step.confirm && (
                                    <p className="font-medium text-bad">Cannot be undone. {step.confirm}</p>
                                )}
                            </div>
                        </li>
                    ))}
                </ol>
                <h2 className="mt-5 font-semibold">When it is broken off</h2>
                <ul className="list-disc pl-5">
                    {procedure.abort.map((line) => (
                        <li key={line}>{line}</li>
                    ))}
                </ul>
                <form
                    className="mt-6"
                    onSubmit={(event) => {
                        event.preventDefault();
                        router.post(
                            `/procedures/${procedure.key}/runs`,
                            { id, job: job?.id ?? null, ...charge },
                            { preserveState: 'errors' },
                        );
                    }}
                >
                    {asksForCapacitor && (
                        <fieldset className="mb-4">
                            <legend className="font-medium">The capacitor, where it is known</legend>
                            <p className="text-soft">
                                The wait becomes twice the time in which it falls to 30 V, and never less than stands
                                above. A label that says longer wins.
                            </p>
                            <div className="mt-2 grid gap-3 sm:grid-cols-3">
                                {fields.map(([key, label]) => (
                                    <TextField
                                        key={key}
                                        label={label}
                                        value={charge[key]}
                                        inputMode="decimal"
                                        onChange={(event) => setCharge({ ...charge, [key]: event.target.value })}
                                        error={errors[key]}
                                    />
                                ))}
                            </div>
                        </fieldset>
                    )}
                    <Button kind="act" type="submit">
                        {job ? `Begin for ${job.number}` : 'Begin'}
                    </Button>
                </form>
                {lead && (
                    <section aria-labelledby="own" className="mt-8 border-t border-rule pt-3">
                        <h2 id="own" className="text-lg font-semibold">
                            For the lead
                        </h2>
                        {own && (
                            <Button kind="quiet" onClick={() => router.delete(`/procedures/${procedure.key}`)}>
                                {shipped ? 'Back to the text that ships' : 'Remove it'}
                            </Button>
                        )}
                        {text === null ? (
                            <Button
                                kind="quiet"
                                onClick={() =>
                                    setText(
                                        JSON.stringify(
                                            { format: 'ispira-procedure', version: 1, ...procedure },
                                            null,
                                            4,
                                        ),
                                    )
                                }
                            >
                                Change its text
                            </Button>
                        ) : (
                            <form
                                onSubmit={(event) => {
                                    event.preventDefault();
                                    router.post(
                                        '/procedures',
                                        { text },
                                        {
                                            preserveScroll: true,
                                            preserveState: 'errors',
                                            onSuccess: () => setText(null),
                                        },
                                    );
                                }}
                            >
                                <TextArea
                                    label="Procedure as JSON"
                                    rows={20}
                                    mono
                                    value={text}
                                    onChange={(event) => setText(event.target.value)}
                                    error={errors.text}
                                    spellCheck={false}
                                />
                                <Button type="submit" className="mt-2">
                                    Store
                                </Button>
                            </form>
                        )}
                    </section>
                )}
            </div>
        </Frame>
    );
}

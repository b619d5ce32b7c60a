import { Link, router, useForm, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { ulid } from 'ulid';
import RepairNav from '@/repair/RepairNav';
import { day } from '@/lib/format';
import { word } from '@/lib/payload';
import type { SwapPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import { TextArea, TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import Select from '@/ui/Select';
import Tick from '@/ui/Tick';
import TextLink from '@/ui/TextLink';

type Props = SwapPage & Shared;

function Measured() {
    const { job, open, tests, measured } = usePage<Props>().props;
    const [id, setId] = useState(ulid);
    const { data, setData, ...form } = useForm({ test: tests[0]?.key ?? '', value: '', reason: '' });
    const { test, value } = data;
    const errors: Record<string, string | undefined> = form.errors;
    const chosen = tests.find((one) => one.key === test);
    const submit = (event: React.FormEvent) => {
        event.preventDefault();
        form.transform((given) => ({ ...given, id }));
        form.post(`/jobs/${job.id}/measured`, {
            preserveState: true,
            preserveScroll: true,
            onSuccess: () => {
                setId(ulid());
                setData((given) => ({ ...given, value: '', reason: '' }));
            },
        });
    };
    return (
        <section aria-label="New part measured">
            <h2 className="text-lg font-semibold">Measure the new part before it goes in</h2>
            <p className="text-soft">With the set-up that condemned the old one. New is no proof.</p>
            <ul className="mt-1 border-b border-rule">
                {measured.map((one) => (
                    <li key={one.id} className="border-t border-rule py-1.5">
                        {word(one.title)}:{' '}
                        <strong className="font-semibold" style={{ color: one.right ? 'var(--good)' : 'var(--bad)' }}>
                            {one.right ? 'right' : 'not right'}
                        </strong>
                        , a sound one shows {word(one.expected)}
                        {word(one.reason) !== '' ? `. ${word(one.reason)}` : ''}
                    </li>
                ))}
            </ul>
            {open && tests.length > 0 && (
                <form onSubmit={submit} className="mt-3">
                    {chosen?.cautions.map((caution) => (
                        <p key={caution} className="mb-1.5 border-l-4 border-warn bg-caution px-3 py-1.5">
                            {caution}
                        </p>
                    ))}
                    <div className="grid items-start gap-3 sm:grid-cols-[1.6fr_1fr]">
                        <Select
                            label="Test"
                            choices={tests.map((one) => ({ value: one.key, label: one.title }))}
                            value={test}
                            onChange={(event) => {
                                setData({ ...data, test: event.target.value, value: '' });
                            }}
                            error={errors['test']}
                            hint={chosen ? `A sound one shows ${chosen.expected}.` : null}
                        />
                        {chosen && chosen.choices.length > 0 ? (
                            <Select
                                label="It shows"
                                choices={chosen.choices}
                                empty="choose"
                                value={value}
                                onChange={(event) => setData('value', event.target.value)}
                                error={errors['value']}
                            />
                        ) : (
                            <TextField
                                label={`It shows${chosen?.unit ? `, in ${chosen.unit}` : ''}`}
                                inputMode="text"
                                value={value}
                                onChange={(event) => setData('value', event.target.value)}
                                error={errors['value']}
                                hint="OL when over range."
                            />
                        )}
                        {errors['reason'] && (
                            <TextField
                                label="Why it goes in all the same"
                                value={data.reason}
                                onChange={(event) => setData('reason', event.target.value)}
                                error={errors['reason']}
                                className="sm:col-span-2"
                            />
                        )}
                    </div>
                    <Button type="submit" disabled={form.processing || test === '' || value === ''} className="mt-2">
                        Note the new part
                    </Button>
                </form>
            )}
            {open && tests.length === 0 && (
                <p className="mt-1">This part has no test of its own: the proof in place counts.</p>
            )}
        </section>
    );
}

export default function Swap() {
    const { job, open, choice, changes, leading, parts, repairCaution, temporary, procedures, runs, replacements } =
        usePage<Props>().props;
    const [id] = useState(ulid);
    const converts = changes.length > 0;
    const proposed = Array.isArray(choice?.parts) ? choice.parts : [];
    /** What is likeliest stands in front; only what was chosen is ticked. */
    const inFront = proposed.length > 0 ? proposed : leading.split('+');
    const { data, setData, ...form } = useForm({
        parts: proposed.filter((key) => parts.some((part) => part.key === key)),
        done: [] as string[],
        partNumber: typeof choice?.partNumber === 'string' ? choice.partNumber : '',
        note: '',
        bridged: choice?.kind === 'temporary',
        until: '',
    });
    const { parts: chosen, done, bridged } = data;
    const errors: Record<string, string | undefined> = form.errors;
    const canBridge = !converts && temporary !== null && chosen.length === 1 && chosen[0] === temporary.part;
    const ordered = [...parts].sort((a, b) => Number(inFront.includes(b.key)) - Number(inFront.includes(a.key)));
    const submit = (event: React.FormEvent) => {
        event.preventDefault();
        form.transform((given) => ({
            id,
            parts: converts ? [] : given.parts,
            done: given.done,
            partNumber: given.partNumber,
            note: given.note,
            temporaryUntil: canBridge && given.bridged ? given.until : null,
        }));
        form.post(`/jobs/${job.id}/replacements`, { preserveState: 'errors' });
    };
    return (
        <Frame title={`Swap ${job.number}`} job={job} here="remedy">
            <RepairNav job={job.id} here="swap" />
            <div className="mx-auto max-w-[1240px] px-5 py-5">
                <p className="border-l-4 border-warn bg-caution px-3 py-1.5 font-medium">{repairCaution}</p>
                <div className="mt-5 grid gap-10 lg:grid-cols-2">
                    <div className="flex flex-col gap-7">
                        {choice && (
                            <p className="border-l-4 border-lake pl-3">
                                Chosen: <strong className="font-semibold">{word(choice.label)}</strong>.{' '}
                                {word(choice.reason)}
                            </p>
                        )}
                        <Measured />
                        <section aria-label="Procedures">
                            <h2 className="text-lg font-semibold">By its procedure</h2>
                            <p className="text-soft">Step by step, with the waits on the server's clock.</p>
                            <ul className="mt-1 border-b border-rule">
                                {procedures.map((one) => (
                                    <li key={one.key} className="border-t border-rule">
                                        <TextLink href={`/procedures/${one.key}?job=${job.id}`}>{one.title}</TextLink>
                                    </li>
                                ))}
                            </ul>
                            {runs.map((run) => (
                                <p key={run.id} className="mt-1.5">
                                    <Link href={`/runs/${run.id}`} className="text-lake underline underline-offset-4">
                                        {run.title}
                                    </Link>
                                    : {run.state}, {day(run.at)}
                                </p>
                            ))}
                        </section>
                    </div>
                    {open ? (
                        <form onSubmit={submit} className="border-t-2 border-ink pt-3">
                            <h2 className="text-lg font-semibold">
                                {converts ? 'What is converted' : 'What was replaced or repaired'}
                            </h2>
                            {converts && (
                                <fieldset className="my-3">
                                    <legend className="sr-only">Changes</legend>
                                    {changes.map((change) => (
                                        <Tick
                                            key={change}
                                            checked={done.includes(change)}
                                            onChange={(checked) =>
                                                setData(
                                                    'done',
                                                    checked ? [...done, change] : done.filter((one) => one !== change),
                                                )
                                            }
                                        >
                                            {change}
                                        </Tick>
                                    ))}
                                    {errors['done'] && (
                                        <p role="alert" className="mt-1 font-medium text-bad">
                                            {errors['done']}
                                        </p>
                                    )}
                                </fieldset>
                            )}
                            <fieldset className={converts ? 'hidden' : 'my-3'}>
                                <legend className="sr-only">Parts</legend>
                                <div className="flex flex-wrap gap-1.5">
                                    {ordered.map((part) => (
                                        <label
                                            key={part.key}
                                            className="flex min-h-11 items-center gap-2 rounded-[4px] border border-soft/50 bg-sheet px-3 has-checked:border-lake has-checked:bg-lake has-checked:text-sheet"
                                        >
                                            <input
                                                type="checkbox"
                                                checked={chosen.includes(part.key)}
                                                onChange={(event) =>
                                                    setData(
                                                        'parts',
                                                        event.target.checked
                                                            ? [...chosen, part.key]
                                                            : chosen.filter((key) => key !== part.key),
                                                    )
                                                }
                                                className="h-5 w-5 accent-[var(--ink)]"
                                            />
                                            {part.label}
                                        </label>
                                    ))}
                                </div>
                                {errors['parts'] && (
                                    <p role="alert" className="mt-1 font-medium text-bad">
                                        {errors['parts']}
                                    </p>
                                )}
                            </fieldset>
                            {canBridge && (
                                <div className="mb-3">
                                    <Tick checked={bridged} onChange={(next) => setData('bridged', next)}>
                                        {temporary.name}
                                    </Tick>
                                    {bridged && temporary.objection && (
                                        <p
                                            role="alert"
                                            className="border-l-4 border-bad bg-caution px-3 py-2 font-medium"
                                        >
                                            {temporary.objection}
                                        </p>
                                    )}
                                    {bridged && !temporary.objection && (
                                        <>
                                            {temporary.cautions.map((caution) => (
                                                <p
                                                    key={caution}
                                                    className="mt-1 border-l-4 border-warn bg-caution px-3 py-1.5"
                                                >
                                                    {caution}
                                                </p>
                                            ))}
                                            <ol className="mt-2 list-decimal space-y-1 pl-5">
                                                {temporary.steps.map((step) => (
                                                    <li key={step}>{step}</li>
                                                ))}
                                            </ol>
                                            <TextField
                                                label="The part is due on"
                                                type="date"
                                                hint={temporary.days}
                                                max={temporary.latest}
                                                value={data.until}
                                                onChange={(event) => setData('until', event.target.value)}
                                                className="mt-2 max-w-64"
                                            />
                                        </>
                                    )}
                                    {errors['temporaryUntil'] && (
                                        <p role="alert" className="mt-1 font-medium text-bad">
                                            {errors['temporaryUntil']}
                                        </p>
                                    )}
                                </div>
                            )}
                            <div className="grid gap-3 sm:grid-cols-2">
                                <TextField
                                    label="Part number"
                                    value={data.partNumber}
                                    onChange={(event) => setData('partNumber', event.target.value)}
                                    error={errors['partNumber']}
                                />
                                <TextArea
                                    label="Note"
                                    rows={2}
                                    value={data.note}
                                    onChange={(event) => setData('note', event.target.value)}
                                    error={errors['note']}
                                />
                            </div>
                            <Button
                                kind="act"
                                type="submit"
                                disabled={
                                    form.processing ||
                                    (canBridge && bridged && (temporary.objection !== null || data.until === ''))
                                }
                                className="mt-3"
                            >
                                Done, now prove it
                            </Button>
                            {job.flow.includes('proof') && (
                                <p className="mt-4 border-t border-rule pt-3">
                                    Nothing was replaced, and it runs?{' '}
                                    <Button kind="quiet" onClick={() => router.post(`/jobs/${job.id}/to-proof`)}>
                                        Prove it as it is
                                    </Button>
                                </p>
                            )}
                        </form>
                    ) : (
                        <section aria-label="Replaced">
                            <h2 className="text-lg font-semibold">What was replaced or repaired</h2>
                            {replacements.length === 0 && <p className="text-soft">Nothing yet.</p>}
                            {replacements.map((past) => (
                                <p key={past.at} className="border-t border-rule py-1.5">
                                    <strong className="font-semibold">{past.label}</strong>
                                    {past.partNumber && (
                                        <span className="figure text-soft"> {past.partNumber}</span>
                                    )}{' '}
                                    <span className="text-soft">{day(past.at)}</span>
                                    {past.note && <> {past.note}</>}
                                </p>
                            ))}
                        </section>
                    )}
                </div>
            </div>
        </Frame>
    );
}

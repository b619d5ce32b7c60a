import { Link, router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { ulid } from 'ulid';
import ReadingLog from '@/features/ReadingLog';
import SpeedMapEntry from '@/features/SpeedMapEntry';
import SpeedStrip from '@/features/SpeedStrip';
import StillOpen from '@/features/StillOpen';
import { day } from '@/lib/format';
import { word } from '@/lib/payload';
import type {
    CheckShown,
    Ending,
    EntryShown,
    JobHead,
    OpenItem,
    ReadingShown,
    ReplacementShown,
    Shared,
    State,
    Strip,
} from '@/lib/types';
import { useEntry } from '@/lib/useEntry';
import Button from '@/ui/Button';
import Choices from '@/ui/Choices';
import { TextArea, TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import Select from '@/ui/Select';

interface Props extends Shared {
    job: JobHead;
    strip: Strip;
    replacements: ReplacementShown[];
    readings: ReadingShown[];
    open: boolean;
    machine: boolean;
    proved: boolean;
    checks: CheckShown[];
    outcomes: { value: Ending; needsReason: boolean; needsDay: boolean; needsName: boolean }[];
    never: string;
    passes: number | null;
    stillOpen: OpenItem[];
    settled: { what: string; who: string; how: string; at: string | null }[];
    adjusts: { value: string; label: string }[];
    adjusted: EntryShown[];
    loans: EntryShown[];
    closing: EntryShown[];
}

const endings: Record<Ending, { choice: string; heading: string }> = {
    repaired: { choice: 'Repaired', heading: 'Repaired. Every position is right.' },
    temporary: { choice: 'Temporary', heading: 'Temporary. Every position is right for now.' },
    'not-repaired': { choice: 'Not repaired', heading: 'Not repaired.' },
    'proven-good': { choice: 'Proven good, back in service', heading: 'Proven good, and back in service.' },
    adjusted: { choice: 'Adjusted', heading: 'Adjusted. Every position is right.' },
    advised: { choice: 'Advised', heading: 'Advised.' },
    watched: { choice: 'Repaired, to be watched', heading: 'Repaired as far as can be told, to be watched.' },
    'not-in-service': { choice: 'Not in service', heading: 'Not in service. It must not be switched on.' },
    'handed-over': {
        choice: 'Handed to a licensed person',
        heading: 'Not in service until a licensed person has proved it safe.',
    },
};

function Map() {
    const { job, strip, proved, passes, errors } = usePage<Props>().props;
    const [id] = useState(ulid);
    const [again, setAgain] = useState(false);
    const [provokedBy, setProvokedBy] = useState('');
    const [states, setStates] = useState<Record<string, State | undefined>>({});
    const [sending, setSending] = useState(false);
    const submit = (event: React.FormEvent) => {
        event.preventDefault();
        setSending(true);
        router.post(
            `/jobs/${job.id}/proof`,
            {
                id,
                provokedBy: passes === null ? null : provokedBy,
                states: Object.fromEntries(strip.cells.map((cell) => [cell.key, states[cell.key] ?? null])),
            },
            {
                preserveState: 'errors',
                onFinish: () => setSending(false),
            },
        );
    };
    if (proved && !again)
        return (
            <>
                <p className="text-lg">
                    <span className="text-good" aria-hidden="true">
                        ●{' '}
                    </span>
                    Every position was tried again, and each of them is right.
                </p>
                {passes !== null && (
                    <p className="mt-1 flex flex-wrap items-baseline gap-x-4">
                        <span>
                            It came and went: {passes} of 3 passes were right. Bring on what used to bring it on, and
                            run it again.
                        </span>
                        <Button onClick={() => setAgain(true)}>Another pass</Button>
                    </p>
                )}
            </>
        );
    return (
        <form onSubmit={submit}>
            <p className="my-3 border-l-4 border-warn bg-caution px-3 py-1.5 font-medium">
                It runs during the proof. Hands, sleeves and tools out of the wheel or the linkage; bare ends insulated
                first.
            </p>
            <p className="mb-3 max-w-[60em]">
                Before closing up, run every position. A lowest speed that barely turns is no pass. If one of them is
                not right, the job goes back to the bench with this map as readings, and the verdict is marked as not
                having held.
            </p>
            <SpeedMapEntry
                legend="What it does now"
                cells={strip.cells}
                states={states}
                onChange={setStates}
                error={errors.states ?? errors.id}
            />
            {passes !== null && (
                <TextField
                    label="With what used to bring it on"
                    hint="Warm, wet, bumps, steering turned, after an hour: what was it this time?"
                    value={provokedBy}
                    onChange={(event) => setProvokedBy(event.target.value)}
                    error={errors.provokedBy}
                    className="mt-3 max-w-[34em]"
                />
            )}
            <Button kind="act" type="submit" disabled={sending} className="mt-4">
                Record the proof
            </Button>
        </form>
    );
}

function Check({ check, open, said = [] }: { check: CheckShown; open: boolean; said?: string[] }) {
    const { job, errors } = usePage<Props>().props;
    const [id, setId] = useState(ulid);
    const [value, setValue] = useState('');
    const [sending, setSending] = useState(false);
    const submit = (event: React.FormEvent) => {
        event.preventDefault();
        setSending(true);
        router.post(
            `/jobs/${job.id}/checks`,
            { id, test: check.test, value },
            {
                preserveState: true,
                preserveScroll: true,
                onSuccess: () => {
                    setId(ulid());
                    setValue('');
                },
                onFinish: () => setSending(false),
            },
        );
    };
    return (
        <li className="border-t border-rule py-2.5" data-check={check.test} data-always={check.always}>
            <p>
                <strong className="font-semibold">{check.title}</strong>{' '}
                <span className="text-soft">{check.setUp}</span>
                {check.always && <span className="ml-2 font-medium text-bad">never left out</span>}
            </p>
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
                {check.right !== null && (
                    <p className="min-h-11 content-center">
                        <span className="text-soft">read</span>{' '}
                        <strong
                            className="figure font-medium"
                            style={{ color: check.right ? 'var(--good)' : 'var(--bad)' }}
                        >
                            {check.read}
                            {check.right ? ', right' : ', not right'}
                        </strong>
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
                        <Button type="submit" disabled={sending || value === ''}>
                            Check
                        </Button>
                    </form>
                )}
            </div>
        </li>
    );
}

function Adjustment() {
    const { job, adjusted, adjusts, open, errors } = usePage<Props>().props;
    const { note, sending } = useEntry(job.id);
    const none = { of: '', what: '', before: '', after: '', undoOn: '' };
    const [draft, setDraft] = useState(none);
    const [here, setHere] = useState(false);
    return (
        <section aria-label="Adjustment" className="mt-6">
            <h2 className="text-lg font-semibold">What is adjusted</h2>
            {adjusted.map((one) => (
                <p key={one.id} className="border-t border-rule py-1.5">
                    <strong className="font-semibold">{word(one.what)}</strong>: from {word(one.before)} to{' '}
                    {word(one.after)}
                    {typeof one.undoOn === 'string' && one.undoOn !== '' ? `, to be undone on ${day(one.undoOn)}` : ''}
                </p>
            ))}
            {open && (
                <>
                    <p className="my-2 border-l-4 border-warn bg-caution px-3 py-1.5">
                        Power off and locked before a tap moves. One tap only is live; the idle ones are capped. Never
                        lower a heat speed until the rise leaves the plate's range.
                    </p>
                    <form
                        onSubmit={(event) => {
                            event.preventDefault();
                            setHere(true);
                            note('adjusted', draft, () => {
                                setDraft(none);
                                setHere(false);
                            });
                        }}
                        className="grid items-start gap-3 sm:grid-cols-[1.4fr_1fr_1fr_11rem_auto]"
                    >
                        {adjusts.length > 0 ? (
                            <Select
                                label="What"
                                empty="choose"
                                choices={adjusts}
                                value={draft.of}
                                onChange={(event) =>
                                    setDraft({
                                        ...draft,
                                        of: event.target.value,
                                        what: adjusts.find((one) => one.value === event.target.value)?.label ?? '',
                                    })
                                }
                                error={here ? errors.what : undefined}
                            />
                        ) : (
                            <TextField
                                label="What"
                                value={draft.what}
                                onChange={(event) => setDraft({ ...draft, what: event.target.value })}
                                error={here ? errors.what : undefined}
                            />
                        )}
                        <TextField
                            label="From"
                            value={draft.before}
                            onChange={(event) => setDraft({ ...draft, before: event.target.value })}
                            error={here ? errors.before : undefined}
                        />
                        <TextField
                            label="To"
                            value={draft.after}
                            onChange={(event) => setDraft({ ...draft, after: event.target.value })}
                            error={here ? errors.after : undefined}
                        />
                        <TextField
                            label="Undo on"
                            type="date"
                            value={draft.undoOn}
                            onChange={(event) => setDraft({ ...draft, undoOn: event.target.value })}
                            error={here ? errors.undoOn : undefined}
                        />
                        <Button type="submit" disabled={sending} className="mt-7">
                            Note it
                        </Button>
                    </form>
                </>
            )}
        </section>
    );
}

function Lent() {
    const { job, loans, errors } = usePage<Props>().props;
    const { note, sending } = useEntry(job.id);
    const none = { what: '', to: '', dueOn: '' };
    const [draft, setDraft] = useState(none);
    const [here, setHere] = useState(false);
    return (
        <details className="mt-6 border-t border-rule pt-2" open={loans.length > 0}>
            <summary className="min-h-11 cursor-pointer content-center font-medium">Something lent out with it</summary>
            {loans.map((one) => (
                <p key={one.id} className="border-t border-rule py-1.5">
                    <strong className="font-semibold">{word(one.what)}</strong> to {word(one.to)}, back on{' '}
                    {day(word(one.dueOn))}
                </p>
            ))}
            <form
                onSubmit={(event) => {
                    event.preventDefault();
                    setHere(true);
                    note('loan', draft, () => {
                        setDraft(none);
                        setHere(false);
                    });
                }}
                className="grid items-start gap-3 sm:grid-cols-[1.4fr_1fr_11rem_auto]"
            >
                <TextField
                    label="What is lent"
                    value={draft.what}
                    onChange={(event) => setDraft({ ...draft, what: event.target.value })}
                    error={here ? errors.what : undefined}
                />
                <TextField
                    label="To whom"
                    value={draft.to}
                    onChange={(event) => setDraft({ ...draft, to: event.target.value })}
                    error={here ? errors.to : undefined}
                />
                <TextField
                    label="Back on"
                    type="date"
                    value={draft.dueOn}
                    onChange={(event) => setDraft({ ...draft, dueOn: event.target.value })}
                    error={here ? errors.dueOn : undefined}
                />
                <Button type="submit" disabled={sending} className="mt-7">
                    Lend it
                </Button>
            </form>
        </details>
    );
}

function Closing() {
    const { job, outcomes, never, proved, machine, checks, errors } = usePage<Props>().props;
    const [id] = useState(ulid);
    const usual = proved
        ? job.temporaryUntil
            ? 'temporary'
            : outcomes[0]?.value
        : (outcomes.find((one) => one.value === 'not-repaired' || one.value === 'not-in-service')?.value ??
          outcomes[0]?.value);
    const [outcome, setOutcome] = useState<string>(machine ? (usual ?? '') : (outcomes[0]?.value ?? ''));
    const [reason, setReason] = useState('');
    const [dueOn, setDueOn] = useState(job.temporaryUntil ?? '');
    const [who, setWho] = useState('');
    const [sending, setSending] = useState(false);
    const chosen = outcomes.find((one) => one.value === outcome);
    const unread = proved && checks.some((check) => check.right === null);
    const always = checks.filter((check) => check.always && check.right === null);
    const submit = (event: React.FormEvent) => {
        event.preventDefault();
        setSending(true);
        router.post(
            `/jobs/${job.id}/close`,
            { id, outcome, reason, dueOn: chosen?.needsDay ? dueOn : null, who: chosen?.needsName ? who : null },
            { preserveState: 'errors', onFinish: () => setSending(false) },
        );
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
                onChange={setOutcome}
                choices={outcomes.map((one) => ({ value: one.value, label: endings[one.value].choice }))}
            />
            {errors.outcome && (
                <p role="alert" className="mt-1 font-medium text-bad">
                    {errors.outcome}
                </p>
            )}
            <div className="mt-3 grid items-start gap-3 sm:grid-cols-[1fr_12rem]">
                <TextArea
                    label={
                        outcome === 'advised'
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
                    value={reason}
                    onChange={(event) => setReason(event.target.value)}
                    error={errors.reason}
                />
                {chosen?.needsDay && (
                    <TextField
                        label={
                            chosen.needsName ? 'Looked at next on' : outcome === 'watched' ? 'Watched until' : 'Due on'
                        }
                        type="date"
                        value={dueOn}
                        onChange={(event) => setDueOn(event.target.value)}
                        error={errors.dueOn}
                    />
                )}
            </div>
            {chosen?.needsName && (
                <div className="mt-3 max-w-[26em]">
                    <TextField
                        label={outcome === 'handed-over' ? 'Handed to' : 'Told to'}
                        value={who}
                        onChange={(event) => setWho(event.target.value)}
                        error={errors.who}
                    />
                </div>
            )}
            {errors.reassembly && (
                <p role="alert" className="mt-2 border-l-4 border-bad bg-caution px-3 py-2 font-medium">
                    {errors.reassembly}{' '}
                    <Link href={`/jobs/${job.id}/strip`} className="underline underline-offset-4">
                        To the strip-down
                    </Link>
                </p>
            )}
            {errors.wires && (
                <p role="alert" className="mt-2 border-l-4 border-bad bg-caution px-3 py-2 font-medium">
                    {errors.wires}{' '}
                    <Link href={`/jobs/${job.id}/wires`} className="underline underline-offset-4">
                        To the wires
                    </Link>
                </p>
            )}
            <Button kind="act" type="submit" disabled={sending || outcome === ''} className="mt-3">
                Close the job
            </Button>
        </form>
    );
}

export default function Proof() {
    const { job, strip, replacements, readings, open, machine, proved, checks, adjusted, closing, stillOpen, settled } =
        usePage<Props>().props;
    const due = checks.filter((check) => check.right === null);
    /** What holds for each check that is still due stands before all of them, once. */
    const said = (due[0]?.cautions ?? []).filter((caution) => due.every((check) => check.cautions.includes(caution)));
    const ending = job.outcome ? endings[job.outcome] : null;
    const reason = closing
        .map((one) => one.reason)
        .filter((one): one is string => typeof one === 'string' && one !== '')
        .join(' ');
    return (
        <Frame title={`${machine ? 'Proof' : 'Close'} ${job.number}`} job={job} here="proof">
            {machine && <SpeedStrip strip={strip} />}
            <div className="mx-auto max-w-[1180px] px-5 py-5">
                {open ? (
                    <>
                        <h1 className="text-[1.6rem] leading-tight font-semibold">
                            {machine ? 'The same map again' : 'The end of the job'}
                        </h1>
                        {job.kind === 'adjustment' && <Adjustment />}
                        {machine && <Map />}
                        {proved && checks.length > 0 && (
                            <section aria-label="Checks" className="mt-6">
                                <h2 className="text-lg font-semibold">What else the fault had touched</h2>
                                {said.map((caution) => (
                                    <p
                                        key={caution}
                                        className="my-1 border-l-4 border-warn bg-caution px-3 py-1.5 font-medium"
                                    >
                                        {caution}
                                    </p>
                                ))}
                                <ul className="border-b border-rule">
                                    {checks.map((check) => (
                                        <Check key={check.test} check={check} said={said} open />
                                    ))}
                                </ul>
                            </section>
                        )}
                        <Lent />
                        <Closing />
                    </>
                ) : (
                    <>
                        <p className="text-soft">Closed {job.closedAt ? day(job.closedAt) : ''}</p>
                        <h1 className="text-[1.8rem] leading-tight font-semibold">
                            {ending?.heading ??
                                (job.temporaryUntil ? endings.temporary.heading : endings.repaired.heading)}
                        </h1>
                        {reason && <p className="mt-1 max-w-[60em]">{reason}</p>}
                        {job.outcome === 'temporary' && job.dueOn && (
                            <p className="mt-2 border-l-4 border-warn bg-caution px-3 py-2 font-medium">
                                Not repaired: the part is due on {day(job.dueOn)}.
                            </p>
                        )}
                        {job.outcome === 'adjusted' && job.dueOn && (
                            <p className="mt-2 border-l-4 border-warn bg-caution px-3 py-2 font-medium">
                                To be undone on {day(job.dueOn)}.
                            </p>
                        )}
                        {adjusted.map((one) => (
                            <p key={one.id} className="mt-1">
                                {word(one.what)}: from {word(one.before)} to {word(one.after)}.
                            </p>
                        ))}
                        {checks.some((check) => check.right !== null) && (
                            <section aria-label="Checks" className="mt-5">
                                <h2 className="text-lg font-semibold">Checks</h2>
                                <ul className="border-b border-rule">
                                    {checks
                                        .filter((check) => check.right !== null)
                                        .map((check) => (
                                            <Check key={check.test} check={check} open={false} />
                                        ))}
                                </ul>
                            </section>
                        )}
                    </>
                )}
                {(stillOpen.length > 0 || settled.length > 0) && (
                    <section aria-label="Still open" className="mt-8">
                        <h2 className="text-lg font-semibold">Still open</h2>
                        {stillOpen.length === 0 && <p className="text-soft">Nothing any more.</p>}
                        <StillOpen job={job.id} items={stillOpen} />
                        {settled.map((one) => (
                            <p key={one.what} className="mt-1 text-soft">
                                {one.what}: settled by {one.who}, {one.how}
                            </p>
                        ))}
                    </section>
                )}
                <div className="mt-8 grid gap-10 lg:grid-cols-2">
                    <section aria-label="What was done">
                        <h2 className="mb-1 text-lg font-semibold">What was done</h2>
                        {replacements.length === 0 && (
                            <p className="border-t border-rule py-2 text-soft">Nothing was replaced.</p>
                        )}
                        {replacements.map((past) => (
                            <div key={past.at} className="border-t border-rule py-2">
                                <p>
                                    <strong className="font-semibold">{past.label}</strong>
                                    {past.partNumber && (
                                        <span className="figure text-soft"> {past.partNumber}</span>
                                    )}{' '}
                                    <span className="text-soft">{day(past.at)}</span>
                                </p>
                                {past.note && <p>{past.note}</p>}
                            </div>
                        ))}
                        <p className="mt-3 flex flex-wrap gap-x-5">
                            <a
                                href={`/jobs/${job.id}/sheet/customer.pdf`}
                                className="inline-flex min-h-11 items-center text-lake underline underline-offset-4"
                            >
                                Sheet for the customer
                            </a>
                            <a
                                href={`/jobs/${job.id}/sheet/file.pdf`}
                                className="inline-flex min-h-11 items-center text-lake underline underline-offset-4"
                            >
                                Sheet for the file
                            </a>
                            <a
                                href={`/jobs/${job.id}/file`}
                                className="inline-flex min-h-11 items-center text-lake underline underline-offset-4"
                                download
                            >
                                Export the job file
                            </a>
                            <Link
                                href="/"
                                className="inline-flex min-h-11 items-center text-lake underline underline-offset-4"
                            >
                                All jobs
                            </Link>
                        </p>
                    </section>
                    <section aria-label="Readings">
                        <h2 className="mb-1 text-lg font-semibold">Readings</h2>
                        <ReadingLog
                            jobId={job.id}
                            readings={readings.filter((reading) => reading.map === null)}
                            open={false}
                        />
                    </section>
                </div>
            </div>
        </Frame>
    );
}

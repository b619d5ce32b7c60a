import { router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import PhotoPick from '@/log/PhotoPick';
import RepairNav from '@/repair/RepairNav';
import type { DownEntry, FoundEntry, KitShown, StepBack, StripPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import { useEntry } from '@/repair/useEntry';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import Select from '@/ui/Select';
import Tick from '@/ui/Tick';

type Props = StripPage & Shared;

const conditions = [
    { value: 'missing', label: 'missing' },
    { value: 'stripped', label: 'stripped' },
    { value: 'pried', label: 'pried or cracked' },
    { value: 'swapped', label: 'swapped' },
    { value: 'not-original', label: 'not original' },
    { value: 'damaged', label: 'damaged' },
];

const sorts = [
    { value: 'tool', label: 'Tools' },
    { value: 'consumable', label: 'Consumables' },
    { value: 'carry-over', label: 'Moves from old to new' },
    { value: 'restore', label: 'Lost with the battery off: set again' },
];

const noStep = {
    what: '',
    fastener: '',
    length: '',
    count: '',
    where: '',
    clip: '',
    irreversible: false,
    behind: '',
    alternative: '',
    alternativeMinutes: '',
    confirmed: false,
    photo: '',
};

function AsFound({ job, open, found }: { job: string; open: boolean; found: FoundEntry[] }) {
    const { errors } = usePage<Shared>().props;
    const { note, sending } = useEntry(job);
    const none = { what: '', condition: 'missing', count: '', note: '', photo: '' };
    const [draft, setDraft] = useState(none);
    const [here, setHere] = useState(false);
    return (
        <section aria-label="As found">
            <h2 className="text-lg font-semibold">As found, before anything is touched</h2>
            {found.length === 0 && (
                <p className="text-soft">
                    Nothing noted. What is missing or broken now is on record before it can be disputed.
                </p>
            )}
            <ul className="border-b border-rule">
                {found.map((one) => (
                    <li key={one.id} className="flex items-center gap-3 border-t border-rule py-1.5">
                        {one.photo && (
                            <img
                                src={`/jobs/${job}/photos/${one.photo}`}
                                alt={one.what}
                                className="h-11 w-16 object-cover"
                            />
                        )}
                        <span className="flex-1">
                            <strong className="font-semibold">{one.what}</strong>:{' '}
                            {conditions.find((c) => c.value === one.condition)?.label}
                            {(one.count ?? 0) > 0 && <span className="figure">, {one.count}</span>}
                            {one.note && <span className="text-soft"> {one.note}</span>}
                        </span>
                        {open && (
                            <Button
                                kind="quiet"
                                aria-label={`Take back ${one.what}`}
                                onClick={() => note('removed', { of: one.id })}
                            >
                                Take back
                            </Button>
                        )}
                    </li>
                ))}
            </ul>
            {open && (
                <form
                    onSubmit={(event) => {
                        event.preventDefault();
                        setHere(true);
                        note('found', { ...draft, count: draft.count === '' ? 0 : draft.count }, () => {
                            setDraft(none);
                            setHere(false);
                        });
                    }}
                    className="mt-3 grid items-start gap-3 sm:grid-cols-[1.4fr_1fr_5rem]"
                >
                    <TextField
                        label="What"
                        value={draft.what}
                        onChange={(event) => setDraft({ ...draft, what: event.target.value })}
                        error={here ? errors.what : undefined}
                    />
                    <Select
                        label="How it is"
                        choices={conditions}
                        value={draft.condition}
                        onChange={(event) => setDraft({ ...draft, condition: event.target.value })}
                    />
                    <TextField
                        label="Count"
                        inputMode="numeric"
                        value={draft.count}
                        onChange={(event) => setDraft({ ...draft, count: event.target.value })}
                        error={here ? errors.count : undefined}
                    />
                    <PhotoPick
                        job={job}
                        caption={draft.what}
                        value={draft.photo}
                        onChange={(photo) => setDraft({ ...draft, photo })}
                    />
                    <Button type="submit" disabled={sending} className="self-end">
                        Note it
                    </Button>
                </form>
            )}
        </section>
    );
}

function KitList({ job, open, kit, route }: { job: string; open: boolean; kit: KitShown[]; route: Props['route'] }) {
    const { errors } = usePage<Shared>().props;
    const { note, sending } = useEntry(job);
    const [draft, setDraft] = useState({ sort: 'tool', what: '' });
    const [here, setHere] = useState(false);
    const missing = (route?.kit ?? []).filter(
        (past) => !kit.some((one) => one.what === past.what && one.sort === past.sort),
    );
    return (
        <section aria-label="Kit">
            <h2 className="text-lg font-semibold">Kit</h2>
            {kit.length === 0 && <p className="text-soft">Nothing listed yet.</p>}
            {sorts.map((sort) => {
                const items = kit.filter((one) => one.sort === sort.value);
                return items.length === 0 ? null : (
                    <div key={sort.value} className="mt-1">
                        <h3 className="text-soft">{sort.label}</h3>
                        <ul>
                            {items.map((one) => (
                                <li key={one.id} className="flex items-center justify-between border-t border-rule">
                                    <Tick
                                        checked={one.ready}
                                        disabled={!open || one.ready}
                                        onChange={() => note('kit-ready', { of: one.id })}
                                    >
                                        {one.what}
                                        {one.substitute && <span className="text-soft"> ({one.substitute})</span>}
                                    </Tick>
                                    {open && !one.ready && (
                                        <Button
                                            kind="quiet"
                                            aria-label={`Take back ${one.what}`}
                                            onClick={() => note('removed', { of: one.id })}
                                        >
                                            Take back
                                        </Button>
                                    )}
                                </li>
                            ))}
                        </ul>
                    </div>
                );
            })}
            {open && missing.length > 0 && (
                <Button className="mt-2" onClick={() => router.post(`/jobs/${job}/kit`, {}, { preserveScroll: true })}>
                    Take the {missing.length} things of {route?.job}
                </Button>
            )}
            {open && (
                <form
                    onSubmit={(event) => {
                        event.preventDefault();
                        setHere(true);
                        note('kit', draft, () => {
                            setDraft({ ...draft, what: '' });
                            setHere(false);
                        });
                    }}
                    className="mt-3 grid items-start gap-3 sm:grid-cols-[1fr_1.4fr_auto]"
                >
                    <Select
                        label="Sort"
                        choices={sorts}
                        value={draft.sort}
                        onChange={(event) => setDraft({ ...draft, sort: event.target.value })}
                    />
                    <TextField
                        label="Thing"
                        value={draft.what}
                        onChange={(event) => setDraft({ ...draft, what: event.target.value })}
                        error={here ? errors.what : undefined}
                    />
                    <Button type="submit" disabled={sending} className="mt-7">
                        Add
                    </Button>
                </form>
            )}
        </section>
    );
}

function Facts({ step }: { step: DownEntry }) {
    const facts = [
        step.count > 0
            ? `${step.count} × ${step.fastener ?? 'fastener'}${step.length ? `, ${step.length}` : ''}`
            : null,
        step.where ? `put ${step.where}` : null,
        step.clip ? `clip: ${step.clip}` : null,
    ].filter(Boolean);
    return (
        <>
            {facts.length > 0 && <span className="block text-soft">{facts.join('; ')}</span>}
            {step.irreversible && (
                <span className="block font-medium text-warn">
                    Cannot be undone. Behind it: {step.behind}. The other way: {step.alternative},{' '}
                    {step.alternativeMinutes} min.
                </span>
            )}
        </>
    );
}

function Dismantle({
    job,
    open,
    down,
    steps,
    route,
}: {
    job: string;
    open: boolean;
    down: DownEntry[];
    steps: StepBack[];
    route: Props['route'];
}) {
    const { errors } = usePage<Shared>().props;
    const { note, sending } = useEntry(job);
    const [draft, setDraft] = useState(noStep);
    const [here, setHere] = useState(false);
    const problem = (field: string) => (here ? errors[field] : undefined);
    const planned = route?.steps[down.length];
    const begun = steps.some((step) => step.done || step.back > 0);
    return (
        <section aria-label="Taken off">
            <h2 className="text-lg font-semibold">Taken off, in order</h2>
            {down.length === 0 && <p className="text-soft">Nothing is off yet.</p>}
            <ol className="border-b border-rule">
                {down.map((step, n) => (
                    <li
                        key={step.id}
                        className="grid grid-cols-[1.8rem_minmax(0,1fr)_auto] items-start gap-x-2 border-t border-rule py-1.5"
                    >
                        <span className="figure text-soft">{n + 1}</span>
                        <span>
                            <strong className="font-semibold">{step.what}</strong>
                            <Facts step={step} />
                        </span>
                        <span className="flex items-center gap-2">
                            {step.photo && (
                                <img
                                    src={`/jobs/${job}/photos/${step.photo}`}
                                    alt={step.what}
                                    className="h-11 w-16 object-cover"
                                />
                            )}
                            {open && !begun && n === down.length - 1 && (
                                <Button
                                    kind="quiet"
                                    aria-label={`Take back ${step.what}`}
                                    onClick={() => note('removed', { of: step.id })}
                                >
                                    Take back
                                </Button>
                            )}
                        </span>
                    </li>
                ))}
            </ol>
            {open && (
                <form
                    onSubmit={(event) => {
                        event.preventDefault();
                        setHere(true);
                        note('down', { ...draft, count: draft.count === '' ? 0 : draft.count }, () => {
                            setDraft(noStep);
                            setHere(false);
                        });
                    }}
                    className="mt-3"
                >
                    {planned && (
                        <p className="mb-2 border-l-4 border-lake pl-3">
                            Next on the route of {route.job}: <strong className="font-semibold">{planned.what}</strong>.{' '}
                            <Button
                                kind="quiet"
                                onClick={() =>
                                    setDraft({
                                        ...noStep,
                                        what: planned.what,
                                        fastener: planned.fastener ?? '',
                                        length: planned.length ?? '',
                                        count: String(planned.count),
                                        where: planned.where ?? '',
                                        clip: planned.clip ?? '',
                                    })
                                }
                            >
                                Take it as the step
                            </Button>
                        </p>
                    )}
                    <div className="grid items-start gap-3 sm:grid-cols-[2fr_1.2fr_1fr_5rem]">
                        <TextField
                            label="What comes off"
                            value={draft.what}
                            onChange={(event) => setDraft({ ...draft, what: event.target.value })}
                            error={problem('what')}
                        />
                        <TextField
                            label="Fastener, head and size"
                            placeholder="hex 8 mm"
                            value={draft.fastener}
                            onChange={(event) => setDraft({ ...draft, fastener: event.target.value })}
                        />
                        <TextField
                            label="Length"
                            placeholder="16 mm"
                            value={draft.length}
                            onChange={(event) => setDraft({ ...draft, length: event.target.value })}
                        />
                        <TextField
                            label="How many"
                            inputMode="numeric"
                            value={draft.count}
                            onChange={(event) => setDraft({ ...draft, count: event.target.value })}
                            error={problem('count')}
                        />
                        <TextField
                            label="Put where"
                            value={draft.where}
                            onChange={(event) => setDraft({ ...draft, where: event.target.value })}
                        />
                        <TextField
                            label="Connector, clip, hidden catch"
                            value={draft.clip}
                            onChange={(event) => setDraft({ ...draft, clip: event.target.value })}
                        />
                        <div className="sm:col-span-2">
                            <PhotoPick
                                job={job}
                                caption={draft.what}
                                value={draft.photo}
                                onChange={(photo) => setDraft({ ...draft, photo })}
                            />
                        </div>
                    </div>
                    <Tick
                        checked={draft.irreversible}
                        onChange={(irreversible) => setDraft({ ...draft, irreversible })}
                    >
                        This cannot be undone: drilling, cutting, shaving, digging out
                    </Tick>
                    {draft.irreversible && (
                        <div className="border-l-4 border-warn bg-caution px-3 py-2">
                            <div className="grid items-start gap-3 sm:grid-cols-[1.4fr_1.4fr_7rem]">
                                <TextField
                                    label="What lies behind"
                                    value={draft.behind}
                                    onChange={(event) => setDraft({ ...draft, behind: event.target.value })}
                                    error={problem('behind')}
                                />
                                <TextField
                                    label="The other way"
                                    value={draft.alternative}
                                    onChange={(event) => setDraft({ ...draft, alternative: event.target.value })}
                                    error={problem('alternative')}
                                />
                                <TextField
                                    label="Its minutes"
                                    inputMode="decimal"
                                    value={draft.alternativeMinutes}
                                    onChange={(event) => setDraft({ ...draft, alternativeMinutes: event.target.value })}
                                    error={problem('alternativeMinutes')}
                                />
                            </div>
                            <Tick checked={draft.confirmed} onChange={(confirmed) => setDraft({ ...draft, confirmed })}>
                                It is to be done all the same
                            </Tick>
                            {problem('confirmed') && (
                                <p role="alert" className="font-medium text-bad">
                                    {problem('confirmed')}
                                </p>
                            )}
                        </div>
                    )}
                    <Button type="submit" disabled={sending} className="mt-2">
                        It is off
                    </Button>
                </form>
            )}
        </section>
    );
}

function Back({ job, open, step, next }: { job: string; open: boolean; step: StepBack; next: boolean }) {
    const { errors } = usePage<Shared>().props;
    const { note, sending } = useEntry(job);
    const [count, setCount] = useState(String(step.left));
    const [reason, setReason] = useState('');
    const [here, setHere] = useState(false);
    return (
        <li className="border-t border-rule py-1.5">
            <p>
                <strong className="font-semibold">{step.what}</strong>{' '}
                <span className="figure text-soft">
                    {step.count === 0 ? (step.done ? 'back' : '') : `${step.back} of ${step.count} back`}
                </span>
                {step.reason && (
                    <span className="text-warn">
                        , {step.left} stay out: {step.reason}
                    </span>
                )}
            </p>
            {open && next && (
                <form
                    onSubmit={(event) => {
                        event.preventDefault();
                        setHere(true);
                        note('up', { of: step.id, count, reason }, () => setHere(false));
                    }}
                    className="mt-1 flex flex-wrap items-start gap-3"
                >
                    {step.count > 0 && (
                        <TextField
                            label="Back on"
                            inputMode="numeric"
                            value={count}
                            onChange={(event) => setCount(event.target.value)}
                            error={here ? errors.count : undefined}
                        />
                    )}
                    {step.count > 0 && (
                        <TextField
                            label="Why some stay out"
                            value={reason}
                            onChange={(event) => setReason(event.target.value)}
                            error={here ? (errors.reason ?? errors.of) : undefined}
                        />
                    )}
                    <Button type="submit" disabled={sending} className={step.count > 0 ? 'mt-7' : ''}>
                        It is back
                    </Button>
                </form>
            )}
        </li>
    );
}

export default function Strip() {
    const { job, open, found, kit, down, steps, leftOver, missingBefore, minutes, route } = usePage<Props>().props;
    const up = [...steps].reverse();
    const next = up.find((step) => !step.done);
    return (
        <Frame title={`Strip-down ${job.number}`} job={job} here="remedy">
            <RepairNav job={job.id} here="strip" />
            <div className="mx-auto max-w-[1240px] px-5 py-5">
                <p className="mb-4 border-l-4 border-warn bg-caution px-3 py-1.5 font-medium">
                    Before a hand goes in: isolated, locked off and proved dead; stored charge measured; fans cannot
                    start. Near airbags the battery is off, with the maker's wait.
                </p>
                {route && (
                    <p className="mb-4 border-l-4 border-lake pl-3">
                        The route that worked on this model: {route.job}, {route.steps.length} steps
                        {route.minutes !== null && `, ${Math.round(route.minutes)} min`}
                        {route.jobs > 1 &&
                            route.mean !== null &&
                            `; ${route.jobs} jobs took ${Math.round(route.mean)} min on average`}
                        . It may not be possible here.
                    </p>
                )}
                <div className="grid gap-10 lg:grid-cols-2">
                    <AsFound job={job.id} open={open} found={found} />
                    <KitList job={job.id} open={open} kit={kit} route={route} />
                </div>
                <div className="mt-8 grid gap-10 lg:grid-cols-[1.35fr_1fr]">
                    <Dismantle job={job.id} open={open} down={down} steps={steps} route={route} />
                    <section aria-label="Back together">
                        <h2 className="text-lg font-semibold">Back together, in reverse</h2>
                        <p className="text-soft">
                            {leftOver === 0
                                ? down.length === 0
                                    ? 'The list turns round once something is off.'
                                    : 'Nothing is left over.'
                                : `${leftOver} still to go back.`}
                            {missingBefore > 0 &&
                                ` ${missingBefore} ${missingBefore === 1 ? 'was' : 'were'} missing before, and ${missingBefore === 1 ? 'belongs' : 'belong'} there too.`}
                            {minutes !== null && ` Taken apart in ${Math.round(minutes)} min.`}
                        </p>
                        <ol className="border-b border-rule">
                            {up.map((step) => (
                                <Back
                                    key={`${step.id}-${step.left}-${String(step.done)}`}
                                    job={job.id}
                                    open={open}
                                    step={step}
                                    next={step.id === next?.id}
                                />
                            ))}
                        </ol>
                    </section>
                </div>
            </div>
        </Frame>
    );
}

import { router, usePage } from '@inertiajs/react';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { ulid } from 'ulid';
import type { CardShown, MeterName } from '@/generated/props';
import type { Shared } from '@/lib/page';
import useLiveMeter, { letGo } from '@/bench/useLiveMeter';
import Button from '@/ui/Button';
import { LiveNumber, TypedNumber } from './DockNumber';
import Leads from './Leads';

interface Props {
    jobId: string;
    meters: MeterName[];
    leads: number;
    stepping: boolean;
    card: CardShown;
    supplyLabel: string;
    lastWords: string | null;
    typed: string;
    onType: (value: string) => void;
    onLive: (value: number | null) => void;
    onRecorded: (page: { props: unknown }) => void;
}

/** Where a unit of several letters may follow the number, letters are typed and no shortcuts. */
export function spellsUnit(card: CardShown, typed: string): boolean {
    return typed !== '' && (card.units.length > 1 || card.quantity === 'capacitance');
}

/** Always in reach: the number or the choice, what is doubtful about it, and Record. */
export default function ReadingDock({
    jobId,
    meters,
    leads,
    stepping,
    card,
    supplyLabel,
    lastWords,
    typed,
    onType,
    onLive,
    onRecorded,
}: Props) {
    const { errors } = usePage<Shared>().props;
    const [id, setId] = useState(ulid);
    const [choice, setChoice] = useState('');
    const [overRange, setOverRange] = useState(false);
    const [steady, setSteady] = useState(true);
    const [misbehaved, setMisbehaved] = useState<boolean | null>(null);
    const [supply, setSupply] = useState('');
    const [seenOn, setSeenOn] = useState('');
    /** On a phone the day is asked for only where it is wanted. */
    const [dated, setDated] = useState(false);
    const [sending, setSending] = useState(false);
    const [lost, setLost] = useState(false);
    const [left, setLeft] = useState(() => localStorage.getItem('ispira-hand') === 'left');
    const field = useRef<HTMLInputElement>(null);
    const numeric = card.unit !== '';
    const [wanted, setWanted] = useState(() => localStorage.getItem('ispira-meter') ?? '');
    const meter = numeric && card.bench && meters.some((one) => one.id === wanted) ? wanted : '';
    const live = useLiveMeter(jobId, card.key, meter);
    const readsNothing = meter !== '' && (live === null || live.trouble !== null);

    // Keys go to whatever has the focus in the dock: without a field to type in, to Record.
    const act = useRef<HTMLDivElement>(null);
    useEffect(() => {
        if (meter !== '' && window.matchMedia('(pointer: fine)').matches) act.current?.querySelector('button')?.focus();
    }, [meter]);
    useEffect(() => onLive(live?.trouble === null ? live.number : null), [live?.number, live?.trouble]); // eslint-disable-line react-hooks/exhaustive-deps

    // A new test mounts a new dock: the field is ready for its number.
    useEffect(() => {
        if (window.matchMedia('(pointer: fine)').matches) field.current?.focus();
    }, []);

    // The same id goes out again on the next try, so nothing is taken down twice.
    useEffect(
        () =>
            router.on('exception', (event) => {
                event.preventDefault();
                setLost(true);
                setSending(false);
            }),
        [],
    );

    const record = () => {
        if (sending || readsNothing) return;
        setSending(true);
        setLost(false);
        router.post(
            `/jobs/${jobId}/readings`,
            {
                id,
                test: card.key,
                value: overRange ? null : typed,
                choice,
                overRange,
                steady,
                misbehaved,
                supplyVolts: supply,
                seenOn: meter === '' ? seenOn : '',
                meter,
                series: stepping,
            },
            {
                preserveState: true,
                preserveScroll: true,
                onSuccess: (page) => {
                    setId(ulid());
                    onType('');
                    setOverRange(false);
                    setSteady(true);
                    setMisbehaved(null);
                    setChoice('');
                    setSeenOn('');
                    onRecorded(page);
                },
                onFinish: () => setSending(false),
            },
        );
    };
    const choose = (next: string) => {
        localStorage.setItem('ispira-meter', next);
        setWanted(next);
    };
    const release = () => void letGo(jobId, card.key, meter);
    const note = (bad: boolean) => setMisbehaved(misbehaved === bad ? null : bad);
    const onKeyDown = (event: KeyboardEvent) => {
        if (event.altKey || event.ctrlKey || event.metaKey) return;
        const key = event.key.toLowerCase();
        const number = Number(event.key);
        if (meter === '' && spellsUnit(card, typed) && key.length === 1) return;
        if (numeric && key === 'i' && card.bench && meters.length > 0)
            choose(meter === '' ? (meters[0]?.id ?? '') : '');
        else if (numeric && key === 'r' && meter !== '') release();
        else if (key === 'enter' && (event.target as HTMLElement).tagName !== 'BUTTON') record();
        else if (numeric && meter === '' && key === 'o') setOverRange(!overRange);
        else if (numeric && meter === '' && key === 's') setSteady(!steady);
        else if (card.watch && key === 'b') note(true);
        else if (card.watch && key === 'f') note(false);
        else if (!numeric && number >= 1 && number <= card.choices.length)
            setChoice(card.choices[number - 1]?.value ?? '');
        else return;
        event.preventDefault();
    };
    const error = errors.value ?? errors.supplyVolts ?? errors.seenOn ?? errors.id;
    const swap = () => {
        localStorage.setItem('ispira-hand', left ? 'right' : 'left');
        setLeft(!left);
    };
    return (
        <section
            aria-label="Reading"
            onKeyDown={onKeyDown}
            className={`on-dock flex flex-wrap items-stretch gap-x-3 gap-y-2 bg-dock px-5 py-3 text-dock-ink max-sm:px-3 ${left ? 'flex-row-reverse' : ''}`}
        >
            {numeric ? (
                <>
                    {meter === '' ? (
                        <TypedNumber
                            card={card}
                            field={field}
                            value={typed}
                            overRange={overRange}
                            error={Boolean(error)}
                            onType={onType}
                        />
                    ) : (
                        <LiveNumber live={live} />
                    )}
                    {card.bench && meters.length > 0 && (
                        <label className="flex flex-col justify-center text-[0.82rem] text-dock-soft">
                            read by <span className="sr-only">(I)</span>
                            <select
                                value={meter}
                                onChange={(event) => choose(event.target.value)}
                                aria-keyshortcuts="I"
                                className="mt-0.5 min-h-9 max-w-36 rounded-[4px] border border-dock-rule bg-dock px-1 text-base text-dock-ink"
                            >
                                <option value="">hand, typed</option>
                                {meters.map((one) => (
                                    <option key={one.id} value={one.id}>
                                        {one.name}
                                    </option>
                                ))}
                            </select>
                        </label>
                    )}
                    {meter === '' ? (
                        <>
                            <Button
                                kind="dock"
                                aria-pressed={overRange}
                                aria-keyshortcuts="O"
                                onClick={() => setOverRange(!overRange)}
                            >
                                over range <span className="key max-lg:hidden">O</span>
                            </Button>
                            <Button
                                kind="dock"
                                aria-pressed={!steady}
                                aria-keyshortcuts="S"
                                onClick={() => setSteady(!steady)}
                            >
                                wanders <span className="key max-lg:hidden">S</span>
                            </Button>
                        </>
                    ) : (
                        <Button kind="dock" aria-keyshortcuts="R" onClick={release}>
                            let go <span className="key max-lg:hidden">R</span>
                        </Button>
                    )}
                    {card.quantity === 'ohms' && <Leads ohms={leads} />}
                    {card.watch && (
                        <div
                            role="group"
                            aria-label="What the machine does while you read"
                            className="flex flex-wrap items-stretch gap-x-3 gap-y-2"
                        >
                            <Button
                                kind="dock"
                                aria-pressed={misbehaved === true}
                                aria-keyshortcuts="B"
                                onClick={() => note(true)}
                            >
                                misbehaves now <span className="key max-lg:hidden">B</span>
                            </Button>
                            <Button
                                kind="dock"
                                aria-pressed={misbehaved === false}
                                aria-keyshortcuts="F"
                                onClick={() => note(false)}
                            >
                                works now <span className="key max-lg:hidden">F</span>
                            </Button>
                        </div>
                    )}
                    <label className="flex w-24 flex-col justify-center text-[0.82rem] text-dock-soft max-sm:hidden">
                        {supplyLabel}
                        <input
                            value={supply}
                            onChange={(event) => setSupply(event.target.value)}
                            inputMode="decimal"
                            className="figure mt-0.5 min-h-9 rounded-[4px] border border-dock-rule bg-black/40 px-2 text-base text-dock-ink"
                        />
                    </label>
                </>
            ) : (
                <div
                    role="group"
                    aria-label={card.title}
                    className="flex min-w-0 flex-[5_1_0] flex-wrap items-center gap-2 max-lg:basis-full"
                >
                    {card.choices.map((one, n) => (
                        <Button
                            key={one.value}
                            kind="dock"
                            data-choice={one.value}
                            aria-pressed={choice === one.value}
                            aria-keyshortcuts={String(n + 1)}
                            onClick={() => setChoice(one.value)}
                            className="min-h-14 text-[1.05rem]"
                        >
                            {one.label} <span className="key max-lg:hidden">{n + 1}</span>
                        </Button>
                    ))}
                </div>
            )}
            {meter === '' && !stepping && (
                <label
                    className={`flex flex-col justify-center text-[0.82rem] text-dock-soft ${dated ? '' : 'max-sm:hidden'}`}
                >
                    seen before, on
                    <input
                        type="date"
                        value={seenOn}
                        onChange={(event) => setSeenOn(event.target.value)}
                        className="mt-0.5 min-h-9 w-36 rounded-[4px] border border-dock-rule bg-black/40 px-2 text-base text-dock-ink [color-scheme:dark]"
                    />
                </label>
            )}
            <div className="flex min-w-[160px] flex-[2_1_0] flex-col justify-center text-[0.95rem] leading-snug">
                <p className="sr-only" id="dock-where">
                    {card.title}
                </p>
                {meter !== '' && live?.trouble ? (
                    <p role="alert" className="font-medium text-[#f5a99b]">
                        {live.trouble} What was recorded is kept; you can type instead.
                    </p>
                ) : error ? (
                    <p id="dock-error" role="alert" className="font-medium text-[#f5a99b]">
                        {error}
                    </p>
                ) : lost ? (
                    <p role="alert" className="font-medium text-[#f5a99b]">
                        No connection. The reading is kept here: press Record again when it is back.
                    </p>
                ) : (
                    <p role="status" className="text-dock-soft">
                        {lastWords ?? `${card.setUp}.`}
                    </p>
                )}
                <button
                    type="button"
                    onClick={swap}
                    className="self-start text-[0.82rem] text-dock-soft underline decoration-dotted underline-offset-4 sm:hidden"
                >
                    {left ? 'for the right hand' : 'for the left hand'}
                </button>
                {meter === '' && !stepping && !dated && (
                    <button
                        type="button"
                        onClick={() => setDated(true)}
                        className="self-start text-[0.82rem] text-dock-soft underline decoration-dotted underline-offset-4 sm:hidden"
                    >
                        seen before
                    </button>
                )}
            </div>
            <div ref={act} className="flex max-sm:flex-1">
                <Button
                    kind="act"
                    onClick={record}
                    disabled={sending}
                    aria-disabled={readsNothing}
                    className="min-h-14 min-w-32 flex-1 px-7 text-[1.2rem] aria-disabled:opacity-45"
                >
                    Record
                </Button>
            </div>
        </section>
    );
}

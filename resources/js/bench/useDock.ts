import { router, usePage } from '@inertiajs/react';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { ulid } from 'ulid';
import useLiveMeter, { letGo } from '@/bench/useLiveMeter';
import type { BenchPage, CardShown, MeterName, PracticeAnswer } from '@/generated/props';
import type { Shared } from '@/lib/page';

/** How long what was just done can be taken back, in ms. */
const UNDO = 10_000;

export interface DockProps {
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
    undo: Undo;
    /** What the make-believe unit shows; null where the unit is a real one. */
    practice: PracticeAnswer | null;
    /** Whether it answers as soon as it was measured, and not when it is asked to. */
    answers: boolean;
}

/** Where a unit of several letters may follow the number, letters are typed and no shortcuts. */
export function spellsUnit(card: CardShown, typed: string): boolean {
    return typed !== '' && (card.units.length > 1 || card.quantity === 'capacitance');
}

/** What can be taken back, for ten seconds after it was done. */
export function useUndo(jobId: string) {
    const [undo, setUndo] = useState<string | null>(null);
    useEffect(() => {
        if (undo === null) return;
        const timer = setTimeout(() => setUndo(null), UNDO);
        return () => clearTimeout(timer);
    }, [undo]);
    const takeBack = () => {
        if (undo === null) return;
        setUndo(null);
        router.post(`/jobs/${jobId}/readings/${undo}/undo`, {}, { preserveScroll: true, preserveState: true });
    };
    return { undo, offer: setUndo, takeBack };
}

export type Undo = ReturnType<typeof useUndo>;

/** What stands in the dock, and what its keys do. */
export function useDock(props: DockProps) {
    const { jobId, meters, stepping, card, typed, onType, onLive, onRecorded, undo, practice } = props;
    const { errors } = usePage<Shared>().props;
    // What was measured stands in the dock at once.
    const measured = props.answers ? practice : null;
    const [id, setId] = useState(ulid);
    const [choice, setChoice] = useState(measured?.choice ?? '');
    const [overRange, setOverRange] = useState(measured?.overRange ?? false);
    const [steady, setSteady] = useState(measured?.steady ?? true);
    const [misbehaved, setMisbehaved] = useState<boolean | null>(measured?.misbehaved ?? null);
    const [supply, setSupply] = useState('');
    const [seenOn, setSeenOn] = useState('');
    const [sending, setSending] = useState(false);
    const [lost, setLost] = useState<string | null>(null);
    const field = useRef<HTMLInputElement>(null);
    const numeric = card.unit !== '';
    const [wanted, setWanted] = useState(() => localStorage.getItem('ispira-meter') ?? '');
    const meter = numeric && card.bench && meters.some((one) => one.id === wanted) ? wanted : '';
    const live = useLiveMeter(jobId, card.key, meter);
    const readsNothing = meter !== '' && (live === null || live.trouble !== null);
    useEffect(() => onLive(live?.trouble === null ? live.number : null), [live?.number, live?.trouble]); // eslint-disable-line react-hooks/exhaustive-deps

    // The same id goes out again on the next try, so nothing is taken down twice.
    useEffect(() => {
        const keep = (why: string) => (event: { preventDefault: () => void }) => {
            event.preventDefault();
            setLost(why);
            setSending(false);
        };
        const off = [
            router.on(
                'exception',
                keep('No connection. The reading is kept here: press Record again when it is back.'),
            ),
            router.on('invalid', keep('The server could not take it. The reading is kept here: press Record again.')),
        ];
        return () => off.forEach((stop) => stop());
    }, []);

    const record = () => {
        if (sending || readsNothing) return;
        setSending(true);
        setLost(null);
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
                    const newest = (page.props as unknown as BenchPage).readings[0];
                    // Where the server was out of reach it may only be kept, and nothing is weighed yet.
                    if (newest?.id === id) {
                        undo.offer(newest.id);
                        onRecorded(page);
                    }
                    setId(ulid());
                    onType('');
                    setOverRange(false);
                    setSteady(true);
                    setMisbehaved(null);
                    setChoice('');
                    setSeenOn('');
                },
                onFinish: () => setSending(false),
            },
        );
    };
    const chooseMeter = (next: string) => {
        localStorage.setItem('ispira-meter', next);
        setWanted(next);
    };
    const release = () => void letGo(jobId, card.key, meter);
    const letAnswer = () => {
        if (practice === null) return;
        onType(practice.value);
        setChoice(practice.choice);
        setOverRange(practice.overRange);
        setSteady(practice.steady);
        setMisbehaved(practice.misbehaved);
    };
    const note = (bad: boolean) => setMisbehaved(misbehaved === bad ? null : bad);

    // Before the eye can see what is new, the keys know of it too.
    useLayoutEffect(() => {
        const onKey = (event: KeyboardEvent) => {
            const target = event.target as HTMLElement;
            const typing = target.tagName === 'INPUT' && target !== field.current;
            if (event.altKey || event.ctrlKey || event.metaKey || event.defaultPrevented || typing) return;
            if (['TEXTAREA', 'SELECT'].includes(target.tagName) || document.querySelector('[role=dialog]')) return;
            const key = event.key.toLowerCase();
            const number = Number(event.key);
            if (meter === '' && target === field.current && spellsUnit(card, typed) && key.length === 1) return;
            // A button that was pressed keeps Enter to itself, but for an answer that is chosen already.
            const pressed = target.tagName === 'BUTTON' || target.tagName === 'A' || target.tagName === 'SUMMARY';
            const chosen = target.dataset.choice !== undefined && target.dataset.choice === choice;
            if (numeric && key === 'i' && card.bench && meters.length > 0)
                chooseMeter(meter === '' ? (meters[0]?.id ?? '') : '');
            else if (numeric && key === 'r' && meter !== '') release();
            else if (key === 'enter' && (!pressed || chosen)) record();
            else if (practice && !props.answers && meter === '' && key === 'a') letAnswer();
            else if (numeric && meter === '' && key === 'o') setOverRange(!overRange);
            else if (numeric && meter === '' && key === 's') setSteady(!steady);
            else if (numeric && meter === '' && /^[\d.,-]$/.test(key) && target !== field.current) {
                // Digits go to the number from wherever the hand is.
                onType(typed + key);
                field.current?.focus();
            } else if (card.watch && key === 'b') note(true);
            else if (card.watch && key === 'f') note(false);
            else if (!numeric && number >= 1 && number <= card.choices.length)
                setChoice(card.choices[number - 1]?.value ?? '');
            else return;
            event.preventDefault();
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    });

    return {
        choice,
        setChoice,
        overRange,
        setOverRange,
        steady,
        setSteady,
        misbehaved,
        note,
        supply,
        setSupply,
        seenOn,
        setSeenOn,
        sending,
        field,
        numeric,
        meter,
        chooseMeter,
        live,
        readsNothing,
        release,
        letAnswer,
        record,
        error:
            meter !== '' && live?.trouble
                ? `${live.trouble} What was recorded is kept; you can type instead.`
                : (errors.value ?? errors.supplyVolts ?? errors.seenOn ?? errors.id ?? lost),
    };
}

export type Dock = ReturnType<typeof useDock>;

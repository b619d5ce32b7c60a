import { router, usePage } from '@inertiajs/react';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { ulid } from 'ulid';
import type { Card, Shared } from '@/lib/types';
import Button from '@/ui/Button';

interface Props {
    jobId: string;
    card: Card;
    supplyLabel: string;
    lastWords: string | null;
    typed: string;
    onType: (value: string) => void;
    onRecorded: (page: { props: unknown }) => void;
}

/** Always in reach: the number or the choice, what is doubtful about it, and Record. */
export default function ReadingDock({ jobId, card, supplyLabel, lastWords, typed, onType, onRecorded }: Props) {
    const { errors } = usePage<Shared>().props;
    const [id, setId] = useState(ulid);
    const [choice, setChoice] = useState('');
    const [overRange, setOverRange] = useState(false);
    const [steady, setSteady] = useState(true);
    const [misbehaved, setMisbehaved] = useState<boolean | null>(null);
    const [supply, setSupply] = useState('');
    const [sending, setSending] = useState(false);
    const [lost, setLost] = useState(false);
    const [left, setLeft] = useState(() => localStorage.getItem('ispira-hand') === 'left');
    const field = useRef<HTMLInputElement>(null);
    const numeric = card.unit !== '';

    // A new test mounts a new dock: the field is ready for its number.
    useEffect(() => {
        if (window.matchMedia('(pointer: fine)').matches) field.current?.focus();
    }, []);

    // The same id goes out again on the next try, so nothing is taken down twice.
    useEffect(() => router.on('exception', (event) => {
        event.preventDefault();
        setLost(true);
        setSending(false);
    }), []);

    const record = () => {
        if (sending) return;
        setSending(true);
        setLost(false);
        router.post(`/jobs/${jobId}/readings`, { id, test: card.key, value: overRange ? null : typed, choice, overRange, steady, misbehaved, supplyVolts: supply }, {
            preserveState: true,
            preserveScroll: true,
            onSuccess: (page) => {
                setId(ulid());
                onType('');
                setOverRange(false);
                setSteady(true);
                setMisbehaved(null);
                setChoice('');
                onRecorded(page);
            },
            onFinish: () => setSending(false),
        });
    };
    const note = (bad: boolean) => setMisbehaved(misbehaved === bad ? null : bad);
    const onKeyDown = (event: KeyboardEvent) => {
        if (event.altKey || event.ctrlKey || event.metaKey) return;
        const key = event.key.toLowerCase();
        const number = Number(event.key);
        if (key === 'enter' && (event.target as HTMLElement).tagName !== 'BUTTON') record();
        else if (numeric && key === 'o') setOverRange(!overRange);
        else if (numeric && key === 's') setSteady(!steady);
        else if (card.watch && key === 'b') note(true);
        else if (card.watch && key === 'f') note(false);
        else if (!numeric && number >= 1 && number <= card.choices.length) setChoice(card.choices[number - 1]?.value ?? '');
        else return;
        event.preventDefault();
    };
    const error = errors.value ?? errors.supplyVolts ?? errors.id;
    const swap = () => {
        localStorage.setItem('ispira-hand', left ? 'right' : 'left');
        setLeft(!left);
    };
    return (
        <section aria-label="Reading" onKeyDown={onKeyDown} className={`on-dock sticky bottom-0 z-10 flex flex-wrap items-stretch gap-x-3 gap-y-2 bg-dock px-5 py-3 text-dock-ink max-sm:px-3 ${left ? 'flex-row-reverse' : ''}`}>
            {numeric ? (
                <>
                    <label className="relative flex min-w-[210px] flex-1 items-stretch sm:max-w-[270px]">
                        <span className="sr-only">Reading in {card.unit}</span>
                        <input
                            ref={field}
                            value={overRange ? 'OL' : typed}
                            readOnly={overRange}
                            onChange={(event) => onType(event.target.value)}
                            inputMode="decimal"
                            autoComplete="off"
                            aria-invalid={error ? true : undefined}
                            aria-describedby={error ? 'dock-error' : undefined}
                            className={`figure w-full min-w-0 rounded-[5px] border-2 bg-black/40 py-2 pr-14 pl-3 text-right text-[2.2rem] leading-none ${error ? 'border-[#ef8d7c]' : 'border-dock-rule'}`}
                        />
                        <span className="figure pointer-events-none absolute top-1/2 right-3 -translate-y-1/2 text-xl text-dock-soft">{card.unit}</span>
                    </label>
                    <Button kind="dock" aria-pressed={overRange} aria-keyshortcuts="O" onClick={() => setOverRange(!overRange)}>over range <span className="key max-lg:hidden">O</span></Button>
                    <Button kind="dock" aria-pressed={!steady} aria-keyshortcuts="S" onClick={() => setSteady(!steady)}>wanders <span className="key max-lg:hidden">S</span></Button>
                    {card.watch && (
                        <div role="group" aria-label="What the machine does while you read" className="flex flex-wrap items-stretch gap-x-3 gap-y-2">
                            <Button kind="dock" aria-pressed={misbehaved === true} aria-keyshortcuts="B" onClick={() => note(true)}>misbehaves now <span className="key max-lg:hidden">B</span></Button>
                            <Button kind="dock" aria-pressed={misbehaved === false} aria-keyshortcuts="F" onClick={() => note(false)}>works now <span className="key max-lg:hidden">F</span></Button>
                        </div>
                    )}
                    <label className="flex w-24 flex-col justify-center text-[0.82rem] text-dock-soft max-sm:hidden">
                        {supplyLabel}
                        <input value={supply} onChange={(event) => setSupply(event.target.value)} inputMode="decimal" className="figure mt-0.5 min-h-9 rounded-[4px] border border-dock-rule bg-black/40 px-2 text-base text-dock-ink" />
                    </label>
                </>
            ) : (
                <div role="group" aria-label={card.title} className="flex min-w-0 flex-[5_1_0] flex-wrap items-center gap-2 max-lg:basis-full">
                    {card.choices.map((one, n) => (
                        <Button key={one.value} kind="dock" data-choice={one.value} aria-pressed={choice === one.value} aria-keyshortcuts={String(n + 1)} onClick={() => setChoice(one.value)} className="min-h-14 text-[1.05rem]">
                            {one.label} <span className="key max-lg:hidden">{n + 1}</span>
                        </Button>
                    ))}
                </div>
            )}
            <div className="flex min-w-[160px] flex-[2_1_0] flex-col justify-center text-[0.95rem] leading-snug">
                <p className="sr-only" id="dock-where">{card.title}</p>
                {error ? <p id="dock-error" role="alert" className="font-medium text-[#f5a99b]">{error}</p>
                    : lost ? <p role="alert" className="font-medium text-[#f5a99b]">No connection. The reading is kept here: press Record again when it is back.</p>
                    : <p role="status" className="text-dock-soft">{lastWords ?? `${card.setUp}.`}</p>}
                <button type="button" onClick={swap} className="self-start text-[0.82rem] text-dock-soft underline decoration-dotted underline-offset-4 sm:hidden">{left ? 'for the right hand' : 'for the left hand'}</button>
            </div>
            <Button kind="act" onClick={record} disabled={sending} className="min-h-14 min-w-32 px-7 text-[1.2rem] max-sm:flex-1">Record</Button>
        </section>
    );
}

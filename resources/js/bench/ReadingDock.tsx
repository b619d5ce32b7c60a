import { useEffect, useRef, useState } from 'react';
import Button from '@/ui/Button';
import { LiveNumber, TypedNumber } from './DockNumber';
import Leads from './Leads';
import { useDock, type Dock, type DockProps, type Undo } from './useDock';

const small = 'figure mt-0.5 min-h-9 rounded-[4px] border border-dock-rule bg-black/40 px-2 text-base text-dock-ink';

/** What was recorded and what can be taken back, or what is wrong with it. */
export function DockSays({
    dock,
    lastWords,
    standing,
    undo,
}: {
    dock: Dock;
    lastWords: string | null;
    standing: string;
    undo: Undo;
}) {
    return (
        <div className="flex min-w-0 flex-wrap items-center gap-x-3 text-[0.95rem] leading-snug">
            {dock.error ? (
                <p id="dock-error" role="alert" className="font-medium text-[#f5a99b]">
                    {dock.error}
                </p>
            ) : (
                <p role="status" className="text-dock-soft">
                    {lastWords ?? standing}
                </p>
            )}
            {undo.undo !== null && (
                <button
                    type="button"
                    onClick={undo.takeBack}
                    aria-keyshortcuts="U"
                    className="min-h-11 text-dock-ink underline underline-offset-4"
                >
                    Undo <span className="key max-lg:hidden">U</span>
                </button>
            )}
        </div>
    );
}

/** The answers of a test that is looked at or listened to. */
export function Answers({ dock, card, grid }: { dock: Dock; card: DockProps['card']; grid: boolean }) {
    return (
        <div
            role="group"
            aria-label={card.title}
            className={
                grid
                    ? `grid gap-2 ${card.choices.length > 4 ? 'grid-cols-2' : 'grid-cols-1'}`
                    : 'flex min-w-0 flex-[5_1_0] flex-wrap items-center gap-2 max-lg:basis-full'
            }
        >
            {card.choices.map((one, n) => (
                <Button
                    key={one.value}
                    kind="dock"
                    data-choice={one.value}
                    aria-pressed={dock.choice === one.value}
                    aria-keyshortcuts={String(n + 1)}
                    onClick={() => dock.setChoice(one.value)}
                    className="min-h-14 text-[1.05rem]"
                >
                    {one.label} <span className="key max-lg:hidden">{n + 1}</span>
                </Button>
            ))}
        </div>
    );
}

/** Whether the machine misbehaves while it is read. */
export function Watched({ dock }: { dock: Dock }) {
    return (
        <div
            role="group"
            aria-label="What the machine does while you read"
            className="flex items-stretch gap-2 sm:flex-col sm:gap-1"
        >
            {(
                [
                    [true, 'misbehaves now', 'B'],
                    [false, 'works now', 'F'],
                ] as const
            ).map(([bad, words, key]) => (
                <Button
                    key={key}
                    kind="dock"
                    aria-pressed={dock.misbehaved === bad}
                    aria-keyshortcuts={key}
                    onClick={() => dock.note(bad)}
                    className="text-[0.95rem] max-sm:flex-1 max-sm:px-2 sm:min-h-9! sm:px-3"
                >
                    {words} <span className="key max-lg:hidden">{key}</span>
                </Button>
            ))}
        </div>
    );
}

/** The day of a reading that is older than the job. */
export function SeenOn({ dock }: { dock: Dock }) {
    return (
        <label className="flex flex-col justify-center text-[0.82rem] text-dock-soft">
            seen before, on
            <input
                type="date"
                value={dock.seenOn}
                onChange={(event) => dock.setSeenOn(event.target.value)}
                className="mt-0.5 min-h-9 w-36 rounded-[4px] border border-dock-rule bg-black/40 px-2 text-base text-dock-ink [color-scheme:dark]"
            />
        </label>
    );
}

/** Always in reach: the number or the choice, what is doubtful about it, and Record. */
export default function ReadingDock(props: DockProps) {
    const { meters, leads, stepping, card, supplyLabel, lastWords, typed, onType, undo, practice } = props;
    const dock = useDock(props);
    const { numeric, meter, field } = dock;
    const [more, setMore] = useState(false);
    const act = useRef<HTMLDivElement>(null);
    useEffect(() => {
        if (meter !== '') act.current?.querySelector('button')?.focus();
    }, [meter]);
    // A new test mounts a new dock: the field is ready for its number.
    useEffect(() => {
        if (window.matchMedia('(pointer: fine)').matches) field.current?.focus();
    }, [field]);
    return (
        <section
            aria-label="Reading"
            className="on-dock flex flex-wrap items-stretch gap-x-3 gap-y-1.5 bg-dock px-5 py-2 text-dock-ink"
        >
            {numeric ? (
                <>
                    {meter === '' ? (
                        <TypedNumber
                            card={card}
                            field={field}
                            value={typed}
                            overRange={dock.overRange}
                            error={Boolean(dock.error)}
                            onType={onType}
                        />
                    ) : (
                        <LiveNumber live={dock.live} />
                    )}
                    {card.bench && meters.length > 0 && (
                        <label className="flex flex-col justify-center text-[0.82rem] text-dock-soft">
                            read by <span className="sr-only">(I)</span>
                            <select
                                value={meter}
                                onChange={(event) => dock.chooseMeter(event.target.value)}
                                aria-keyshortcuts="I"
                                className="mt-0.5 min-h-9 max-w-32 rounded-[4px] border border-dock-rule bg-dock px-1 text-base text-dock-ink"
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
                                aria-pressed={dock.overRange}
                                aria-keyshortcuts="O"
                                onClick={() => dock.setOverRange(!dock.overRange)}
                                className="px-3"
                            >
                                over range <span className="key max-lg:hidden">O</span>
                            </Button>
                            <Button
                                kind="dock"
                                aria-pressed={!dock.steady}
                                aria-keyshortcuts="S"
                                onClick={() => dock.setSteady(!dock.steady)}
                                className="px-3"
                            >
                                wanders <span className="key max-lg:hidden">S</span>
                            </Button>
                        </>
                    ) : (
                        <Button kind="dock" aria-keyshortcuts="R" onClick={dock.release}>
                            let go <span className="key max-lg:hidden">R</span>
                        </Button>
                    )}
                    {card.watch && <Watched dock={dock} />}
                    {card.quantity === 'ohms' && <Leads ohms={leads} />}
                </>
            ) : (
                <Answers dock={dock} card={card} grid={false} />
            )}
            {practice && meter === '' && !props.answers && (
                <Button kind="dock" aria-keyshortcuts="A" onClick={dock.letAnswer} className="px-3">
                    let it answer <span className="key max-lg:hidden">A</span>
                </Button>
            )}
            {more ? (
                <>
                    {numeric && (
                        <label className="flex w-24 flex-col justify-center text-[0.82rem] text-dock-soft">
                            {supplyLabel}
                            <input
                                value={dock.supply}
                                onChange={(event) => dock.setSupply(event.target.value)}
                                inputMode="decimal"
                                className={small}
                            />
                        </label>
                    )}
                    {meter === '' && !stepping && <SeenOn dock={dock} />}
                </>
            ) : (
                <button
                    type="button"
                    onClick={() => setMore(true)}
                    className="min-h-11 self-center text-[0.9rem] text-dock-soft underline decoration-dotted underline-offset-4"
                >
                    {numeric ? 'supply, day' : 'day'}
                </button>
            )}
            <div className="flex min-w-[150px] flex-[2_1_0] flex-col justify-center">
                <p className="sr-only">{card.title}</p>
                <DockSays dock={dock} lastWords={lastWords} standing={`${card.setUp}.`} undo={undo} />
            </div>
            <div ref={act} className="flex">
                <Button
                    kind="act"
                    onClick={dock.record}
                    disabled={dock.sending}
                    aria-disabled={dock.readsNothing}
                    className="min-h-14 min-w-28 flex-1 px-5 text-[1.2rem] aria-disabled:opacity-45"
                >
                    Record
                </Button>
            </div>
        </section>
    );
}

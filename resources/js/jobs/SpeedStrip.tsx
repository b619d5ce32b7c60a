import { wordFor } from '@/jobs/states';
import type { MapShown, SpeedState, Strip, StripBar, StripCell } from '@/generated/props';

const TALL = 52;

/** Height of a bar: what was heard, on the scale of what is expected there. */
function heightOf(state: SpeedState | undefined, cell: Pick<StripCell, 'expected' | 'runs'>): number {
    const expected = Math.max(cell.expected, cell.runs ? 0.25 : 0);
    switch (state) {
        case 'right':
            return expected * TALL;
        case 'slow':
            return expected * TALL * 0.62;
        case 'fast':
            return Math.min(1.12, expected * 1.3 + 0.06) * TALL;
        case 'cuts-out':
            return expected * TALL;
        case 'runs':
            return TALL * 0.8;
        case 'overruns':
            return expected * TALL;
        default:
            return 0;
    }
}

const tone: Record<SpeedState, string> = {
    right: 'var(--good)',
    slow: 'var(--warn)',
    fast: 'var(--warn)',
    dead: 'var(--bad)',
    'cuts-out': 'var(--warn)',
    runs: 'var(--bad)',
    stays: 'var(--bad)',
    overruns: 'var(--warn)',
};

interface BarProps {
    state: SpeedState | undefined;
    cell: Pick<StripCell, 'expected' | 'runs'>;
    x: number;
    width: number;
    faint?: boolean;
}

/** State is told by shape first: full bar, low bar, tall bar with a cap, cross, broken bar, waves. */
function Bar({ state, cell, x, width, faint = false }: BarProps) {
    const base = TALL + 10;
    const expected = cell.runs ? Math.max(cell.expected, 0.25) * TALL : 0;
    const height = heightOf(state, cell);
    const colour = state ? tone[state] : 'var(--soft)';
    const middle = x + width / 2;
    return (
        <g opacity={faint ? 0.55 : 1}>
            {expected > 0 && state !== 'right' && (
                <rect
                    x={x + 0.75}
                    y={base - expected}
                    width={width - 1.5}
                    height={expected}
                    fill="none"
                    stroke="var(--soft)"
                    strokeWidth="1.2"
                    strokeDasharray="3 3"
                />
            )}
            {state === 'cuts-out' &&
                [0, 1, 2, 3].map((n) => (
                    <rect
                        key={n}
                        x={x + (n % 2) * 3}
                        y={base - height + (n * height) / 4 + 1}
                        width={width - 3}
                        height={Math.max(2, height / 4 - 3)}
                        fill={colour}
                    />
                ))}
            {(state === 'right' || state === 'slow' || state === 'fast') && height > 0 && (
                <rect x={x} y={base - height} width={width} height={height} fill={colour} />
            )}
            {state === 'slow' && (
                <path
                    d={`M${middle - 5} ${base - height - 9} l5 6 l5 -6`}
                    fill="none"
                    stroke={colour}
                    strokeWidth="2.4"
                />
            )}
            {state === 'fast' && (
                <path
                    d={`M${middle - 5} ${base - height + 10} l5 -6 l5 6`}
                    fill="none"
                    stroke="var(--sheet)"
                    strokeWidth="2.4"
                />
            )}
            {state === 'dead' && (
                <path d={`M${middle - 6} ${base - 16} l12 12 m0 -12 l-12 12`} stroke={colour} strokeWidth="3" />
            )}
            {state === 'overruns' && (
                <rect
                    x={x}
                    y={base - height}
                    width={width}
                    height={height}
                    fill="none"
                    stroke={colour}
                    strokeWidth="3"
                />
            )}
            {state === 'stays' && (
                <path d={`M${middle - 8} ${base - 4} v-12 h16 v12`} fill="none" stroke={colour} strokeWidth="3" />
            )}
            {state === 'runs' && (
                <path
                    d={`M${x} ${base - 6} q${width / 4} -9 ${width / 2} 0 t${width / 2} 0 M${x} ${base - 18} q${width / 4} -9 ${width / 2} 0 t${width / 2} 0 M${x} ${base - 30} q${width / 4} -9 ${width / 2} 0 t${width / 2} 0`}
                    fill="none"
                    stroke={colour}
                    strokeWidth="3"
                />
            )}
            {state === 'right' && !cell.runs && <circle cx={middle} cy={base - 7} r="4.5" fill={colour} />}
            {!state && (
                <text x={middle} y={base - 6} textAnchor="middle" fontSize="15" fill="var(--soft)">
                    ?
                </text>
            )}
        </g>
    );
}

export function currentMaps(maps: MapShown[]): { before: MapShown | undefined; after: MapShown | undefined } {
    return {
        before: maps.find((map) => map.kind === 'before'),
        after: [...maps].reverse().find((map) => map.kind === 'after'),
    };
}

interface Props {
    strip: Strip;
    here?: string;
    /** Whether room is dear: lower bars. */
    low?: boolean;
}

/** One cell a selector position, the same object from the complaint to the proof. */
export default function SpeedStrip({ strip, here, low = false }: Props) {
    const { before, after } = currentMaps(strip.maps);
    // A loose part has no selector.
    if (strip.maps.length === 0) return null;
    return (
        <section aria-label="Speed strip" className="flex border-b border-rule bg-sheet">
            <div className="flex w-36 shrink-0 flex-col justify-end px-5 pb-2.5 text-[0.82rem] leading-snug text-soft max-sm:hidden">
                <span className="font-semibold text-ink">{after ? 'Before and after' : 'As it was found'}</span>
                <span>bar: what was heard</span>
                <span>outline: expected</span>
            </div>
            <ol className="flex min-w-0 flex-1">
                {strip.cells.map((cell) => {
                    const was = before?.states[cell.key];
                    const is = after?.states[cell.key];
                    const shown = after ? is : was;
                    return (
                        <li
                            key={cell.key}
                            className={`flex min-w-0 flex-1 flex-col items-center border-l border-rule px-0.5 pt-1 ${low ? 'pb-1' : 'pb-2'} text-center max-sm:first:border-l-0 ${here === cell.key ? 'bg-caution' : ''}`}
                        >
                            <svg
                                viewBox="0 0 72 64"
                                width="72"
                                height={low ? 44 : 64}
                                aria-hidden="true"
                                className="max-w-full"
                            >
                                <line
                                    x1="8"
                                    x2="64"
                                    y1={TALL + 10.75}
                                    y2={TALL + 10.75}
                                    stroke="var(--ink)"
                                    strokeWidth="1.5"
                                />
                                {after ? (
                                    <>
                                        <Bar state={was} cell={cell} x={14} width={18} faint />
                                        <Bar state={is} cell={cell} x={38} width={22} />
                                    </>
                                ) : (
                                    <Bar state={was} cell={cell} x={22} width={28} />
                                )}
                            </svg>
                            <span className="figure text-[0.95rem] leading-tight font-medium">{cell.label}</span>
                            <span
                                className="text-[0.85rem] leading-tight font-medium"
                                style={{ color: shown ? tone[shown] : 'var(--soft)' }}
                            >
                                {after && was && is && was !== is && (
                                    <span className="sr-only">before: {wordFor(was, cell)}, now: </span>
                                )}
                                {shown ? wordFor(shown, cell) : 'not tried'}
                            </span>
                        </li>
                    );
                })}
            </ol>
        </section>
    );
}

/** The strip in small, for lists. */
export function StripInSmall({ strip }: { strip: StripBar[] }) {
    const running = strip.filter((bar) => bar.runs);
    const words = strip.map((bar) => `${bar.label} ${bar.word ?? 'not tried'}`).join(', ');
    return (
        <svg viewBox={`0 0 ${strip.length * 20} 66`} height="44" role="img" aria-label={words} className="block">
            {strip.map((bar, n) => (
                <Bar
                    key={bar.label}
                    state={bar.state ?? undefined}
                    cell={{
                        runs: bar.runs,
                        expected: bar.runs ? 0.35 + (0.65 * (running.indexOf(bar) + 1)) / running.length : 0,
                    }}
                    x={n * 20 + 3}
                    width={13}
                />
            ))}
            <line x1="0" x2={strip.length * 20} y1={TALL + 11} y2={TALL + 11} stroke="var(--ink)" strokeWidth="1.5" />
        </svg>
    );
}

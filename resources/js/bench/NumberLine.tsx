import type { CardShown } from '@/generated/props';
import { figure, percent } from '@/lib/format';

interface Props {
    card: CardShown;
    typed: number | null;
}

const MOST = 4;

/** Ohms at the end of the scale from which it is told in kilohms, as the meter shows them. */
const IN_THOUSANDS_FROM = 10_000;

/** The step of an axis that is read at a glance: one, two or five of a power of ten. */
function even(rough: number): number {
    const power = 10 ** Math.floor(Math.log10(rough));
    return power * ([1, 2, 5].find((one) => one * power >= rough) ?? 10);
}

/** What each suspect would show, on one scale, and where the number in the dock falls. */
export default function NumberLine({ card, typed }: Props) {
    const marks = card.marks.filter((mark, n) => n < 2 || mark.probability >= 0.03).slice(0, MOST);
    const ends = marks.flatMap((mark) => [mark.from, mark.to]).filter((end): end is number => end !== null);
    if (marks.length === 0) return null;
    const low = Math.min(0, ...ends);
    const most = Math.max(card.quantity === 'ohms' ? 1 : 2, ...ends);
    const step = even((most - low) / 4);
    const high = Math.max(most * 1.04, low + step);
    const open = marks.some((mark) => mark.from === null);
    const scale = open ? 86 : 100;
    const at = (value: number) => ((Math.min(Math.max(value, low), high) - low) / (high - low)) * scale;
    const first = Math.ceil(low / step) * step;
    const ticks = Array.from({ length: Math.floor((high - first) / step + 1e-6) + 1 }, (_, n) => first + n * step);
    const times = card.quantity === 'ohms' && high >= IN_THOUSANDS_FROM ? 1000 : 1;
    const digits = step >= times ? 0 : step < 0.1 * times ? 2 : 1;
    // A rounded zero has no sign.
    const written = (tick: number) => figure(tick / times, digits).replace(/^-(0([.,]0+)?)$/, '$1');
    return (
        <figure
            aria-label="What each suspect would show"
            className="grid grid-cols-[minmax(90px,36%)_1fr] items-center gap-x-3 text-[0.86rem]"
        >
            {marks.map((mark) => (
                <div key={mark.remedy} className="contents">
                    <span className="truncate text-right" title={mark.label}>
                        {mark.label} <span className="figure text-soft">{percent(mark.probability)}</span>
                    </span>
                    <span className="relative block h-4 border-l border-rule">
                        <span className="absolute inset-x-0 top-1/2 h-px bg-rule" />
                        {mark.from === null || mark.to === null ? (
                            <span className="absolute top-[2px] right-0 h-3 w-[12%] bg-bad/80" />
                        ) : (
                            <span
                                className="absolute top-[2px] h-3 bg-lake"
                                style={{
                                    left: `${at(mark.from)}%`,
                                    width: `${Math.max(1.2, at(mark.to) - at(mark.from))}%`,
                                    opacity: 0.35 + 0.65 * mark.probability,
                                }}
                            />
                        )}
                        {typed !== null && (
                            <span
                                className="absolute inset-y-0 w-[3px] bg-warn"
                                style={{ left: `calc(${at(typed)}% - 1px)` }}
                            />
                        )}
                    </span>
                </div>
            ))}
            <span className="text-right text-soft">{times > 1 ? `k${card.unit}` : card.unit}</span>
            <span className="figure relative block h-4 text-[0.78rem] text-soft">
                {ticks.map((tick, n) => (
                    <span key={n} className="absolute -translate-x-1/2" style={{ left: `${at(tick)}%` }}>
                        {written(tick)}
                    </span>
                ))}
                {open && <span className="absolute right-0">open</span>}
            </span>
        </figure>
    );
}

import type { ResultRow } from '@/generated/props';
import { money } from '@/lib/format';

const wide = 46;
const high = 90;

/** Closed jobs by month, those that were not right first time on top; below, what was avoidable against guessing. */
export default function MonthsPlot({ months, currency }: { months: ResultRow[]; currency: string }) {
    const most = Math.max(1, ...months.map((one) => one.jobs));
    const dear = Math.max(1, ...months.flatMap((one) => [one.avoidable ?? 0, one.guessing ?? 0]));
    const width = Math.max(6, months.length) * wide;
    const x = (n: number) => n * wide + 6;
    return (
        <div className="grid gap-6 lg:grid-cols-2">
            <figure>
                <figcaption className="text-soft">
                    <span className="mr-1 inline-block size-3 bg-lake" aria-hidden="true" /> right first time or not
                    judged, <span className="mr-1 inline-block size-3 border border-bad bg-sheet" aria-hidden="true" />{' '}
                    not
                </figcaption>
                <svg
                    viewBox={`0 0 ${width} ${high + 34}`}
                    className="max-h-44 w-full"
                    role="img"
                    aria-label="Closed jobs by month"
                >
                    {months.map((one, n) => {
                        const not = ((one.right.all - one.right.of) / most) * high;
                        const right = (one.jobs / most) * high - not;
                        return (
                            <g key={one.of}>
                                <rect x={x(n)} y={16 + high - right} width={30} height={right} className="fill-lake" />
                                <rect
                                    x={x(n) + 0.75}
                                    y={16 + high - right - not}
                                    width={28.5}
                                    height={not}
                                    className="fill-sheet stroke-bad"
                                    strokeWidth={1.5}
                                />
                                <text
                                    x={x(n) + 15}
                                    y={12 + high - right - not}
                                    textAnchor="middle"
                                    className="fill-ink text-[11px]"
                                >
                                    {one.jobs}
                                </text>
                                <text x={x(n) + 15} y={high + 30} textAnchor="middle" className="fill-soft text-[11px]">
                                    {one.label.slice(0, 3)}
                                </text>
                            </g>
                        );
                    })}
                </svg>
            </figure>
            <figure>
                <figcaption className="text-soft">
                    <span className="mr-1 inline-block h-3 w-2 bg-lake" aria-hidden="true" /> avoidable money a job,{' '}
                    <span className="mr-1 inline-block h-3 w-2 bg-soft/50" aria-hidden="true" /> by guessing, up to{' '}
                    {money(dear, currency)}
                </figcaption>
                <svg
                    viewBox={`0 0 ${width} ${high + 34}`}
                    className="max-h-44 w-full"
                    role="img"
                    aria-label="Avoidable money a job by month, against guessing"
                >
                    {months.map((one, n) => {
                        const own = ((one.avoidable ?? 0) / dear) * high;
                        const guess = ((one.guessing ?? 0) / dear) * high;
                        return (
                            <g key={one.of}>
                                <rect x={x(n)} y={16 + high - own} width={13} height={own} className="fill-lake" />
                                <rect
                                    x={x(n) + 16}
                                    y={16 + high - guess}
                                    width={13}
                                    height={guess}
                                    className="fill-soft/50"
                                />
                                <text x={x(n) + 15} y={high + 30} textAnchor="middle" className="fill-soft text-[11px]">
                                    {one.label.slice(0, 3)}
                                </text>
                            </g>
                        );
                    })}
                </svg>
            </figure>
        </div>
    );
}

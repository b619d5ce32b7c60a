import type { ReactNode } from 'react';
import type { ResultRow } from '@/generated/props';
import { money } from '@/lib/format';

const wide = 46;
const high = 90;
const floor = 16 + high;

/** One drawing for each month beside the other, each with its name below. */
function Months({
    months,
    label,
    draw,
}: {
    months: ResultRow[];
    label: string;
    draw: (month: ResultRow, x: number) => ReactNode;
}) {
    return (
        <svg
            viewBox={`0 0 ${Math.max(6, months.length) * wide} ${high + 34}`}
            className="max-h-44 w-full"
            role="img"
            aria-label={label}
        >
            {months.map((month, n) => (
                <g key={month.of}>
                    {draw(month, n * wide + 6)}
                    <text x={n * wide + 21} y={high + 30} textAnchor="middle" className="fill-soft text-[11px]">
                        {month.label.slice(0, 3)}
                    </text>
                </g>
            ))}
        </svg>
    );
}

/** Closed jobs by month, those that were not right first time on top; below, what was avoidable against guessing. */
export default function MonthsPlot({ months, currency }: { months: ResultRow[]; currency: string }) {
    const most = Math.max(1, ...months.map((one) => one.jobs));
    const dear = Math.max(1, ...months.flatMap((one) => [one.avoidable ?? 0, one.guessing ?? 0]));
    return (
        <div className="grid gap-6 lg:grid-cols-2">
            <figure>
                <figcaption className="text-soft">
                    <span className="mr-1 inline-block size-3 bg-lake" aria-hidden="true" /> right first time or not
                    judged, <span className="mr-1 inline-block size-3 border border-bad bg-sheet" aria-hidden="true" />{' '}
                    not
                </figcaption>
                <Months
                    months={months}
                    label="Closed jobs by month"
                    draw={(month, x) => {
                        const not = ((month.right.all - month.right.of) / most) * high;
                        const right = (month.jobs / most) * high - not;
                        return (
                            <>
                                <rect x={x} y={floor - right} width={30} height={right} className="fill-lake" />
                                <rect
                                    x={x + 0.75}
                                    y={floor - right - not}
                                    width={28.5}
                                    height={not}
                                    className="fill-sheet stroke-bad"
                                    strokeWidth={1.5}
                                />
                                <text
                                    x={x + 15}
                                    y={floor - 4 - right - not}
                                    textAnchor="middle"
                                    className="fill-ink text-[11px]"
                                >
                                    {month.jobs}
                                </text>
                            </>
                        );
                    }}
                />
            </figure>
            <figure>
                <figcaption className="text-soft">
                    <span className="mr-1 inline-block h-3 w-2 bg-lake" aria-hidden="true" /> avoidable money a job,{' '}
                    <span className="mr-1 inline-block h-3 w-2 bg-soft/50" aria-hidden="true" /> by guessing, up to{' '}
                    {money(dear, currency)}
                </figcaption>
                <Months
                    months={months}
                    label="Avoidable money a job by month, against guessing"
                    draw={(month, x) => {
                        const own = ((month.avoidable ?? 0) / dear) * high;
                        const guess = ((month.guessing ?? 0) / dear) * high;
                        return (
                            <>
                                <rect x={x} y={floor - own} width={13} height={own} className="fill-lake" />
                                <rect x={x + 16} y={floor - guess} width={13} height={guess} className="fill-soft/50" />
                            </>
                        );
                    }}
                />
            </figure>
        </div>
    );
}

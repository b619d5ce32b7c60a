import { useState } from 'react';
import { clock } from '@/lib/format';
import type { LoggedReading, ReadingShown } from '@/generated/props';

const WIDTH = 380;
const HEIGHT = 190;
const LEFT = 44;
const BOTTOM = 22;

/** A reading with where and how it was taken. */
export type Logged = ReadingShown & Omit<LoggedReading, 'reading'>;

/** Numbers of one quantity over the time at which they were read. */
export default function TimePlot({ readings }: { readings: Logged[] }) {
    const numbers = readings.filter((reading) => reading.number !== null && !reading.struck);
    const units = [...new Set(numbers.map((reading) => reading.unit))];
    const [chosen, setChosen] = useState('');
    const unit = units.includes(chosen) ? chosen : (units[0] ?? '');
    const points = numbers
        .filter((reading) => reading.unit === unit)
        .map((reading) => ({ at: Date.parse(reading.takenAt), value: reading.number ?? 0, reading }));
    if (points.length === 0) return null;
    const from = Math.min(...points.map((point) => point.at));
    const to = Math.max(...points.map((point) => point.at), from + 60_000);
    const low = Math.min(0, ...points.map((point) => point.value));
    const high = Math.max(...points.map((point) => point.value), low + 1e-9) || 1;
    const x = (at: number) => LEFT + ((at - from) / (to - from)) * (WIDTH - LEFT - 12);
    const y = (value: number) => 10 + (1 - (value - low) / (high - low || 1)) * (HEIGHT - BOTTOM - 16);
    const tests = [...new Set(points.map((point) => point.reading.test))];
    return (
        <section aria-labelledby="over-time">
            <div className="flex items-baseline justify-between gap-3">
                <h2 id="over-time" className="text-lg font-semibold">
                    Over time
                </h2>
                {units.length > 1 && (
                    <label>
                        in{' '}
                        <select
                            value={unit}
                            onChange={(event) => setChosen(event.target.value)}
                            className="min-h-11 rounded-[4px] border border-soft/60 bg-sheet px-2"
                        >
                            {units.map((one) => (
                                <option key={one}>{one}</option>
                            ))}
                        </select>
                    </label>
                )}
            </div>
            <svg
                viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
                role="img"
                aria-label={`${points.length} readings in ${unit} over time; the list holds each`}
                className="w-full border border-rule bg-sheet"
            >
                {[low, (low + high) / 2, high].map((level) => (
                    <g key={level}>
                        <line x1={LEFT} x2={WIDTH} y1={y(level)} y2={y(level)} className="stroke-rule" />
                        <text x={LEFT - 6} y={y(level) + 4} textAnchor="end" className="figure fill-soft text-[11px]">
                            {Number(level.toPrecision(3))}
                        </text>
                    </g>
                ))}
                {tests.map((test) => {
                    const own = points.filter((point) => point.reading.test === test).sort((a, b) => a.at - b.at);
                    return own.length > 1 ? (
                        <polyline
                            key={test}
                            points={own.map((point) => `${x(point.at)},${y(point.value)}`).join(' ')}
                            className="fill-none stroke-lake"
                            strokeWidth={1.5}
                        />
                    ) : null;
                })}
                {points.map((point) => (
                    <circle
                        key={point.reading.id}
                        cx={x(point.at)}
                        cy={y(point.value)}
                        r={5}
                        className={
                            point.reading.doubts.length > 0 && !point.reading.kept
                                ? 'fill-sheet stroke-warn'
                                : 'fill-lake stroke-sheet'
                        }
                        strokeWidth={1.5}
                    >
                        <title>{`${point.reading.title}: ${point.reading.value}, ${clock(point.reading.takenAt)}`}</title>
                    </circle>
                ))}
                <text x={LEFT} y={HEIGHT - 6} className="figure fill-soft text-[11px]">
                    {clock(new Date(from).toISOString())}
                </text>
                <text x={WIDTH - 4} y={HEIGHT - 6} textAnchor="end" className="figure fill-soft text-[11px]">
                    {clock(new Date(to).toISOString())}
                </text>
            </svg>
            <p className="text-[0.88rem] text-soft">
                In {unit}. Lines join one test read more than once; a hollow point is doubted.
            </p>
        </section>
    );
}

import {
    CartesianGrid,
    Line,
    LineChart,
    ReferenceArea,
    ReferenceDot,
    ReferenceLine,
    ResponsiveContainer,
    XAxis,
    YAxis,
} from 'recharts';
import type { Chart } from '@/generated/props';

const strokes = {
    plain: { width: 1.6, dash: '' },
    heavy: { width: 3.2, dash: '' },
    dashed: { width: 1.6, dash: '5 4' },
} as const;
const inks = ['var(--lake)', 'var(--ink)', 'var(--good)', 'var(--warn)', 'var(--soft)'];
// What is written over a curve stays readable: a rim of the paper around each letter.
const halo = { paintOrder: 'stroke', stroke: 'var(--paper)', strokeWidth: 5, strokeLinejoin: 'round' } as const;
const figure = { fontFamily: 'var(--font-mono)', fontSize: 12, fill: 'var(--ink)' };

/** From the least to the most, in steps of 1, 2 or 5 that can be read off. */
function axisOf(values: number[]): { domain: [number, number]; ticks: number[] } {
    const [least, most] = [Math.min(0, ...values), Math.max(...values)];
    const rough = (most - least || 1) / 6;
    const size = 10 ** Math.floor(Math.log10(rough));
    const step = size * ([1, 2, 5, 10].find((one) => one * size >= rough) ?? 10);
    const first = Math.floor(least / step);
    const count = Math.ceil(most / step) - first;
    const ticks = Array.from({ length: count + 1 }, (_, n) => Number(((first + n) * step).toPrecision(12)));
    return { domain: [ticks[0] ?? 0, ticks[ticks.length - 1] ?? 1], ticks };
}

/** Curves of a plan, each named at its end. */
export default function PlanChart({ chart }: { chart: Chart }) {
    const points = chart.curves.flatMap((curve) => curve.points);
    const across = axisOf([...points.map(([x]) => x), ...chart.bands.map((band) => band.to)]);
    const up = axisOf([...points.map(([, y]) => y), ...chart.levels.map((level) => level.y)]);
    return (
        <figure aria-label={chart.title}>
            <figcaption className="mb-1 font-semibold">{chart.title}</figcaption>
            <div className="h-[340px]">
                <ResponsiveContainer width="100%" height="100%">
                    <LineChart margin={{ top: 12, right: 118, bottom: 26, left: 14 }} accessibilityLayer={false}>
                        <CartesianGrid stroke="var(--rule)" vertical={false} />
                        {chart.bands.map((band, n) => (
                            <ReferenceArea
                                key={n}
                                x1={band.from}
                                x2={band.to}
                                fill="var(--lake)"
                                fillOpacity={0.09}
                                {...(n === 0
                                    ? {
                                          label: {
                                              value: band.label,
                                              position: 'insideTop' as const,
                                              ...figure,
                                              ...halo,
                                          },
                                      }
                                    : {})}
                            />
                        ))}
                        <XAxis
                            type="number"
                            dataKey="x"
                            {...across}
                            tick={figure}
                            stroke="var(--soft)"
                            label={{ value: chart.x, position: 'insideBottom', offset: -16, ...figure }}
                        />
                        <YAxis
                            type="number"
                            dataKey="y"
                            {...up}
                            tick={figure}
                            stroke="var(--soft)"
                            width={58}
                            label={{
                                value: chart.y,
                                angle: -90,
                                position: 'insideLeft',
                                style: { textAnchor: 'middle' },
                                ...figure,
                            }}
                        />
                        {chart.levels.map((level) => (
                            <ReferenceLine
                                key={level.label}
                                y={level.y}
                                stroke="var(--bad)"
                                strokeDasharray="4 4"
                                label={{ value: level.label, position: 'right', ...figure }}
                            />
                        ))}
                        {chart.curves.map((curve, n) => (
                            <Line
                                key={curve.label}
                                type="linear"
                                data={curve.points.map(([x, y]) => ({ x, y }))}
                                dataKey="y"
                                name={curve.label}
                                dot={false}
                                isAnimationActive={false}
                                stroke={inks[n % inks.length] ?? 'var(--ink)'}
                                strokeWidth={strokes[curve.style].width}
                                strokeDasharray={strokes[curve.style].dash}
                            />
                        ))}
                        {chart.marks.map((mark, n) => (
                            <ReferenceDot
                                key={n}
                                x={mark.x}
                                y={mark.y}
                                r={5}
                                fill="var(--act)"
                                stroke="var(--ink)"
                                label={{ value: mark.label, position: 'right', ...figure, ...halo }}
                            />
                        ))}
                    </LineChart>
                </ResponsiveContainer>
            </div>
            <ul className="flex flex-wrap gap-x-5 text-[0.92rem]">
                {chart.curves.map((curve, n) => (
                    <li key={curve.label} className="flex items-center gap-2">
                        <svg width="28" height="8" aria-hidden="true">
                            <path
                                d="M0 4H28"
                                stroke={inks[n % inks.length]}
                                strokeWidth={strokes[curve.style].width}
                                strokeDasharray={strokes[curve.style].dash}
                            />
                        </svg>
                        {curve.label}
                    </li>
                ))}
            </ul>
        </figure>
    );
}

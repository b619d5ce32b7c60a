import type { StepShown } from '@/generated/props';
import { figure } from '@/lib/format';

/** Duty of each step of the selector, as bars and as numbers. */
export default function StepBars({ rows, findings }: { rows: StepShown[]; findings: string[] }) {
    return (
        <section aria-labelledby="steps">
            <h2 id="steps" className="text-lg font-semibold">
                Step by step
            </h2>
            <p className="text-soft">The newest capture of each position, first channel.</p>
            {findings.length > 0 && (
                <ul className="mt-2 border-l-4 border-lake pl-3">
                    {findings.map((finding) => (
                        <li key={finding}>{finding}</li>
                    ))}
                </ul>
            )}
            <div className="mt-3 flex items-end gap-1.5" aria-hidden="true">
                {rows.map((row) => (
                    <div key={row.position} className="flex w-14 flex-col items-center">
                        <div className="relative h-24 w-9 border border-dashed border-soft/60">
                            <div
                                className={`absolute inset-x-0 bottom-0 ${row.pulsed ? 'bg-lake' : 'bg-soft/60'}`}
                                style={{ height: `${row.duty ?? 0}%` }}
                            />
                        </div>
                        <span className="figure text-[0.9rem]">{row.position}</span>
                    </div>
                ))}
            </div>
            <div className="mt-3 overflow-x-auto" tabIndex={0} role="group" aria-label="Table of the steps">
                <table className="w-full border-collapse text-[0.95rem]">
                    <thead>
                        <tr className="border-b border-rule text-left">
                            {['position', 'duty, %', 'Hz', 'low, V', 'high, V', 'missing'].map((name) => (
                                <th key={name} scope="col" className="py-1 pr-3 font-medium whitespace-nowrap">
                                    {name}
                                </th>
                            ))}
                        </tr>
                    </thead>
                    <tbody>
                        {rows.map((row) => (
                            <tr key={row.position} className="figure border-b border-rule text-[0.9rem]">
                                <th scope="row" className="py-1 pr-3 text-left font-medium">
                                    {row.position}
                                </th>
                                <td className="pr-3">
                                    {row.duty === null ? '–' : figure(row.duty, 1)}
                                    {row.pulsed ? '' : ', still'}
                                </td>
                                <td className="pr-3">{row.frequency === null ? '–' : figure(row.frequency, 1)}</td>
                                <td className="pr-3">{figure(row.low, 1)}</td>
                                <td className="pr-3">{figure(row.high, 1)}</td>
                                <td>{row.missing}</td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
        </section>
    );
}

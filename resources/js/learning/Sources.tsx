import type { SourceShown } from '@/generated/props';
import { figure, hundredths } from '@/lib/format';

/** Where parts were bought: how long they took, how dear they were, how many came back. */
export default function Sources({ sources }: { sources: SourceShown[] }) {
    if (sources.length === 0) return null;
    return (
        <section aria-label="Where parts come from" className="mt-9">
            <h2 className="text-lg font-semibold">Where parts come from</h2>
            <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Table of sources">
                <table className="w-full border-b border-rule">
                    <thead>
                        <tr className="text-[0.9rem] text-soft">
                            <th scope="col" className="text-left font-normal">
                                source
                            </th>
                            <th scope="col" className="px-3 text-right font-normal">
                                parts
                            </th>
                            <th scope="col" className="px-3 text-right font-normal">
                                usual days
                            </th>
                            <th scope="col" className="px-3 text-right font-normal">
                                price against shipped
                            </th>
                            <th scope="col" className="px-3 text-right font-normal">
                                came back
                            </th>
                        </tr>
                    </thead>
                    <tbody>
                        {sources.map((one) => (
                            <tr key={one.source} className="border-t border-rule">
                                <th scope="row" className="py-2 text-left font-medium">
                                    {one.source}
                                </th>
                                <td className="figure px-3 text-right">{one.parts}</td>
                                <td className="figure px-3 text-right">
                                    {one.leadDays === null ? '' : figure(one.leadDays, 1)}
                                </td>
                                <td className="figure px-3 text-right">
                                    {one.price === null ? '' : hundredths(one.price)}
                                </td>
                                <td className="px-3 text-right whitespace-nowrap">
                                    <span className="figure">
                                        {one.cameBack.of} of {one.cameBack.all}
                                    </span>
                                    {one.cameBack.all > 0 && (
                                        <span className="ml-2 text-[0.9rem] text-soft">
                                            up to {hundredths(one.cameBack.high)}
                                        </span>
                                    )}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
        </section>
    );
}

import type { LearnedShown } from '@/generated/props';

/** What nobody has to know about this machine: how sound ones differ, and what the readings taught about this one. */
export default function LearnedValues({ values }: { values: LearnedShown[] }) {
    if (values.length === 0) return null;
    return (
        <section aria-labelledby="learned" className="mt-6">
            <h2 id="learned" className="font-semibold">
                What the readings teach about this machine
            </h2>
            <table className="mt-1 w-full border-collapse">
                <thead>
                    <tr className="text-left text-soft">
                        <th className="border-b border-rule py-1 pr-3 font-normal">Value</th>
                        <th className="border-b border-rule py-1 pr-3 font-normal">Before any reading</th>
                        <th className="border-b border-rule py-1 font-normal">Learned</th>
                    </tr>
                </thead>
                <tbody>
                    {values.map((value) => (
                        <tr key={value.key} className="border-b border-rule align-baseline">
                            <th scope="row" className="py-1.5 pr-3 text-left font-normal">
                                {value.label}
                            </th>
                            <td className="figure py-1.5 pr-3 whitespace-nowrap">{value.before}</td>
                            <td className="figure py-1.5 font-medium whitespace-nowrap">
                                {value.after ?? <span className="font-normal text-soft">not yet</span>}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </section>
    );
}

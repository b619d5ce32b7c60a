import { lazy, Suspense } from 'react';
import CircuitSheet from '@/sheet/CircuitSheet';
import type { PlanShown } from '@/generated/props';

const PlanChart = lazy(() => import('@/planning/PlanChart'));

function List({ title, items, numbered = false }: { title: string; items: string[]; numbered?: boolean }) {
    const Tag = numbered ? 'ol' : 'ul';
    return items.length === 0 ? null : (
        <section className="mt-5">
            <h2 className="font-semibold">{title}</h2>
            <Tag className={`mt-1 space-y-1 pl-5 ${numbered ? 'list-decimal' : 'list-disc'}`}>
                {items.map((item) => (
                    <li key={item}>{item}</li>
                ))}
            </Tag>
        </section>
    );
}

/** What a planner found: refusals first, then findings, figures, tables and pictures. */
export default function Result({ plan }: { plan: PlanShown }) {
    return (
        <div aria-live="polite">
            {plan.refusals.map((refusal) => (
                <p key={refusal} role="alert" className="mt-2 border-l-4 border-bad bg-caution px-3 py-2 font-medium">
                    {refusal}
                </p>
            ))}
            {plan.findings.map((finding) => (
                <p key={finding} className="mt-2 text-[1.08rem]">
                    {finding}
                </p>
            ))}
            {plan.figures.length > 0 && (
                <dl className="mt-4 grid gap-x-6 sm:grid-cols-2">
                    {plan.figures.map((figure) => (
                        <div
                            key={figure.label}
                            className={`border-t border-rule py-1.5 ${figure.standing === 'refused' ? 'border-l-4 border-l-bad pl-2' : ''}`}
                        >
                            <dt className="text-[0.94rem]">
                                {figure.label}
                                {figure.standing === 'refused' && (
                                    <strong className="text-bad"> — does not hold</strong>
                                )}
                            </dt>
                            <dd className="figure text-[1.1rem] font-semibold">{figure.value}</dd>
                            {figure.note && <dd className="text-[0.88rem] text-soft">{figure.note}</dd>}
                        </div>
                    ))}
                </dl>
            )}
            {plan.tables.map((table) => (
                <div
                    key={table.title}
                    className="mt-5 overflow-x-auto"
                    tabIndex={0}
                    role="region"
                    aria-label={table.title}
                >
                    <table className="w-full text-left text-[0.92rem]">
                        <caption className="mb-1 text-left font-semibold">{table.title}</caption>
                        <thead>
                            <tr>
                                {table.columns.map((column) => (
                                    <th
                                        key={column}
                                        scope="col"
                                        className="border-b border-ink/40 py-1 pr-2 align-bottom leading-tight font-medium"
                                    >
                                        {column}
                                    </th>
                                ))}
                            </tr>
                        </thead>
                        <tbody>
                            {table.rows.map((row, n) => (
                                <tr key={n} className={table.marked.includes(n) ? 'bg-lake/10 font-semibold' : ''}>
                                    {row.map((cell, m) =>
                                        m === 0 ? (
                                            <th
                                                key={m}
                                                scope="row"
                                                className="border-b border-rule py-1.5 pr-3 font-medium"
                                            >
                                                {cell}
                                            </th>
                                        ) : (
                                            <td
                                                key={m}
                                                className={`figure border-b border-rule py-1.5 pr-2 ${cell.length < 10 ? 'whitespace-nowrap' : ''}`}
                                            >
                                                {cell}
                                            </td>
                                        ),
                                    )}
                                </tr>
                            ))}
                        </tbody>
                    </table>
                </div>
            ))}
            <div className="mt-6 space-y-8">
                <Suspense fallback={<div className="h-[340px]" />}>
                    {plan.charts.map((chart) => (
                        <PlanChart key={chart.title} chart={chart} />
                    ))}
                </Suspense>
            </div>
            {plan.sheet && (
                <figure className="mt-6">
                    <figcaption className="mb-1 font-semibold">Circuit</figcaption>
                    <div className="h-[400px]">
                        <CircuitSheet sheet={plan.sheet} title="The circuit of the supply" />
                    </div>
                </figure>
            )}
            <List title="Steps" items={plan.steps} numbered />
        </div>
    );
}

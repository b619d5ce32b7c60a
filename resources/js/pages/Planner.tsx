import { Link, router, usePage } from '@inertiajs/react';
import { lazy, Suspense, useState } from 'react';
import { ulid } from 'ulid';
import CircuitFields from '@/features/CircuitFields';
import CircuitSheet from '@/features/CircuitSheet';
import type { FieldShown, JobHead, Parameters, PlannerHead, PlanShown, Shared } from '@/lib/types';
import Button from '@/ui/Button';
import Frame from '@/ui/Frame';

const PlanChart = lazy(() => import('@/features/PlanChart'));

interface Props extends Shared {
    planner: PlannerHead;
    fields: FieldShown[];
    values: Parameters;
    problems: Record<string, string>;
    plan: PlanShown | null;
    job: JobHead | null;
    wanted: string;
    tests: { key: string; title: string; quantity: string }[];
}

/** Takes one of the worked values down as a reading of the job. */
function TakeDown({
    planner,
    values,
    plan,
    job,
    wanted,
    tests,
}: {
    planner: string;
    values: Parameters;
    plan: PlanShown;
    job: JobHead;
    wanted: string;
    tests: Props['tests'];
}) {
    const { errors } = usePage<Shared>().props;
    const [number, setNumber] = useState(0);
    const fitting = tests.filter((test) => test.quantity === plan.worked[number]?.quantity);
    const [test, setTest] = useState(wanted);
    const chosen = fitting.find((one) => one.key === test) ?? fitting[0];
    if (!chosen) return null;
    const select = 'min-h-11 min-w-0 rounded-[4px] border border-soft/60 bg-sheet px-2';
    return (
        <form
            className="mt-4 flex flex-wrap items-center gap-2 border-t border-rule pt-3"
            onSubmit={(event) => {
                event.preventDefault();
                router.post(
                    `/jobs/${job.id}/worked/${planner}`,
                    { id: ulid(), values: values as Record<string, string>, number, test: chosen.key },
                    { preserveState: 'errors' },
                );
            }}
        >
            <span className="font-medium">Take down</span>
            {plan.worked.length > 1 ? (
                <select
                    aria-label="Value"
                    value={number}
                    onChange={(event) => setNumber(Number(event.target.value))}
                    className={select}
                >
                    {plan.worked.map((one, n) => (
                        <option key={one.label} value={n}>
                            {one.label}
                        </option>
                    ))}
                </select>
            ) : (
                <span>{plan.worked[0]?.label}</span>
            )}
            <span>as</span>
            <select
                aria-label="Test"
                value={chosen.key}
                onChange={(event) => setTest(event.target.value)}
                className={select}
            >
                {fitting.map((one) => (
                    <option key={one.key} value={one.key}>
                        {one.title}
                    </option>
                ))}
            </select>
            <Button type="submit">Record in {job.number}</Button>
            {errors.test && (
                <p role="alert" className="font-medium text-bad">
                    {errors.test}
                </p>
            )}
        </form>
    );
}

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

function Result({ plan }: { plan: PlanShown }) {
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
                    <table className="w-full text-left text-[0.97rem]">
                        <caption className="mb-1 text-left font-semibold">{table.title}</caption>
                        <thead>
                            <tr>
                                {table.columns.map((column) => (
                                    <th
                                        key={column}
                                        scope="col"
                                        className="border-b border-ink/40 py-1 pr-3 font-medium whitespace-nowrap"
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
                                            <td key={m} className="figure border-b border-rule py-1.5 pr-3">
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

/** Fields at the left, what follows from them at the right; cautions stand over both. */
export default function Planner() {
    const { planner, fields, values, problems, plan, job, wanted, tests } = usePage<Props>().props;
    const [draft, setDraft] = useState<Parameters>(values);
    const [sending, setSending] = useState(false);
    const work = (event: React.FormEvent) => {
        event.preventDefault();
        setSending(true);
        router.get(
            `/planners/${planner.key}`,
            {
                values: draft as Record<string, string>,
                ...(job ? { job: job.id } : {}),
                ...(wanted ? { test: wanted } : {}),
            },
            { preserveState: true, preserveScroll: true, replace: true, onFinish: () => setSending(false) },
        );
    };
    return (
        <Frame title={planner.name} {...(job ? { job } : {})}>
            <div className="mx-auto max-w-[1240px] px-5 py-5">
                <p className="mb-1">
                    <Link
                        href={job ? `/jobs/${job.id}/bench` : '/planners'}
                        className="inline-flex min-h-11 items-center text-lake underline underline-offset-4"
                    >
                        {job ? 'Back to the bench' : 'All planners'}
                    </Link>
                </p>
                <h1 className="text-[1.6rem] leading-tight font-semibold">{planner.name}</h1>
                <p className="text-soft">{planner.summary}</p>
                {plan &&
                    plan.cautions.map((caution) => (
                        <p key={caution} className="mt-2 border-l-4 border-warn bg-caution px-3 py-2">
                            {caution}
                        </p>
                    ))}
                <div className="mt-5 grid grid-cols-1 gap-8 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.25fr)]">
                    <form onSubmit={work} noValidate>
                        <CircuitFields fields={fields} values={draft} errors={problems} onChange={setDraft} />
                        {Object.keys(problems).length > 0 && (
                            <p role="alert" className="mt-3 font-medium text-bad">
                                Some fields need another value before this can be worked out.
                            </p>
                        )}
                        <div className="mt-5">
                            <Button kind="act" type="submit" disabled={sending}>
                                Work it out
                            </Button>
                        </div>
                    </form>
                    {plan ? (
                        <div>
                            <Result plan={plan} />
                            {job && tests.length > 0 && Object.keys(values).length > 0 && (
                                <TakeDown
                                    planner={planner.key}
                                    values={values}
                                    plan={plan}
                                    job={job}
                                    wanted={wanted}
                                    tests={tests}
                                />
                            )}
                        </div>
                    ) : (
                        <p className="text-lg text-soft">The result stands here once every field can be read.</p>
                    )}
                </div>
            </div>
        </Frame>
    );
}

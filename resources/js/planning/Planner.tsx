import { router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import CircuitFields from '@/jobs/CircuitFields';
import { Keep, KeptPlans, TakeDown } from '@/planning/ForTheJob';
import Result from '@/planning/Result';
import type { PlannerPage } from '@/generated/props';
import type { Parameters, Shared } from '@/lib/page';
import Button from '@/ui/Button';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

type Props = PlannerPage & Shared;

/** Fields at the left, what follows from them at the right; cautions stand over both. */
export default function Planner() {
    const {
        planner,
        fields,
        values: given,
        problems,
        plan,
        job,
        wanted,
        tests,
        example,
        cautions,
        open,
        kept,
    } = usePage<Props>().props;
    const values = given as Parameters;
    const begins = job !== null && plan === null && Object.keys(problems).length === 0;
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
                    <TextLink href={job ? `/jobs/${job.id}` : '/planners'}>
                        {job ? 'Back to the job' : 'All planners'}
                    </TextLink>
                </p>
                <h1 className="text-[1.6rem] leading-tight font-semibold">{planner.name}</h1>
                <p className="text-soft">{planner.summary}</p>
                {cautions.map((caution) => (
                    <p key={caution} className="mt-2 border-l-4 border-warn bg-caution px-3 py-2">
                        {caution}
                    </p>
                ))}
                {begins && (
                    <p className="mt-3 flex flex-wrap items-center gap-x-3">
                        Filled in is what {job.number} knows. Type the rest, then work it out.
                        <TextLink href={`/planners/${planner.key}?job=${job.id}&example=1`}>Show an example</TextLink>
                    </p>
                )}
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
                    <div>
                        {plan ? (
                            <>
                                {example && (
                                    <p className="border-l-4 border-warn bg-caution px-3 py-2 font-medium">
                                        These are the values of an example, not of {job ? job.number : 'your work'}.
                                    </p>
                                )}
                                <Result plan={plan} />
                                {job && open && !example && (
                                    <>
                                        <TakeDown
                                            planner={planner.key}
                                            values={values}
                                            plan={plan}
                                            job={job}
                                            wanted={wanted}
                                            tests={tests}
                                        />
                                        <Keep planner={planner.key} values={values} job={job} />
                                    </>
                                )}
                            </>
                        ) : (
                            <p className="text-lg text-soft">The result stands here once every field can be read.</p>
                        )}
                        {kept.length > 0 && (
                            <section aria-label="Kept with the job" className="mt-8">
                                <h2 className="font-semibold">Kept with {job?.number}</h2>
                                <KeptPlans plans={kept} />
                            </section>
                        )}
                    </div>
                </div>
            </div>
        </Frame>
    );
}

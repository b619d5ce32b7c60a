import type {} from '@/generated/props';
import { usePage } from '@inertiajs/react';
import { KeptPlans } from '@/planning/ForTheJob';
import PlannerLinks from '@/planning/PlannerLinks';
import Hidden from '@/practice/Hidden';
import AdjustmentForm from '@/repair/AdjustmentForm';
import ClosingForm from '@/repair/ClosingForm';
import LentForm from '@/repair/LentForm';
import ProofCheck from '@/repair/ProofCheck';
import ProofMap from '@/repair/ProofMap';
import { endings, type ProofProps } from '@/repair/proofProps';
import ReadingLog from '@/bench/ReadingLog';
import SpeedStrip from '@/jobs/SpeedStrip';
import StillOpen from '@/repair/StillOpen';
import { day } from '@/lib/format';
import { word } from '@/lib/payload';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

export default function Proof() {
    const {
        job,
        strip,
        replacements,
        readings,
        open,
        machine,
        proved,
        checks,
        adjusted,
        closing,
        stillOpen,
        settled,
        planners,
        plans,
        practice,
    } = usePage<ProofProps>().props;
    const due = checks.filter((check) => check.right === null);
    /** What holds for each check that is still due stands before all of them, once. */
    const said = (due[0]?.cautions ?? []).filter((caution) => due.every((check) => check.cautions.includes(caution)));
    const ending = job.outcome ? endings[job.outcome] : null;
    const reason = closing
        .map((one) => one.reason)
        .filter((one): one is string => typeof one === 'string' && one !== '')
        .join(' ');
    return (
        <Frame title={`${machine ? 'Proof' : 'Close'} ${job.number}`} job={job} here="proof">
            {machine && <SpeedStrip strip={strip} />}
            <div className="mx-auto max-w-[1180px] px-5 py-5">
                <Hidden job={job} practice={practice} />
                {open ? (
                    <>
                        <h1 className="text-[1.6rem] leading-tight font-semibold">
                            {machine ? 'The same map again' : 'The end of the job'}
                        </h1>
                        {job.kind === 'adjustment' && <AdjustmentForm />}
                        {machine && <ProofMap />}
                        {proved && checks.length > 0 && (
                            <section aria-label="Checks" className="mt-6">
                                <h2 className="text-lg font-semibold">What else the fault had touched</h2>
                                {said.map((caution) => (
                                    <p
                                        key={caution}
                                        className="my-1 border-l-4 border-warn bg-caution px-3 py-1.5 font-medium"
                                    >
                                        {caution}
                                    </p>
                                ))}
                                <ul className="border-b border-rule">
                                    {checks.map((check) => (
                                        <ProofCheck key={check.test} check={check} said={said} open />
                                    ))}
                                </ul>
                            </section>
                        )}
                        <LentForm />
                        <ClosingForm />
                    </>
                ) : (
                    <>
                        <p className="text-soft">Closed {job.closedAt ? day(job.closedAt) : ''}</p>
                        <h1 className="text-[1.8rem] leading-tight font-semibold">
                            {ending?.heading ??
                                (job.temporaryUntil ? endings.temporary.heading : endings.repaired.heading)}
                        </h1>
                        {reason && <p className="mt-1 max-w-[60em]">{reason}</p>}
                        {job.outcome === 'temporary' && job.dueOn && (
                            <p className="mt-2 border-l-4 border-warn bg-caution px-3 py-2 font-medium">
                                Not repaired: the part is due on {day(job.dueOn)}.
                            </p>
                        )}
                        {job.outcome === 'adjusted' && job.dueOn && (
                            <p className="mt-2 border-l-4 border-warn bg-caution px-3 py-2 font-medium">
                                To be undone on {day(job.dueOn)}.
                            </p>
                        )}
                        {adjusted.map((one) => (
                            <p key={one.id} className="mt-1">
                                {word(one.what)}: from {word(one.before)} to {word(one.after)}.
                            </p>
                        ))}
                        {checks.some((check) => check.read !== null) && (
                            <section aria-label="Checks" className="mt-5">
                                <h2 className="text-lg font-semibold">Checks</h2>
                                <ul className="border-b border-rule">
                                    {checks
                                        .filter((check) => check.read !== null)
                                        .map((check) => (
                                            <ProofCheck key={check.test} check={check} open={false} />
                                        ))}
                                </ul>
                            </section>
                        )}
                    </>
                )}
                {(stillOpen.length > 0 || settled.length > 0) && (
                    <section aria-label="Still open" className="mt-8">
                        <h2 className="text-lg font-semibold">Still open</h2>
                        {stillOpen.length === 0 && <p className="text-soft">Nothing any more.</p>}
                        <StillOpen job={job.id} items={stillOpen} />
                        {settled.map((one) => (
                            <p key={one.what} className="mt-1 text-soft">
                                {one.what}: settled by {one.who}, {one.how}
                            </p>
                        ))}
                    </section>
                )}
                {(plans.length > 0 || (open && planners.length > 0)) && (
                    <section aria-label="Planned" className="mt-8">
                        <h2 className="text-lg font-semibold">Planned and worked out</h2>
                        <KeptPlans plans={plans} />
                        {open && (
                            <p className="flex flex-wrap items-center gap-x-4">
                                <PlannerLinks job={job.id} planners={planners} />
                            </p>
                        )}
                    </section>
                )}
                <div className="mt-8 grid gap-10 lg:grid-cols-2">
                    <section aria-label="What was done">
                        <h2 className="mb-1 text-lg font-semibold">What was done</h2>
                        {replacements.length === 0 && (
                            <p className="border-t border-rule py-2 text-soft">Nothing was replaced.</p>
                        )}
                        {replacements.map((past) => (
                            <div key={past.at} className="border-t border-rule py-2">
                                <p>
                                    <strong className="font-semibold">{past.label}</strong>
                                    {past.partNumber && (
                                        <span className="figure text-soft"> {past.partNumber}</span>
                                    )}{' '}
                                    <span className="text-soft">{day(past.at)}</span>
                                </p>
                                {past.note && <p>{past.note}</p>}
                            </div>
                        ))}
                        <p className="mt-3 flex flex-wrap gap-x-5">
                            <TextLink plain href={`/jobs/${job.id}/sheet/customer.pdf`}>
                                Sheet for the customer
                            </TextLink>
                            <TextLink plain href={`/jobs/${job.id}/sheet/file.pdf`}>
                                Sheet for the file
                            </TextLink>
                            <TextLink plain href={`/jobs/${job.id}/file`} download>
                                Export the job file
                            </TextLink>
                            <TextLink href="/">All jobs</TextLink>
                        </p>
                    </section>
                    <section aria-label="Readings">
                        <h2 className="mb-1 text-lg font-semibold">Readings</h2>
                        <ReadingLog
                            jobId={job.id}
                            readings={readings.filter((reading) => reading.map === null)}
                            open={false}
                        />
                    </section>
                </div>
            </div>
        </Frame>
    );
}

import { usePage } from '@inertiajs/react';
import JobRow from '@/jobs/JobRow';
import Lessons from '@/learning/LessonList';
import UsualRoute from '@/units/UsualRoute';
import type { ModelPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

type Props = ModelPage & Shared;

/** A model across its units: what fails on it, and how one gets there. */
export default function Model() {
    const { model, units, jobs, more, replaced, route, lessons } = usePage<Props>().props;
    const most = Math.max(1, ...replaced.map((one) => one.times));
    return (
        <Frame title={model}>
            <div className="mx-auto max-w-[1000px] px-5 py-6">
                <p className="text-soft">Model</p>
                <h1 className="text-[1.8rem] leading-none font-semibold">{model}</h1>
                <section aria-label="Units of this model" className="mt-5">
                    <h2 className="font-semibold">
                        Units <span className="figure text-soft">{units.length}</span>
                    </h2>
                    <ul className="flex flex-wrap gap-x-6">
                        {units.map((one) => (
                            <li key={one.id}>
                                <TextLink href={`/units/${one.id}`}>{one.name}</TextLink>
                                <span className="text-soft">
                                    {one.place && `, ${one.place}`}, {one.jobs === 1 ? 'one job' : `${one.jobs} jobs`}
                                </span>
                            </li>
                        ))}
                    </ul>
                </section>
                <Lessons lessons={lessons} />
                <section aria-label="What was replaced" className="mt-8">
                    <h2 className="mb-1 font-semibold">What was replaced{more && ', in its newest jobs'}</h2>
                    {replaced.length === 0 && <p className="text-soft">Nothing yet.</p>}
                    <ul>
                        {replaced.map((one) => (
                            <li
                                key={one.label}
                                className="grid items-center gap-x-4 border-t border-rule py-1.5 sm:grid-cols-[16rem_10rem_1fr]"
                            >
                                <span className="font-medium">{one.label}</span>
                                <span className="h-3 bg-rule" aria-hidden="true">
                                    <span
                                        className="block h-3 bg-lake"
                                        style={{ width: `${(100 * one.times) / most}%` }}
                                    />
                                </span>
                                <span className="text-soft">
                                    <span className="figure text-ink">{one.times}</span> times
                                    {one.held > 0 && `, held ${one.held}`}
                                    {one.not > 0 && `, did not hold ${one.not}`}
                                </span>
                            </li>
                        ))}
                    </ul>
                </section>
                {route && <UsualRoute route={route} />}
                <section aria-label="Jobs on this model" className="mt-8">
                    <h2 className="mb-1 font-semibold">Jobs</h2>
                    <ul className="border-b border-rule">
                        {jobs.map((one) => (
                            <JobRow key={one.job.id} listed={one} stage />
                        ))}
                    </ul>
                    {more && <p className="text-soft">Older ones are found in the list of jobs.</p>}
                </section>
            </div>
        </Frame>
    );
}

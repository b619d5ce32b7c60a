import { usePage } from '@inertiajs/react';
import JobRow from '@/jobs/JobRow';
import RecordsTabs from '@/learning/RecordsTabs';
import type { ResultJobsPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

type Props = ResultJobsPage & Shared;

/** The jobs behind one number of the results. */
export default function ResultJobs() {
    const { title, which, jobs, more, back } = usePage<Props>().props;
    return (
        <Frame title={`${title}: ${which}`}>
            <div className="mx-auto max-w-[1000px] px-5 py-6">
                <RecordsTabs here="results" />
                <h1 className="mt-5 text-[1.8rem] leading-none font-semibold">{title}</h1>
                <p className="mt-2 text-soft">{which}</p>
                <TextLink href={back}>Back to the results</TextLink>
                {jobs.length === 0 && <p>No job.</p>}
                <ul className="border-b border-rule">
                    {jobs.map((one) => (
                        <JobRow key={one.job.id} listed={one} />
                    ))}
                </ul>
                {more && <p className="text-soft">Older ones are found in the list of jobs.</p>}
            </div>
        </Frame>
    );
}

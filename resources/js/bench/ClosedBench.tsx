import { Link } from '@inertiajs/react';
import { day } from '@/lib/format';
import ReadingLog from './ReadingLog';
import type { BenchState } from './useBench';

/** The bench of a job that is not on it any more: what was read, as a record. */
export default function ClosedBench({ bench }: { bench: BenchState }) {
    const { job, readings, replacements } = bench;
    return (
        <div>
            <h1 className="text-[1.35rem] leading-tight font-semibold">
                {job.stage === 'closed'
                    ? `A record: closed${job.closedAt ? ` on ${day(job.closedAt)}` : ''}`
                    : 'A record: the repair is being proved'}
            </h1>
            {replacements.map((one) => (
                <p key={one.id} className="mt-1">
                    {day(one.at)}: <strong className="font-semibold">{one.label}</strong>
                    {one.partNumber ? <span className="figure text-soft"> {one.partNumber}</span> : null}
                </p>
            ))}
            <p className="mt-1 mb-2 text-soft">
                What was read stays as it was.{' '}
                <Link href={`/jobs/${job.id}/proof`} className="text-lake underline underline-offset-4">
                    To the proof
                </Link>
            </p>
            <ReadingLog jobId={job.id} readings={readings} open={false} />
        </div>
    );
}

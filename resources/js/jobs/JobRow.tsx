import { Link } from '@inertiajs/react';
import { StripInSmall } from '@/jobs/SpeedStrip';
import { day } from '@/lib/format';
import type { JobHead, JobListed } from '@/generated/props';

const kinds: Record<JobHead['kind'], string> = {
    fault: '',
    'loose-part': 'loose part',
    adjustment: 'adjustment',
    'follow-up': 'follow-up',
    remote: 'remote request',
};

const ends: Partial<Record<NonNullable<JobHead['outcome']>, string>> = {
    'not-repaired': 'not repaired',
    'proven-good': 'proven good',
    advised: 'advised',
    'not-in-service': 'not in service',
    watched: 'to be watched',
    'handed-over': 'handed over',
    cancelled: 'cancelled',
};

const stages: Record<JobHead['stage'], string> = {
    circuit: 'circuit not entered',
    bench: 'on the bench',
    proof: 'to be proved',
    closed: 'closed',
};

/** A job in a list: its number, its strip, its unit and what is special about it. */
export default function JobRow({ listed: { job, strip }, stage = false }: { listed: JobListed; stage?: boolean }) {
    const said = [
        stage && !job.outcome ? stages[job.stage] : '',
        job.practice ? 'practice' : kinds[job.kind],
        job.outcome ? (ends[job.outcome] ?? (stage ? stages.closed : '')) : '',
        job.intermittent ? 'comes and goes' : '',
        job.owner ?? '',
        day(job.closedAt ?? job.openedAt),
    ].filter(Boolean);
    return (
        <li className="border-t border-rule">
            <Link
                href={`/jobs/${job.id}`}
                className="grid min-h-16 grid-cols-[auto_1fr] items-center gap-x-5 gap-y-1 py-2 hover:bg-sheet sm:grid-cols-[5.5rem_180px_minmax(0,1fr)_auto]"
            >
                <span className="figure text-soft">{job.number}</span>
                <span className="max-sm:justify-self-end">
                    <StripInSmall strip={strip} />
                </span>
                <span className="min-w-0 max-sm:col-span-2">
                    <span className="font-semibold">{job.unit}</span>
                    {job.place && <span className="text-soft">, {job.place}</span>}
                    <span className="block truncate text-soft">{job.complaint}</span>
                </span>
                <span className="text-[0.92rem] text-soft max-sm:col-span-2 sm:text-right">
                    {job.temporaryUntil && job.stage === 'closed' && (
                        <strong className="font-semibold text-warn">temporary, due {day(job.temporaryUntil)}, </strong>
                    )}
                    {job.partExpectedOn && (
                        <strong className="font-semibold text-warn">part expected {day(job.partExpectedOn)}, </strong>
                    )}
                    {job.countersign && <strong className="font-semibold text-warn">to be countersigned, </strong>}
                    {said.join(', ')}
                </span>
            </Link>
        </li>
    );
}

import { Link, router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { StripInSmall } from '@/jobs/SpeedStrip';
import { day } from '@/lib/format';
import type { JobHead, JobsPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import FilePick from '@/ui/FilePick';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

type Props = JobsPage & Shared;

const groups: { stage: JobHead['stage']; title: string }[] = [
    { stage: 'bench', title: 'On the bench' },
    { stage: 'proof', title: 'To be proved' },
    { stage: 'circuit', title: 'Circuit not entered yet' },
    { stage: 'closed', title: 'Closed' },
];

const kinds: Record<JobHead['kind'], string> = {
    fault: '',
    'loose-part': 'loose part, ',
    adjustment: 'adjustment, ',
    'follow-up': 'follow-up, ',
    remote: 'remote request, ',
};

/** Ends that are not the ordinary one. */
function ended(job: JobHead): string {
    switch (job.outcome) {
        case 'not-repaired':
            return 'not repaired, ';
        case 'proven-good':
            return 'proven good, ';
        case 'advised':
            return 'advised, ';
        case 'not-in-service':
            return 'not in service, ';
        case 'watched':
            return 'to be watched, ';
        case 'handed-over':
            return 'handed over, ';
        default:
            return '';
    }
}

export default function Jobs() {
    const { jobs, search, errors } = usePage<Props>().props;
    const [words, setWords] = useState(search);
    const find = (event: React.FormEvent) => {
        event.preventDefault();
        router.get('/', words === '' ? {} : { q: words }, { preserveState: true });
    };
    return (
        <Frame title="Jobs">
            <div className="mx-auto max-w-[1180px] px-5 py-6">
                <div className="flex flex-wrap items-end gap-3">
                    <h1 className="mr-auto text-[1.8rem] leading-none font-semibold">Jobs</h1>
                    <form
                        onSubmit={find}
                        role="search"
                        className="flex items-end gap-2 max-sm:order-last max-sm:w-full"
                    >
                        <TextField
                            label="Unit, complaint or number"
                            type="search"
                            value={words}
                            onChange={(event) => setWords(event.target.value)}
                            className="w-64 max-sm:flex-1"
                        />
                        <Button type="submit">Find</Button>
                    </form>
                    <TextLink apart href="/practice">
                        Practise
                    </TextLink>
                    <FilePick label="Job file" accept="application/json,.json" to="/jobs/import">
                        Import a job file
                    </FilePick>
                    <Link
                        href="/jobs/new"
                        className="inline-flex min-h-11 items-center rounded-[5px] bg-act px-5 font-semibold text-act-ink"
                    >
                        New job
                    </Link>
                </div>
                {errors.file && (
                    <p role="alert" className="mt-3 border-l-4 border-bad bg-caution px-3 py-2 font-medium">
                        {errors.file}
                    </p>
                )}
                {jobs.length === 0 && (
                    <p className="mt-10 text-lg">
                        {search === ''
                            ? 'No job yet. Open one with "New job": a unit, what is wrong, and what the fan does in each position. Or practise first, on a unit that is made up.'
                            : `No job matches "${search}". Try part of the unit's name.`}
                    </p>
                )}
                {groups.map((group) => {
                    const members = jobs.filter(({ job }) => job.stage === group.stage);
                    if (members.length === 0) return null;
                    return (
                        <section key={group.stage} aria-label={group.title} className="mt-8">
                            <h2 className="mb-1 font-semibold">
                                {group.title} <span className="figure text-soft">{members.length}</span>
                            </h2>
                            <ul className="border-b border-rule">
                                {members.map(({ job, positions, states }) => (
                                    <li key={job.id} className="border-t border-rule">
                                        <Link
                                            href={`/jobs/${job.id}`}
                                            className="grid min-h-16 grid-cols-[auto_1fr] items-center gap-x-5 gap-y-1 py-2 hover:bg-sheet sm:grid-cols-[5.5rem_180px_minmax(0,1fr)_auto]"
                                        >
                                            <span className="figure text-soft">{job.number}</span>
                                            <span className="max-sm:justify-self-end">
                                                <StripInSmall positions={positions} states={states} />
                                            </span>
                                            <span className="min-w-0 max-sm:col-span-2">
                                                <span className="font-semibold">{job.unit}</span>
                                                {job.place && <span className="text-soft">, {job.place}</span>}
                                                <span className="block truncate text-soft">{job.complaint}</span>
                                            </span>
                                            <span className="text-[0.92rem] text-soft max-sm:col-span-2">
                                                {job.temporaryUntil && job.stage === 'closed' ? (
                                                    <strong className="font-semibold text-warn">
                                                        temporary, due {day(job.temporaryUntil)},{' '}
                                                    </strong>
                                                ) : (
                                                    ''
                                                )}
                                                {job.practice ? 'practice, ' : kinds[job.kind]}
                                                {ended(job)}
                                                {job.intermittent ? 'comes and goes, ' : ''}
                                                {day(job.closedAt ?? job.openedAt)}
                                            </span>
                                        </Link>
                                    </li>
                                ))}
                            </ul>
                        </section>
                    );
                })}
            </div>
        </Frame>
    );
}

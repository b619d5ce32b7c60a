import { Link, router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { ulid } from 'ulid';
import { day } from '@/lib/format';
import StillOpen from '@/repair/StillOpen';
import type { DuePage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

type Props = DuePage & Shared;

function When({ on, overdue }: { on: string; overdue: boolean }) {
    return (
        <span className={`whitespace-nowrap ${overdue ? 'font-semibold text-bad' : ''}`}>
            {day(on)}
            {overdue && ', overdue'}
        </span>
    );
}

function Returned({ job, loan }: { job: string; loan: string }) {
    const [id] = useState(ulid);
    return (
        <Button
            onClick={() =>
                router.post(
                    `/jobs/${job}/entries`,
                    { id, kind: 'returned', data: { of: loan } },
                    { preserveScroll: true },
                )
            }
        >
            It is back
        </Button>
    );
}

/** The way to all of them, where only the first stand here. */
function All({ shown, most, view }: { shown: number; most: number; view: string }) {
    return shown < most ? null : <TextLink href={`/?view=${view}`}>All of them, in the list of jobs</TextLink>;
}

export default function Due() {
    const { jobs, parts, loans, open, most } = usePage<Props>().props;
    return (
        <Frame title="Due">
            <div className="mx-auto max-w-[1000px] px-5 py-6">
                <div className="flex flex-wrap items-end gap-3">
                    <h1 className="mr-auto text-[1.8rem] leading-none font-semibold">Due</h1>
                    <a
                        href="/due.ics"
                        download
                        className="inline-flex min-h-11 items-center rounded-[5px] border border-ink/50 bg-sheet px-4 font-medium"
                    >
                        Calendar file
                    </a>
                </div>
                <section aria-label="Temporary repairs and adjustments" className="mt-7">
                    <h2 className="mb-1 font-semibold">
                        Temporary repairs, and adjustments to undo{' '}
                        <span className="figure text-soft">{jobs.length}</span>
                    </h2>
                    {jobs.length === 0 && <p className="border-t border-rule py-3 text-soft">Nothing is due.</p>}
                    <ul className="border-b border-rule">
                        {jobs.map((one) => (
                            <li key={one.id} className="border-t border-rule">
                                <Link
                                    href={`/jobs/${one.id}`}
                                    className="grid min-h-14 grid-cols-[5.5rem_minmax(0,1fr)_auto] items-center gap-x-5 py-1.5 hover:bg-sheet"
                                >
                                    <span className="figure text-soft">{one.number}</span>
                                    <span className="min-w-0">
                                        <span className="font-semibold">{one.unit}</span>
                                        {one.place && <span className="text-soft">, {one.place}</span>}
                                        <span className="block truncate text-soft">
                                            {one.outcome === 'adjusted' ? 'undo: ' : ''}
                                            {one.what}
                                        </span>
                                    </span>
                                    <When on={one.dueOn} overdue={one.overdue} />
                                </Link>
                            </li>
                        ))}
                    </ul>
                    <All shown={jobs.length} most={most} view="due" />
                </section>
                <section aria-label="Parts on order" className="mt-8">
                    <h2 className="mb-1 font-semibold">
                        Parts on order <span className="figure text-soft">{parts.length}</span>
                    </h2>
                    {parts.length === 0 && (
                        <p className="border-t border-rule py-3 text-soft">No job waits for a part.</p>
                    )}
                    <ul className="border-b border-rule">
                        {parts.map((one) => (
                            <li key={one.id} className="border-t border-rule">
                                <Link
                                    href={`/jobs/${one.jobId}/order`}
                                    className="grid min-h-14 grid-cols-[5.5rem_minmax(0,1fr)_auto] items-center gap-x-5 py-1.5 hover:bg-sheet"
                                >
                                    <span className="figure text-soft">{one.job}</span>
                                    <span className="min-w-0">
                                        <span className="font-semibold">{one.what}</span>
                                        {one.source && <span className="text-soft"> from {one.source}</span>}
                                        <span className="block truncate text-soft">{one.unit}</span>
                                    </span>
                                    <When on={one.expectedOn} overdue={one.overdue} />
                                </Link>
                            </li>
                        ))}
                    </ul>
                    <All shown={new Set(parts.map((one) => one.jobId)).size} most={most} view="part" />
                </section>
                <section aria-label="Still open" className="mt-8">
                    <h2 className="mb-1 font-semibold">
                        Still open{' '}
                        <span className="figure text-soft">{open.reduce((all, one) => all + one.items.length, 0)}</span>
                    </h2>
                    {open.length === 0 && <p className="border-t border-rule py-3 text-soft">Nothing is left open.</p>}
                    {open.map((one) => (
                        <div key={one.id} className="mb-3">
                            <p className="border-t border-rule pt-2">
                                <Link href={`/jobs/${one.id}/proof`} className="text-lake underline underline-offset-4">
                                    <span className="figure">{one.number}</span> {one.unit}
                                </Link>
                                {!one.closed && <span className="text-soft">, being worked on</span>}
                            </p>
                            <StillOpen job={one.id} items={one.items} />
                        </div>
                    ))}
                    <All shown={open.length} most={most} view="still-open" />
                </section>
                <section aria-label="Lent parts" className="mt-8">
                    <h2 className="mb-1 font-semibold">
                        Lent out <span className="figure text-soft">{loans.length}</span>
                    </h2>
                    {loans.length === 0 && <p className="border-t border-rule py-3 text-soft">Nothing is lent out.</p>}
                    <ul className="border-b border-rule">
                        {loans.map((one) => (
                            <li
                                key={one.id}
                                className="grid min-h-14 grid-cols-[5.5rem_minmax(0,1fr)_auto_auto] items-center gap-x-5 border-t border-rule py-1.5"
                            >
                                <span className="figure text-soft">{one.job}</span>
                                <span className="min-w-0">
                                    <span className="font-semibold">{one.what}</span> to {one.to}
                                    <span className="block truncate text-soft">{one.unit}</span>
                                </span>
                                <When on={one.dueOn} overdue={one.overdue} />
                                <Returned job={one.jobId} loan={one.id} />
                            </li>
                        ))}
                    </ul>
                </section>
            </div>
        </Frame>
    );
}

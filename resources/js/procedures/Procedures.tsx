import { Link, usePage } from '@inertiajs/react';
import { clock, day } from '@/lib/format';
import type { ProceduresPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import FilePick from '@/ui/FilePick';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';
import ProcedureSign from './ProcedureSign';

type Props = ProceduresPage & Shared;

/** Work that has an order, waits and a safe way out. */
export default function Procedures() {
    const { procedures, running, job, lead, errors } = usePage<Props>().props;
    const at = job ? `?job=${job.id}` : '';
    return (
        <Frame title="Procedures" {...(job ? { job } : {})}>
            <div className="mx-auto max-w-[900px] px-5 py-6">
                <div className="flex flex-wrap items-center gap-3">
                    <h1 className="mr-auto text-[1.8rem] leading-none font-semibold">Procedures</h1>
                    {lead && !job && (
                        <>
                            <FilePick label="Procedure file" accept="application/json,.json" to="/procedures/import">
                                Import a file
                            </FilePick>
                            <Link
                                href="/procedures/new"
                                className="inline-flex min-h-11 items-center rounded-[5px] bg-act px-5 font-semibold text-act-ink"
                            >
                                Write one
                            </Link>
                        </>
                    )}
                </div>
                {errors.file && (
                    <p role="alert" className="mt-3 border-l-4 border-bad bg-caution px-3 py-2 font-medium">
                        {errors.file}
                    </p>
                )}
                <p className="mt-2 text-soft">
                    {job ? 'Those that serve this kind of unit. ' : ''}Cautions first, then step by step; waits run on
                    the server's clock, whatever happens to this page.
                </p>
                {running.some((run) => run.state === 'running') && (
                    <section aria-labelledby="running" className="mt-4 border-l-4 border-warn bg-caution px-3 py-2">
                        <h2 id="running" className="font-semibold">
                            Under way
                        </h2>
                        <ul>
                            {running
                                .filter((run) => run.state === 'running')
                                .map((run) => (
                                    <li key={run.id}>
                                        <TextLink href={`/runs/${run.id}`}>{run.title}</TextLink>{' '}
                                        {run.job && <span>{run.job}, </span>}
                                        <span className="text-soft">since {clock(run.at)}</span>
                                    </li>
                                ))}
                        </ul>
                    </section>
                )}
                <ul className="mt-5 border-b border-rule">
                    {procedures.map((one) => (
                        <li key={one.key} className="flex gap-4 border-t border-rule py-2.5">
                            <ProcedureSign procedure={one.key} />
                            <div className="min-w-0">
                                <TextLink className="text-lg font-semibold" href={`/procedures/${one.key}${at}`}>
                                    {one.title}
                                </TextLink>
                                <span className="text-soft">
                                    {' '}
                                    {one.steps} steps{one.minutes > 0 ? `, waits of ${one.minutes} min and more` : ''}
                                    {one.own ? ", in the workshop's own words" : ''}
                                </span>
                                <p>{one.summary}</p>
                                {one.last && (
                                    <p className="text-[0.92rem] text-soft">
                                        Worked {one.worked === 1 ? 'once' : `${one.worked} times`} lately, last{' '}
                                        <TextLink href={`/runs/${one.last.id}`}>
                                            {[one.last.job, day(one.last.at)].filter(Boolean).join(', ')}
                                        </TextLink>
                                    </p>
                                )}
                            </div>
                        </li>
                    ))}
                </ul>
                {running.length > 0 && (
                    <section aria-labelledby="past" className="mt-8">
                        <h2 id="past" className="text-lg font-semibold">
                            Lately
                        </h2>
                        <ul>
                            {running.slice(0, 30).map((run) => (
                                <li key={run.id} className="border-t border-rule">
                                    <TextLink href={`/runs/${run.id}`}>{run.title}</TextLink>{' '}
                                    <span className="text-soft">
                                        {run.job ? `${run.job}, ` : ''}
                                        {day(run.at)}, {run.state}
                                    </span>
                                </li>
                            ))}
                        </ul>
                    </section>
                )}
            </div>
        </Frame>
    );
}

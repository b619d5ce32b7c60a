import { Link, router, usePage } from '@inertiajs/react';
import MonthsPlot from '@/learning/MonthsPlot';
import RecordsTabs from '@/learning/RecordsTabs';
import type { ResultRow, ResultsPage } from '@/generated/props';
import { hundredths, money } from '@/lib/format';
import type { Shared } from '@/lib/page';
import Choices from '@/ui/Choices';
import { TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

type Props = ResultsPage & Shared;

function useJobsBehind(page: ResultsPage) {
    return (row: ResultRow, which: string, all: boolean) =>
        `/results/jobs?${new URLSearchParams({
            by: page.by,
            from: page.from,
            until: page.until,
            which,
            ...(all ? {} : { of: row.of }),
        }).toString()}`;
}

function Behind({ to, children, says }: { to: string; children: string; says: string }) {
    return (
        <Link
            href={to}
            aria-label={says}
            className="figure inline-flex min-h-11 items-center text-lake underline underline-offset-4"
        >
            {children}
        </Link>
    );
}

function Row({ page, row, all = false }: { page: Props; row: ResultRow; all?: boolean }) {
    const behind = useJobsBehind(page);
    const currency = page.user?.currency ?? 'EUR';
    const cell = 'px-3 text-right whitespace-nowrap';
    return (
        <tr className={`border-t border-rule ${all ? 'font-semibold' : ''}`}>
            <th scope="row" className="py-1 pr-3 text-left font-medium">
                {row.label}
            </th>
            <td className={cell}>
                <Behind to={behind(row, 'all', all)} says={`${row.label}: ${row.jobs} jobs`}>
                    {String(row.jobs)}
                </Behind>
            </td>
            <td className={cell}>
                {row.right.all === 0 ? (
                    <span className="text-soft">no end yet</span>
                ) : (
                    <>
                        <Behind
                            to={behind(row, 'right', all)}
                            says={`${row.label}: ${row.right.of} of ${row.right.all} right first time`}
                        >
                            {`${row.right.of} of ${row.right.all}`}
                        </Behind>
                        <span className="ml-2 text-[0.9rem] font-normal text-soft">
                            {hundredths(row.right.low)} to {hundredths(row.right.high)}
                        </span>
                    </>
                )}
            </td>
            <td className={cell}>
                {row.cameBack === 0 ? (
                    <span className="figure text-soft">0</span>
                ) : (
                    <Behind to={behind(row, 'came-back', all)} says={`${row.label}: ${row.cameBack} came back`}>
                        {String(row.cameBack)}
                    </Behind>
                )}
            </td>
            <td className={`figure ${cell}`}>{row.minutes === null ? '' : Math.round(row.minutes)}</td>
            <td className={`figure ${cell}`}>{row.avoidable === null ? '' : money(row.avoidable, currency)}</td>
            <td className={`figure ${cell} text-soft`}>{row.guessing === null ? '' : money(row.guessing, currency)}</td>
        </tr>
    );
}

/** What came of the closed jobs: by month, circuit, model and person. */
export default function Results() {
    const page = usePage<Props>().props;
    const go = (data: Record<string, string>) =>
        router.get('/results', { by: page.by, from: page.from, until: page.until, ...data }, { preserveScroll: true });
    return (
        <Frame title="Results">
            <div className="mx-auto max-w-[1100px] px-5 py-6">
                <RecordsTabs here="results" />
                <h1 className="mt-5 text-[1.8rem] leading-none font-semibold">Results</h1>
                <p className="mt-2 max-w-[75ch] text-soft">
                    Of jobs that were closed. Avoidable is what a perfect guess would have saved: the time of the tests,
                    parts that did not hold, coming back. Beside it stands what buying on the speed map would have taken
                    on average, for the same jobs.
                </p>
                <div className="my-4 flex flex-wrap items-end gap-4">
                    <Choices label="By" value={page.by} choices={page.ways} onChange={(by) => go({ by })} />
                    <TextField
                        label="From"
                        type="month"
                        className="w-44"
                        defaultValue={page.from}
                        onChange={(event) => event.target.value !== '' && go({ from: event.target.value })}
                    />
                    <TextField
                        label="Until"
                        type="month"
                        className="w-44"
                        defaultValue={page.until}
                        onChange={(event) => event.target.value !== '' && go({ until: event.target.value })}
                    />
                </div>
                {page.all.jobs === 0 ? (
                    <p>No job was closed in these months.</p>
                ) : (
                    <>
                        <MonthsPlot months={page.months} currency={page.user?.currency ?? 'EUR'} />
                        <div className="mt-5 overflow-x-auto" tabIndex={0} role="region" aria-label="Table of results">
                            <table className="w-full border-b border-rule">
                                <thead>
                                    <tr className="text-[0.9rem] text-soft">
                                        <th scope="col" className="text-left font-normal">
                                            {page.ways.find((one) => one.value === page.by)?.label}
                                        </th>
                                        {[
                                            'jobs',
                                            'right first time',
                                            'came back',
                                            'minutes',
                                            'avoidable',
                                            'by guessing',
                                        ].map((one) => (
                                            <th key={one} scope="col" className="px-3 text-right font-normal">
                                                {one}
                                            </th>
                                        ))}
                                    </tr>
                                </thead>
                                <tbody>
                                    {page.rows.map((row) => (
                                        <Row key={row.of} page={page} row={row} />
                                    ))}
                                    <Row page={page} row={page.all} all />
                                </tbody>
                            </table>
                        </div>
                        <TextLink
                            plain
                            download
                            href={`/results.csv?by=${page.by}&from=${page.from}&until=${page.until}`}
                        >
                            As a table (CSV)
                        </TextLink>
                    </>
                )}
            </div>
        </Frame>
    );
}

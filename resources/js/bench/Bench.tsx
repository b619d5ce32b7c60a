import { Link, router, usePage } from '@inertiajs/react';
import { useEffect, useState } from 'react';
import CircuitSheet from '@/sheet/CircuitSheet';
import Doubts from '@/bench/Doubts';
import Elsewhere from '@/bench/Elsewhere';
import LeadsOn from '@/bench/LeadsOn';
import PlannerLinks from '@/planning/PlannerLinks';
import NextTest from '@/bench/NextTest';
import ReadingDock, { spellsUnit } from '@/bench/ReadingDock';
import ReadingLog from '@/bench/ReadingLog';
import SeriesTable from '@/bench/SeriesTable';
import SpeedStrip from '@/jobs/SpeedStrip';
import Suspects from '@/bench/Suspects';
import TestList from '@/bench/TestList';
import { money, percent, sketchNumber } from '@/lib/format';
import type { BenchPage, DiagnosisShown, ReadingShown } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import Frame from '@/ui/Frame';
import Panel from '@/ui/Panel';

type Props = BenchPage & Shared;

/** In words, what the last reading changed. */
function whatChanged(before: DiagnosisShown, after: DiagnosisShown, reading: ReadingShown | undefined): string {
    const was = before.suspects[0];
    const is = after.suspects[0];
    if (!reading || !is || !was) return '';
    const old = before.suspects.find((suspect) => suspect.remedy === is.remedy)?.probability ?? 0;
    const lead = is.remedy === was.remedy ? is.label : `${is.label} now leads`;
    return `Recorded ${reading.value}. ${lead}: ${percent(old)} to ${percent(is.probability)}.`;
}

export default function Bench() {
    const {
        job,
        strip,
        sheet,
        readings,
        diagnosis,
        chosen,
        open: onBench,
        tools,
        whatIf,
        series,
        stepping,
        planners,
        leadsOn,
        worksheets,
        meters,
        leads,
        user,
    } = usePage<Props>().props;
    // A question changes nothing, so nothing can be recorded while it is asked.
    const open = onBench && whatIf === null;
    const ask = (question: Record<string, string>) => {
        setPanel(null);
        router.get(`/jobs/${job.id}/bench`, question, { preserveState: true, preserveScroll: true });
    };
    const currency = user?.currency ?? 'EUR';
    const [panel, setPanel] = useState<'tests' | 'why' | 'readings' | null>(null);
    const [near, setNear] = useState<string[] | null>(null);
    const [volts, setVolts] = useState(false);
    const [draft, setDraft] = useState({ test: '', value: '' });
    const [shownByMeter, setShownByMeter] = useState<number | null>(null);
    const [lastWords, setLastWords] = useState<string | null>(null);
    const { card, verdict, misfit } = diagnosis;
    const typed = draft.test === card?.key ? draft.value : '';
    const recorded = (page: { props: unknown }) => {
        const now = page.props as Props;
        setLastWords(whatChanged(diagnosis, now.diagnosis, now.readings[0]));
    };

    // The newest that is still asked about: older ones stand in the readings.
    const doubted = readings.find((reading) => reading.doubts.length > 0 && !reading.kept && !reading.struck);
    const another = () => {
        const next = diagnosis.tests.find((test) => test.key !== card?.key && test.key !== diagnosis.next?.key);
        if (next)
            router.get(`/jobs/${job.id}/bench`, { test: next.key }, { preserveState: true, preserveScroll: true });
    };
    useEffect(() => {
        const onKey = (event: globalThis.KeyboardEvent) => {
            const target = event.target as HTMLElement;
            if (
                event.altKey ||
                event.ctrlKey ||
                event.metaKey ||
                panel !== null ||
                (target.tagName === 'INPUT' && target.getAttribute('inputmode') !== 'decimal') ||
                target.tagName === 'TEXTAREA'
            )
                return;
            const key = event.key.toLowerCase();
            if (target.tagName === 'INPUT' && card && spellsUnit(card, typed)) return;
            if (key === 't') {
                setNear(null);
                setPanel('tests');
            } else if (key === 'w') setPanel('why');
            else if (key === 'l') setPanel('readings');
            else if (key === 'x') another();
            else if (key === 'v' && target.tagName !== 'INPUT') setVolts((shown) => !shown);
            else return;
            event.preventDefault();
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    });

    return (
        <Frame title={`Bench ${job.number}`} job={job} here="bench" fill>
            <SpeedStrip strip={strip} here={card?.position ?? ''} />
            {whatIf && (
                <div
                    role="status"
                    className="flex flex-wrap items-center gap-3 border-b-2 border-lake bg-sheet px-5 py-1"
                >
                    <p>
                        <strong className="font-semibold">What if</strong> {whatIf}? Nothing is stored.
                    </p>
                    <Button kind="quiet" onClick={() => ask({})}>
                        Back to the facts
                    </Button>
                </div>
            )}
            <div
                data-readings={readings.length}
                className="grid min-h-0 flex-1 max-lg:grid-cols-1 lg:grid-cols-[minmax(0,1.16fr)_minmax(0,1fr)_minmax(0,0.72fr)]"
            >
                <section
                    aria-label="Circuit"
                    className="flex min-h-0 flex-col px-5 py-3 max-lg:order-2 lg:border-r lg:border-rule"
                >
                    <div className="flex items-center justify-between gap-3">
                        <h2 className="text-soft">{card ? card.setUp : 'All plugged in'}</h2>
                        <Button
                            kind="quiet"
                            aria-pressed={volts}
                            aria-keyshortcuts="V"
                            onClick={() => setVolts(!volts)}
                        >
                            {volts ? sheet.potential.hide : sheet.potential.show}{' '}
                            <span className="key no-underline">V</span>
                        </Button>
                    </div>
                    <div className="min-h-[300px] flex-1">
                        <CircuitSheet
                            sheet={sheet}
                            title="Circuit with the current path of this set-up, suspects marked, and the leads of the test"
                            suspects={diagnosis.suspects}
                            red={card?.red ? card.at : null}
                            black={card?.black ? card.against : null}
                            volts={volts}
                            onElement={(element) => {
                                setNear([element.id, element.from, element.to]);
                                setPanel('tests');
                            }}
                        />
                    </div>
                    <p className="text-[0.88rem] text-soft">
                        Heavy line: current when nothing is wrong. Press a part to test there.
                    </p>
                </section>
                <section
                    aria-label="Next test"
                    className="min-h-0 overflow-y-auto px-5 py-3 max-lg:order-1 lg:border-r lg:border-rule"
                    tabIndex={0}
                >
                    {misfit && (
                        <div role="alert" className="mb-3 border-l-4 border-bad bg-caution px-3 py-2">
                            {misfit.map((one) => (
                                <p key={one.reading}>
                                    <strong className="font-semibold">{one.sentence}</strong> {one.hint}
                                </p>
                            ))}
                            <Button kind="quiet" onClick={() => setPanel('readings')}>
                                Strike it out in the readings
                            </Button>
                        </div>
                    )}
                    {diagnosis.traps.length > 0 && (
                        <div
                            role="note"
                            aria-label="What the readings do not say"
                            className="mb-3 border-l-4 border-warn bg-caution px-3 py-1.5"
                        >
                            {[...new Set(diagnosis.traps.map((one) => one.sentence))].slice(-3).map((sentence) => (
                                <p key={sentence}>{sentence}</p>
                            ))}
                        </div>
                    )}
                    {diagnosis.elsewhere && <Elsewhere jobId={job.id} found={diagnosis.elsewhere} />}
                    {verdict && (
                        <div className="mb-3 border-2 border-lake bg-sheet px-4 py-3">
                            <p className="text-soft">
                                {verdict.byElimination
                                    ? 'No test separates further'
                                    : 'No test is worth its minutes any more'}
                            </p>
                            <p className="text-[1.5rem] leading-tight font-semibold">
                                {verdict.label} <span className="figure">{percent(verdict.probability)}</span>
                            </p>
                            {verdict.causes.length > 0 && open && (
                                <>
                                    <p className="mt-2 font-medium">Before it is final, look for the cause:</p>
                                    <ul>
                                        {verdict.causes.map((cause) => (
                                            <li key={cause.test} className="border-t border-rule py-1">
                                                {cause.question}{' '}
                                                <Link
                                                    href={`/jobs/${job.id}/bench?test=${cause.test}`}
                                                    preserveScroll
                                                    className="inline-flex min-h-11 items-center text-lake underline underline-offset-4"
                                                >
                                                    {cause.title}
                                                </Link>
                                            </li>
                                        ))}
                                    </ul>
                                </>
                            )}
                            <Link
                                href={`/jobs/${job.id}/verdict`}
                                className="mt-2 inline-flex min-h-11 items-center rounded-[5px] bg-act px-5 font-semibold text-act-ink"
                            >
                                To the verdict
                            </Link>
                        </div>
                    )}
                    {card && open && (
                        <NextTest
                            card={card}
                            choice={diagnosis.tests.find((test) => test.key === card.key)}
                            proposed={chosen === null || chosen === diagnosis.next?.key}
                            typed={shownByMeter ?? sketchNumber(typed)}
                        />
                    )}
                    {card && open && series.length > 1 && (
                        <SeriesTable
                            jobId={job.id}
                            steps={series}
                            here={card.key}
                            unit={card.unit}
                            stepping={stepping}
                        />
                    )}
                    {!card && !verdict && !misfit && (
                        <p>
                            No test is left that tells anything. Choose one of the others, or go to the verdict with the
                            odds as they stand.
                        </p>
                    )}
                    {open && (
                        <p className="mt-2 flex flex-wrap gap-x-1">
                            <Button
                                kind="quiet"
                                aria-keyshortcuts="T"
                                onClick={() => {
                                    setNear(null);
                                    setPanel('tests');
                                }}
                            >
                                Other tests <span className="key">T</span>
                            </Button>
                            <Button kind="quiet" aria-keyshortcuts="X" onClick={another}>
                                Cannot do this here <span className="key">X</span>
                            </Button>
                            {card &&
                                (worksheets[card.quantity] ?? [])
                                    .filter(
                                        (sheet) =>
                                            sheet.tests.length === 0 ||
                                            sheet.tests.includes(card.key.replace(/@.*/, '')),
                                    )
                                    .map((sheet) => (
                                        <Link
                                            key={sheet.key}
                                            href={`/planners/${sheet.key}?job=${job.id}&test=${card.key}`}
                                            className="inline-flex min-h-11 items-center px-2 text-lake underline underline-offset-4"
                                        >
                                            {sheet.name}
                                        </Link>
                                    ))}
                            {card && (card.quantity === 'duty' || card.quantity === 'frequency') && (
                                <Link
                                    href={`/jobs/${job.id}/captures?test=${card.key}`}
                                    className="inline-flex min-h-11 items-center px-2 text-lake underline underline-offset-4"
                                >
                                    From a capture
                                </Link>
                            )}
                        </p>
                    )}
                </section>
                <section
                    aria-label="Suspects"
                    className="min-h-0 overflow-y-auto px-5 py-3 max-lg:order-3"
                    tabIndex={0}
                >
                    <h2 className="mb-2 text-soft">Suspects, by what would cure it</h2>
                    <Suspects suspects={diagnosis.suspects} currency={currency} most={4} all={false} />
                    <LeadsOn leads={leadsOn} />
                    <p className="flex flex-wrap gap-x-1">
                        <Button kind="quiet" aria-keyshortcuts="W" onClick={() => setPanel('why')}>
                            Why <span className="key">W</span>
                        </Button>
                        <Button kind="quiet" aria-keyshortcuts="L" onClick={() => setPanel('readings')}>
                            Readings <span className="key">L</span>
                        </Button>
                        <Link
                            href={`/jobs/${job.id}/log`}
                            className="inline-flex min-h-11 items-center px-2 text-lake underline underline-offset-4"
                        >
                            Log
                        </Link>
                        <Link
                            href={`/jobs/${job.id}/captures`}
                            className="inline-flex min-h-11 items-center px-2 text-lake underline underline-offset-4"
                        >
                            Captures
                        </Link>
                        {open && !verdict && (
                            <Link
                                href={`/jobs/${job.id}/verdict`}
                                className="inline-flex min-h-11 items-center px-2 text-lake underline underline-offset-4"
                            >
                                Verdict now
                            </Link>
                        )}
                    </p>
                    {planners.length > 0 && (
                        <p className="flex flex-wrap items-center gap-x-3">
                            <span className="text-soft">Plan:</span>
                            <PlannerLinks job={job.id} planners={planners} />
                        </p>
                    )}
                    <p className="mt-1 border-t border-rule pt-2 leading-snug">
                        <strong className="font-semibold">Price of guessing.</strong> Buying on these odds wastes{' '}
                        {money(diagnosis.guessing, currency)} on average
                        {diagnosis.next && chosen === null
                            ? `; this test saves ${money(Math.max(0, diagnosis.next.saves), currency)} and costs ${money(diagnosis.next.cost, currency)}`
                            : ''}
                        .
                    </p>
                </section>
            </div>
            <div className="sticky bottom-0 z-10">
                {open && doubted && <Doubts key={doubted.id} jobId={job.id} reading={doubted} />}
                {card && open && (
                    <ReadingDock
                        key={card.key}
                        jobId={job.id}
                        meters={meters}
                        leads={leads}
                        stepping={stepping}
                        onLive={setShownByMeter}
                        card={card}
                        supplyLabel={sheet.potential.supply}
                        lastWords={lastWords}
                        typed={typed}
                        onType={(value) => setDraft({ test: card.key, value })}
                        onRecorded={recorded}
                    />
                )}
            </div>
            <Panel
                open={panel === 'tests'}
                onOpenChange={(on) => setPanel(on ? 'tests' : null)}
                title={near ? 'Tests at this place' : 'Every test, best first'}
                description="What it saves is the fall in the price of guessing, before its own minutes."
            >
                <TestList
                    jobId={job.id}
                    tests={diagnosis.tests}
                    beyond={diagnosis.beyond}
                    tools={tools}
                    currency={currency}
                    near={near}
                    onChosen={() => setPanel(null)}
                />
            </Panel>
            <Panel
                open={panel === 'why'}
                onOpenChange={(on) => setPanel(on ? 'why' : null)}
                title="Why these odds"
                description="Each reading against what the suspects would show."
            >
                <Suspects
                    suspects={diagnosis.suspects}
                    currency={currency}
                    most={8}
                    all
                    onSuppose={(remedy) => ask({ suppose: remedy })}
                />
            </Panel>
            <Panel
                open={panel === 'readings'}
                onOpenChange={(on) => setPanel(on ? 'readings' : null)}
                title="Readings"
                description="Newest first. A reading is never changed: strike it out and take it again."
            >
                <ReadingLog
                    jobId={job.id}
                    readings={readings}
                    open={open}
                    spoiling={misfit?.map((one) => one.reading) ?? []}
                    onWhatIf={(reading, showed) => ask({ reading, showed })}
                />
            </Panel>
        </Frame>
    );
}

import { useEffect, useState } from 'react';
import TakeAlong from '@/away/TakeAlong';
import SpeedStrip from '@/jobs/SpeedStrip';
import { money } from '@/lib/format';
import ExercisePanel from '@/practice/ExercisePanel';
import ExerciseTests from '@/practice/ExerciseTests';
import Guess from '@/practice/Guess';
import Hidden from '@/practice/Hidden';
import HookUp from '@/practice/HookUp';
import PlannerLinks from '@/planning/PlannerLinks';
import CircuitSheet from '@/sheet/CircuitSheet';
import Button from '@/ui/Button';
import Frame from '@/ui/Frame';
import AtTheDock, { Traps } from './AtTheDock';
import ClosedBench from './ClosedBench';
import Elsewhere from './Elsewhere';
import LeadsOn from './LeadsOn';
import NextTest from './NextTest';
import OtherWays, { WorkedOut } from './OtherWays';
import Panels from './Panels';
import PhoneBench from './PhoneBench';
import ReadingDock from './ReadingDock';
import SeriesTable from './SeriesTable';
import Suspects from './Suspects';
import VerdictNear from './VerdictNear';
import WhatIf from './WhatIf';
import { useBench, type BenchState } from './useBench';
import TextLink from '@/ui/TextLink';

/** Whether one screen has to hold one step. */
function usePhone(): boolean {
    const asked = '(max-width: 639px)';
    const [phone, setPhone] = useState(() => window.matchMedia(asked).matches);
    useEffect(() => {
        const list = window.matchMedia(asked);
        const change = () => setPhone(list.matches);
        list.addEventListener('change', change);
        return () => list.removeEventListener('change', change);
    }, []);
    return phone;
}

export default function Bench() {
    const bench = useBench();
    const phone = usePhone();
    return phone ? <PhoneBench bench={bench} /> : <WideBench bench={bench} />;
}

function WideBench({ bench }: { bench: BenchState }) {
    const { job, strip, card, open, diagnosis, readings, series, setPanel } = bench;
    const { verdict, misfit } = diagnosis;
    return (
        <Frame title={`Bench ${job.number}`} job={job} here="bench" fill trail={!bench.hides}>
            <SpeedStrip strip={strip} here={card?.position ?? ''} low />
            <WhatIf bench={bench} />
            <div
                data-readings={readings.length}
                className="grid min-h-0 flex-1 max-lg:grid-cols-1 lg:grid-cols-[minmax(0,1.1fr)_minmax(0,1.12fr)_minmax(0,0.72fr)]"
            >
                <Circuit bench={bench} />
                <section
                    aria-label="Next test"
                    className="flex min-h-0 flex-col gap-1 overflow-y-auto px-5 py-1.5 max-lg:order-1 lg:border-r lg:border-rule"
                    tabIndex={0}
                >
                    {bench.exercise?.guessNow && <Guess job={job.id} exercise={bench.exercise} />}
                    {open && !bench.hides && <OtherWays bench={bench} />}
                    {bench.hides && <ExerciseTests bench={bench} />}
                    {bench.whatIf === null && !bench.open && <ClosedBench bench={bench} />}
                    {diagnosis.elsewhere && <Elsewhere jobId={job.id} found={diagnosis.elsewhere} />}
                    <VerdictNear bench={bench} />
                    {card && open && (
                        <NextTest
                            jobId={job.id}
                            card={card}
                            diagnosis={diagnosis}
                            proposed={bench.proposed}
                            typed={bench.sketched}
                            currency={bench.currency}
                            done={bench.done}
                            cannot={bench.instead}
                            onReasons={() => setPanel('reasons')}
                        />
                    )}
                    {bench.hides && bench.exercise && !bench.exercise.guessNow && (
                        <HookUp key={card?.key} bench={bench} exercise={bench.exercise} />
                    )}
                    {open && !bench.hides && <WorkedOut bench={bench} />}
                    {card && open && series.length > 1 && (
                        <SeriesTable
                            jobId={job.id}
                            steps={series}
                            here={card.key}
                            unit={card.unit}
                            stepping={bench.stepping}
                        />
                    )}
                    {!card && !verdict && !misfit && bench.open && !bench.hides && (
                        <p>
                            No test is left that tells anything. Choose one of the others, or go to the verdict with the
                            odds as they stand.
                        </p>
                    )}
                </section>
                <Ladder bench={bench} />
            </div>
            <div className="sticky bottom-0 z-10">
                <AtTheDock bench={bench} />
                {bench.dock && <ReadingDock key={bench.dockOf} {...bench.dock} />}
            </div>
            <Panels bench={bench} />
        </Frame>
    );
}

function Circuit({ bench }: { bench: BenchState }) {
    const { card, sheet, diagnosis, volts, setVolts } = bench;
    return (
        <section
            aria-label="Circuit"
            className="flex min-h-0 flex-col px-5 py-2 max-lg:order-2 lg:border-r lg:border-rule"
        >
            <div className="flex items-center justify-between gap-3">
                <h2 className="leading-snug text-soft">{card ? card.setUp : 'All plugged in'}</h2>
                <Button kind="quiet" aria-pressed={volts} aria-keyshortcuts="V" onClick={() => setVolts(!volts)}>
                    {volts ? sheet.potential.hide : sheet.potential.show} <span className="key no-underline">V</span>
                </Button>
            </div>
            <div className="min-h-[300px] flex-1 max-lg:h-[420px]">
                <CircuitSheet
                    sheet={sheet}
                    title="Circuit with the current path of this set-up, suspects marked, and the leads of the test"
                    suspects={diagnosis.suspects}
                    red={card?.red ? bench.leadsPut.red || card.at : null}
                    black={card?.black ? bench.leadsPut.black || card.against : null}
                    volts={volts}
                    plugs={card?.plugs}
                    onElement={(element) => bench.pressed(element)}
                />
            </div>
            <p className="text-[0.88rem] text-soft">
                {bench.hides && bench.exercise?.leads
                    ? 'Press a part to put the red lead at it, then the black one.'
                    : 'Heavy line: current when nothing is wrong. Press a part to test there.'}
            </p>
        </section>
    );
}

function Ladder({ bench }: { bench: BenchState }) {
    const { job, setPanel } = bench;
    return (
        <section aria-label="Suspects" className="min-h-0 overflow-y-auto px-5 py-2 max-lg:order-3" tabIndex={0}>
            <Hidden job={job} practice={bench.practice} />
            {bench.exercise && <ExercisePanel bench={bench} exercise={bench.exercise} />}
            {bench.hides ? (
                <p className="flex flex-wrap gap-x-1">
                    <Button kind="quiet" aria-keyshortcuts="L" onClick={() => setPanel('readings')}>
                        Readings <span className="key">L</span>
                    </Button>
                    <TextLink apart href={`/jobs/${job.id}/captures`}>
                        Captures
                    </TextLink>
                </p>
            ) : (
                <Odds bench={bench} />
            )}
            {bench.open && <TakeAlong job={job} />}
        </section>
    );
}

function Odds({ bench }: { bench: BenchState }) {
    const { job, diagnosis, currency, leadsOn, planners, setPanel } = bench;
    return (
        <>
            <Traps bench={bench} />
            <h2 className="mb-1 text-soft">Suspects, by what would cure it</h2>
            <Suspects suspects={diagnosis.suspects} currency={currency} most={4} all={false} />
            <LeadsOn leads={leadsOn} />
            <p className="flex flex-wrap gap-x-1">
                <Button kind="quiet" aria-keyshortcuts="W" onClick={() => setPanel('why')}>
                    Why <span className="key">W</span>
                </Button>
                <Button kind="quiet" aria-keyshortcuts="L" onClick={() => setPanel('readings')}>
                    Readings <span className="key">L</span>
                </Button>
                <TextLink apart href={`/jobs/${job.id}/log`}>
                    Log
                </TextLink>
                <TextLink apart href={`/jobs/${job.id}/captures`}>
                    Captures
                </TextLink>
                {bench.open && !diagnosis.verdict && (
                    <TextLink apart href={`/jobs/${job.id}/verdict`}>
                        Verdict now
                    </TextLink>
                )}
            </p>
            {planners.length > 0 && (
                <p className="flex flex-wrap items-center gap-x-3">
                    <span className="text-soft">Plan:</span>
                    <PlannerLinks job={job.id} planners={planners} />
                </p>
            )}
            {bench.open && (
                <p className="mt-1 border-t border-rule pt-2 leading-snug">
                    <strong className="font-semibold">Price of guessing.</strong> Buying on these odds wastes{' '}
                    {money(diagnosis.guessing, currency)} on average.
                </p>
            )}
        </>
    );
}

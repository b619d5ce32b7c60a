import { Head, Link } from '@inertiajs/react';
import AwayLine from '@/away/AwayLine';
import CircuitSheet from '@/sheet/CircuitSheet';
import ExerciseTests from '@/practice/ExerciseTests';
import Guess from '@/practice/Guess';
import Tour from '@/practice/Tour';
import HookUp from '@/practice/HookUp';
import Button from '@/ui/Button';
import Waiting from '@/ui/Waiting';
import WordsButton from '@/words/WordsButton';
import AtTheDock, { Traps } from './AtTheDock';
import Cautions from './Cautions';
import ClosedBench from './ClosedBench';
import Elsewhere from './Elsewhere';
import Keypad from './Keypad';
import { InsteadOf, Outcomes, StepLine, WhyThis } from './NextTest';
import OtherWays, { WorkedOut } from './OtherWays';
import Panels from './Panels';
import SeriesTable from './SeriesTable';
import StripSign from './StripSign';
import VerdictNear from './VerdictNear';
import WhatIf from './WhatIf';
import type { BenchState } from './useBench';

/** One screen holds one step: nothing scrolls away, and all that is left over lies one press away. */
export default function PhoneBench({ bench }: { bench: BenchState }) {
    const { job, card, open, diagnosis, sheet, series, volts, setVolts, setPanel } = bench;
    const bar = 'min-h-11 flex-1 px-1 text-[0.95rem] text-lake underline underline-offset-4';
    return (
        <div className="flex h-dvh flex-col overflow-hidden">
            <Head title={`Bench ${job.number}`} />
            <Waiting />
            <header className="flex min-h-12 items-center gap-2 border-b border-rule pr-1 pl-1">
                <Link
                    href="/"
                    aria-label="Jobs"
                    className="flex min-h-11 min-w-11 items-center justify-center text-[1.4rem] text-lake"
                >
                    ‹
                </Link>
                <p className="min-w-0 flex-1 truncate">
                    <span className="font-semibold">{job.unit}</span> <span className="text-soft">{job.complaint}</span>
                </p>
                <button
                    type="button"
                    onClick={() => setPanel('strip')}
                    aria-label="Speed map, and take this job along"
                    className="flex min-h-11 items-end px-2"
                >
                    <StripSign strip={bench.strip} here={card?.position ?? ''} />
                </button>
            </header>
            <Tour job={job} />
            <WhatIf bench={bench} />
            <main
                id="main"
                data-readings={bench.readings.length}
                className="flex min-h-0 flex-1 flex-col gap-1.5 overflow-y-auto px-3.5 py-1.5"
            >
                {bench.whatIf === null && !open && <ClosedBench bench={bench} />}
                <VerdictNear bench={bench} />
                {card && open && (
                    <div className="flex shrink-0 grow flex-col gap-1.5" data-test={card.key}>
                        <StepLine
                            diagnosis={diagnosis}
                            choice={bench.choice}
                            proposed={bench.proposed}
                            done={bench.done}
                        />
                        <h1 className="text-[1.25rem] leading-tight font-semibold">{card.title}</h1>
                        <Cautions key={card.key} jobId={job.id} card={card} />
                        {bench.proposed && <InsteadOf cannot={bench.instead} />}
                        <div className={card.red ? 'min-h-[132px] flex-1 border border-rule bg-sheet' : ''}>
                            <CircuitSheet
                                closed={card.red === null}
                                sheet={sheet}
                                title="The drawing around the two leads"
                                suspects={diagnosis.suspects}
                                red={card.red ? bench.leadsPut.red || card.at : null}
                                black={card.black ? bench.leadsPut.black || card.against : null}
                                volts={volts}
                                plugs={card.plugs}
                                onElement={(element) => bench.pressed(element)}
                            />
                        </div>
                        <WhyThis
                            card={card}
                            choice={bench.choice}
                            currency={bench.currency}
                            onReasons={() => setPanel('reasons')}
                        />
                        <Outcomes card={card} most={3} />
                    </div>
                )}
                {open && <WorkedOut bench={bench} />}
                <Traps bench={bench} />
                {diagnosis.elsewhere && <Elsewhere jobId={job.id} found={diagnosis.elsewhere} />}
                {card && open && series.length > 1 && (
                    <SeriesTable
                        jobId={job.id}
                        steps={series}
                        here={card.key}
                        unit={card.unit}
                        stepping={bench.stepping}
                    />
                )}
                {bench.exercise?.guessNow && <Guess job={job.id} exercise={bench.exercise} />}
                {bench.hides && bench.exercise && !bench.exercise.guessNow && (
                    <HookUp key={card?.key} bench={bench} exercise={bench.exercise} />
                )}
                {bench.hides && <ExerciseTests bench={bench} />}
                {!card && open && !bench.hides && <OtherWays bench={bench} />}
            </main>
            <nav aria-label="More of this job" className="flex border-t border-rule bg-sheet">
                <Button kind="quiet" className={bar} onClick={() => setPanel('suspects')}>
                    {bench.hides ? 'Exercise' : 'Suspects'}
                </Button>
                <WordsButton className="flex-1 px-1 text-[0.95rem]" />
                <Button kind="quiet" className={bar} onClick={() => setPanel('readings')}>
                    Readings
                </Button>
                {open && (
                    <Button kind="quiet" className={bar} aria-label="Other tests" onClick={() => bench.showTests(null)}>
                        Tests
                    </Button>
                )}
                <Button
                    kind="quiet"
                    className={bar}
                    aria-pressed={volts}
                    aria-label={volts ? sheet.potential.hide : sheet.potential.show}
                    onClick={() => setVolts(!volts)}
                >
                    {volts ? 'No volts' : 'Volts'}
                </Button>
                {!bench.hides && (
                    <Link href={`/jobs/${job.id}/verdict`} className={`${bar} inline-flex items-center justify-center`}>
                        Verdict
                    </Link>
                )}
            </nav>
            {bench.notice && (
                <p role="status" className="border-t border-warn/40 bg-caution px-3 py-1.5 leading-snug">
                    {bench.notice}
                </p>
            )}
            <AtTheDock bench={bench} />
            {!bench.dock && <AwayLine dock />}
            {bench.dock && (
                <Keypad
                    key={bench.dockOf}
                    {...bench.dock}
                    onMore={() => (bench.hides ? bench.showTests(null) : setPanel('cannot'))}
                />
            )}
            <Panels bench={bench} />
        </div>
    );
}

import TakeAlong from '@/away/TakeAlong';
import SpeedStrip from '@/jobs/SpeedStrip';
import ExercisePanel from '@/practice/ExercisePanel';
import Hidden from '@/practice/Hidden';
import Panel from '@/ui/Panel';
import CannotPanel from './CannotPanel';
import KeysPanel from './KeysPanel';
import LeadsOn from './LeadsOn';
import ReadingLog from './ReadingLog';
import Suspects from './Suspects';
import TestList from './TestList';
import TestReasons from './TestReasons';
import type { BenchState, Lies } from './useBench';

/** What can be laid over the bench. */
export default function Panels({ bench }: { bench: BenchState }) {
    const { job, panel, setPanel, near, diagnosis, currency, card, readings, open, cannot } = bench;
    const on = (which: Lies) => (shown: boolean) => setPanel(shown ? which : null);
    return (
        <>
            <Panel
                open={panel === 'tests'}
                onOpenChange={on('tests')}
                title={near ? 'Tests at this place' : bench.hides ? 'Every test' : 'Every test, best first'}
                description={
                    bench.hides
                        ? 'In the order of the circuit: which one is next is for you to say.'
                        : 'What it saves is the fall in the price of guessing, before its own minutes.'
                }
            >
                <TestList
                    jobId={job.id}
                    tests={diagnosis.tests}
                    beyond={diagnosis.beyond}
                    tools={bench.tools}
                    currency={currency}
                    near={near}
                    onChosen={() => setPanel(null)}
                />
            </Panel>
            <Panel
                open={panel === 'why'}
                onOpenChange={on('why')}
                title="Why these odds"
                description="Each reading against what the suspects would show."
            >
                <Suspects
                    suspects={diagnosis.suspects}
                    currency={currency}
                    most={8}
                    all
                    onSuppose={(remedy) => bench.ask({ suppose: remedy })}
                />
            </Panel>
            <Panel
                open={panel === 'suspects'}
                onOpenChange={on('suspects')}
                title={bench.hides ? 'Exercise' : 'Suspects'}
                description={bench.hides ? 'Nothing is shown before it is over.' : 'By what would cure it.'}
            >
                <Suspects suspects={diagnosis.suspects} currency={currency} most={6} all={false} />
                <LeadsOn leads={bench.leadsOn} />
                <Hidden job={job} practice={bench.practice} />
                {bench.exercise && <ExercisePanel bench={bench} exercise={bench.exercise} />}
            </Panel>
            <Panel
                open={panel === 'strip'}
                onOpenChange={on('strip')}
                title="As it was found"
                description="What is heard in each position, and what should be."
            >
                <SpeedStrip strip={bench.strip} here={card?.position ?? ''} />
                {open && (
                    <div className="mt-3">
                        <TakeAlong job={job} />
                    </div>
                )}
            </Panel>
            <Panel
                open={panel === 'readings'}
                onOpenChange={on('readings')}
                title="Readings"
                description="Newest first. A reading is never changed: strike it out and take it again."
            >
                <ReadingLog
                    jobId={job.id}
                    readings={readings}
                    open={open}
                    spoiling={diagnosis.misfit?.map((one) => one.reading) ?? []}
                    onWhatIf={(reading, showed) => bench.ask({ reading, showed })}
                    onStruck={bench.undo.offer}
                />
            </Panel>
            {card && (
                <Panel
                    open={panel === 'reasons'}
                    onOpenChange={on('reasons')}
                    title="Why this test"
                    description={card.title}
                >
                    <TestReasons card={card} choice={bench.choice} currency={currency} typed={bench.sketched} />
                </Panel>
            )}
            {card && (
                <CannotPanel
                    jobId={job.id}
                    card={card}
                    cannot={cannot}
                    open={panel === 'cannot'}
                    onOpenChange={on('cannot')}
                    onAnother={bench.another}
                />
            )}
            <KeysPanel open={panel === 'keys'} onOpenChange={on('keys')} />
        </>
    );
}

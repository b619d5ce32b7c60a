import TestList from '@/bench/TestList';
import type { BenchState } from '@/bench/useBench';
import Button from '@/ui/Button';

/** Every test, in the order of the circuit: which one is next is for the person to say. */
export default function ExerciseTests({ bench }: { bench: BenchState }) {
    const { job, card, diagnosis, exercise } = bench;
    if (exercise?.guessNow) return null;
    if (card)
        return (
            <p>
                <Button kind="quiet" aria-keyshortcuts="T" onClick={() => bench.showTests(null)}>
                    Another test <span className="key">T</span>
                </Button>
            </p>
        );
    return (
        <>
            <h1 className="text-[1.3rem] leading-tight font-semibold">What do you measure?</h1>
            <TestList
                jobId={job.id}
                tests={diagnosis.tests}
                beyond={diagnosis.beyond}
                tools={bench.tools}
                currency={bench.currency}
                near={null}
                onChosen={() => bench.setPanel(null)}
            />
        </>
    );
}

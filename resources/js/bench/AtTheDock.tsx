import Button from '@/ui/Button';
import Doubts from './Doubts';
import type { BenchState } from './useBench';

/** What is doubtful or fits nothing: right above the number that is looked at. */
export default function AtTheDock({ bench }: { bench: BenchState }) {
    const { diagnosis, doubted, open, job, setPanel } = bench;
    return (
        <>
            {diagnosis.misfit && (
                <div
                    role="alert"
                    className="flex flex-wrap items-center gap-x-4 border-t-2 border-bad bg-caution px-5 py-1 max-sm:px-3"
                >
                    <div className="min-w-[240px] flex-1 leading-snug">
                        {diagnosis.misfit.map((one) => (
                            <p key={one.reading}>
                                <strong className="font-semibold">{one.sentence}</strong> {one.hint}
                            </p>
                        ))}
                    </div>
                    <Button kind="quiet" onClick={() => setPanel('readings')}>
                        Strike it out in the readings
                    </Button>
                </div>
            )}
            {open && doubted && <Doubts key={doubted.id} jobId={job.id} reading={doubted} />}
        </>
    );
}

/** What the readings do not say, folded to its first line. */
export function Traps({ bench }: { bench: BenchState }) {
    const sentences = [...new Set(bench.diagnosis.traps.map((one) => one.sentence))].slice(-3);
    const [first, ...others] = sentences;
    if (first === undefined) return null;
    return (
        <div
            role="note"
            aria-label="What the readings do not say"
            className="border-l-4 border-warn bg-caution px-3 py-1 leading-snug"
        >
            {others.length === 0 ? (
                first
            ) : (
                <details>
                    <summary className="min-h-9 cursor-pointer">
                        {first} <span className="text-lake">({others.length} more)</span>
                    </summary>
                    {others.map((sentence) => (
                        <p key={sentence} className="mt-1">
                            {sentence}
                        </p>
                    ))}
                </details>
            )}
        </div>
    );
}

import Button from '@/ui/Button';
import type { BenchState } from './useBench';

/** A question that changes nothing, while it is asked. */
export default function WhatIf({ bench }: { bench: BenchState }) {
    return bench.whatIf ? (
        <div role="status" className="flex flex-wrap items-center gap-3 border-b-2 border-lake bg-sheet px-5 py-1">
            <p>
                <strong className="font-semibold">What if</strong> {bench.whatIf}? Nothing is stored.
            </p>
            <Button kind="quiet" onClick={() => bench.ask({})}>
                Back to the facts
            </Button>
        </div>
    ) : null;
}

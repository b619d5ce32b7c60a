import { Link } from '@inertiajs/react';
import { percent } from '@/lib/format';
import type { BenchState } from './useBench';
import TextLink from '@/ui/TextLink';

/** What the bench has found, before it leaves for the verdict. */
export default function VerdictNear({ bench }: { bench: BenchState }) {
    const { job, open } = bench;
    const { verdict } = bench.diagnosis;
    if (!verdict) return null;
    return (
        <div className="border-2 border-lake bg-sheet px-4 py-2">
            <p className="text-soft">
                {verdict.byElimination ? 'No test separates further' : 'No test is worth its minutes any more'}
            </p>
            <p className="text-[1.4rem] leading-tight font-semibold">
                {verdict.label} <span className="figure">{percent(verdict.probability)}</span>
            </p>
            {verdict.causes.length > 0 && open && (
                <>
                    <p className="mt-1 font-medium">Before it is final, look for the cause:</p>
                    <ul>
                        {verdict.causes.map((cause) => (
                            <li key={cause.test} className="border-t border-rule py-1">
                                {cause.question}{' '}
                                <TextLink href={`/jobs/${job.id}/bench?test=${cause.test}`} preserveScroll>
                                    {cause.title}
                                </TextLink>
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
    );
}

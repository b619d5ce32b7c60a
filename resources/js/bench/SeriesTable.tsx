import { Link } from '@inertiajs/react';
import type { SeriesStep } from '@/generated/props';

interface Props {
    jobId: string;
    steps: SeriesStep[];
    here: string;
    unit: string;
    stepping: boolean;
}

/** One measurement in every position: what is expected as an outline, what was read as a bar. */
export default function SeriesTable({ jobId, steps, here, unit, stepping }: Props) {
    const most = Math.max(0.001, ...steps.flatMap((step) => [Math.abs(step.expected ?? 0), Math.abs(step.read ?? 0)]));
    const height = (value: number | null) => `${(100 * Math.abs(value ?? 0)) / most}%`;
    return (
        <section aria-label="The same in every position" className="mt-3 border-t border-rule pt-2">
            <ol className="flex items-end gap-1 overflow-x-auto">
                {steps.map((step) => (
                    <li
                        key={step.test}
                        className={`flex min-w-14 flex-1 flex-col items-center px-0.5 pt-1 ${step.test === here ? 'bg-caution' : ''}`}
                    >
                        <span className="figure text-[0.82rem]">
                            {step.text === null ? ' ' : step.text.replace(` ${unit}`, '')}
                        </span>
                        <span className="relative block h-14 w-8" aria-hidden="true">
                            <span
                                className="absolute inset-x-0 bottom-0 border border-b-0 border-dashed border-soft"
                                style={{ height: height(step.expected) }}
                            />
                            {step.read !== null && (
                                <span
                                    className="absolute inset-x-1 bottom-0 bg-lake"
                                    style={{ height: height(step.read) }}
                                />
                            )}
                            <span className="absolute inset-x-0 bottom-0 h-px bg-ink" />
                        </span>
                        <Link
                            href={`/jobs/${jobId}/bench?test=${step.test}&series=1`}
                            preserveScroll
                            className="figure inline-flex min-h-8 items-center text-[0.9rem] text-lake underline underline-offset-4"
                            aria-current={step.test === here ? 'step' : undefined}
                        >
                            {step.position}
                            <span className="sr-only">
                                : {step.text ?? 'not read'}, expected {step.expectedText}
                            </span>
                        </Link>
                    </li>
                ))}
            </ol>
            <p className="flex flex-wrap items-center gap-x-2 text-[0.88rem] text-soft">
                {stepping ? 'Outline: a sound unit. After Record the next position is up.' : 'Outline: a sound unit.'}
                {stepping ? (
                    <Link
                        href={`/jobs/${jobId}/bench`}
                        className="inline-flex min-h-9 items-center text-lake underline underline-offset-4"
                    >
                        Leave the table
                    </Link>
                ) : (
                    <Link
                        href={`/jobs/${jobId}/bench?test=${here}&series=1`}
                        preserveScroll
                        className="inline-flex min-h-9 items-center text-lake underline underline-offset-4"
                    >
                        Step through all positions
                    </Link>
                )}
            </p>
        </section>
    );
}

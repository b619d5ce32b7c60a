import { useState } from 'react';
import { usePage } from '@inertiajs/react';
import type { ExerciseShown } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import { act } from './act';

/** What is believed, set down before the odds are shown: parts of ten for each. */
export default function Guess({ job, exercise }: { job: string; exercise: ExerciseShown }) {
    const { errors } = usePage<Shared>().props;
    const one = exercise.remedies.filter((remedy) => !remedy.value.includes('+'));
    const [shares, setShares] = useState<Record<string, number>>(() =>
        Object.fromEntries(one.map((remedy) => [remedy.value, Math.round((exercise.believed[remedy.value] ?? 0) / 5)])),
    );
    const total = Object.values(shares).reduce((sum, share) => sum + share, 0);
    return (
        <section aria-label="What do you believe?" className="flex flex-col gap-1.5">
            <h2 className="text-[1.2rem] leading-tight font-semibold">What do you believe?</h2>
            <p className="leading-snug">
                Give more to what you believe more. Then you see the odds, and learn how sure you may be.
            </p>
            <ul>
                {one.map((remedy) => {
                    const share = shares[remedy.value] ?? 0;
                    return (
                        <li key={remedy.value} className="border-t border-rule">
                            <label className="grid min-h-11 grid-cols-[minmax(0,1fr)_7rem_3rem] items-center gap-3">
                                <span className="leading-tight">{remedy.label}</span>
                                <input
                                    type="range"
                                    min={0}
                                    max={20}
                                    value={share}
                                    aria-valuetext={`${total === 0 ? 0 : Math.round((100 * share) / total)} percent`}
                                    onChange={(event) =>
                                        setShares({ ...shares, [remedy.value]: Number(event.target.value) })
                                    }
                                    className="h-6 w-full accent-(--lake)"
                                />
                                <span className="figure text-right">
                                    {total === 0 ? 0 : Math.round((100 * share) / total)}%
                                </span>
                            </label>
                        </li>
                    );
                })}
            </ul>
            {errors.shares && (
                <p role="alert" className="font-medium text-bad">
                    {errors.shares}
                </p>
            )}
            <p>
                <Button kind="act" disabled={total === 0} onClick={() => act(job, 'guess', { shares })}>
                    That is what I believe
                </Button>
            </p>
        </section>
    );
}

import { useState } from 'react';
import { Link, usePage } from '@inertiajs/react';
import type { BenchState } from '@/bench/useBench';
import type { ExerciseShown } from '@/generated/props';
import { minutes } from '@/lib/format';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import Select from '@/ui/Select';
import TextLink from '@/ui/TextLink';
import { act } from './act';

const ways = { guided: 'Guided', own: 'Own way', examination: 'Examination' };

/** What stands beside the tests of an exercise: its minutes, a hint, shortcuts, and naming what is wrong. */
export default function ExercisePanel({ bench, exercise }: { bench: BenchState; exercise: ExerciseShown }) {
    const { job } = bench;
    if (exercise.over)
        return (
            <p className="my-2">
                This exercise is over. <TextLink href={`/jobs/${job.id}/score`}>See what came of it</TextLink>
            </p>
        );
    return (
        <section aria-label="Exercise" className="flex flex-col gap-3 border-t border-rule pt-2">
            <p className="flex items-baseline justify-between gap-3">
                <strong className="font-semibold">{ways[exercise.way]}</strong>
                <span className="text-right">
                    {exercise.minutes === 0 ? 'no minutes yet' : `${minutes(exercise.minutes)} so far`}
                </span>
            </p>
            {exercise.way === 'own' && <Hint job={job.id} exercise={exercise} />}
            {exercise.hides && <Written bench={bench} />}
            <Name job={job.id} exercise={exercise} />
            {exercise.shortcuts.length > 0 && exercise.hides && (
                <details>
                    <summary className="min-h-9 cursor-pointer text-lake">What else you could do</summary>
                    <ul className="flex flex-col">
                        {exercise.shortcuts.map((one) => (
                            <li key={one.key}>
                                <Button kind="quiet" onClick={() => act(job.id, 'shortcut', { shortcut: one.key })}>
                                    {one.title}
                                </Button>
                            </li>
                        ))}
                    </ul>
                </details>
            )}
        </section>
    );
}

/** The newest readings: what is not shown elsewhere while the odds are hidden. */
function Written({ bench }: { bench: BenchState }) {
    const newest = bench.readings.filter((one) => one.map === null).slice(0, 5);
    if (newest.length === 0) return null;
    return (
        <div>
            <h2 className="text-soft">Written down, newest first</h2>
            <ul>
                {newest.map((one) => (
                    <li key={one.id} className="flex justify-between gap-3 border-t border-rule py-0.5 leading-snug">
                        <span className={one.struck ? 'line-through' : ''}>{one.title}</span>
                        <span className="figure whitespace-nowrap">{one.value}</span>
                    </li>
                ))}
            </ul>
        </div>
    );
}

function Hint({ job, exercise }: { job: string; exercise: ExerciseShown }) {
    if (exercise.hintWhy !== null)
        return (
            <p role="note" aria-label="Hint" className="border-l-4 border-lake bg-sheet px-3 py-1 leading-snug">
                {exercise.hint ? (
                    <Link href={`?test=${exercise.hint}`} className="text-lake underline underline-offset-4">
                        {exercise.hintWhy}
                    </Link>
                ) : (
                    exercise.hintWhy
                )}
            </p>
        );
    return (
        <p>
            <Button kind="plain" onClick={() => act(job, 'hint')}>
                A hint, for {minutes(exercise.hintMinutes)}
            </Button>
        </p>
    );
}

function Name({ job, exercise }: { job: string; exercise: ExerciseShown }) {
    const { errors } = usePage<Shared>().props;
    const [remedy, setRemedy] = useState('');
    return (
        <form
            className="flex flex-col gap-2"
            onSubmit={(event) => {
                event.preventDefault();
                act(job, 'named', { remedy });
            }}
        >
            <Select
                label="What is wrong"
                value={remedy}
                empty="not known yet"
                choices={exercise.remedies}
                error={errors.remedy}
                onChange={(event) => setRemedy(event.target.value)}
            />
            <p>
                <Button kind={exercise.hides ? 'act' : 'plain'} type="submit" disabled={remedy === ''}>
                    Name it, and see what came of it
                </Button>
            </p>
        </form>
    );
}

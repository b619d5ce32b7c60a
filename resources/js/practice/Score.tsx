import { useState } from 'react';
import { usePage } from '@inertiajs/react';
import type { ExerciseStep, ScorePage } from '@/generated/props';
import SpeedStrip from '@/jobs/SpeedStrip';
import { minutes, money } from '@/lib/format';
import type { Shared } from '@/lib/page';
import CircuitSheet from '@/sheet/CircuitSheet';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

type Props = ScorePage & Shared;

/** What came of an exercise: never a bare number, but step by step what it told and what would have told more. */
export default function Score() {
    const { job, score, sheet, strip } = usePage<Props>().props;
    const [at, setAt] = useState(0);
    const step = score.steps[at];
    return (
        <Frame title={`Result ${job.number}`} job={job} here="score" trail={false}>
            <SpeedStrip strip={strip} here="" low />
            <div className="mx-auto grid max-w-[1280px] gap-x-8 gap-y-4 px-5 py-4 lg:grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)]">
                <div className="flex flex-col gap-4">
                    <Head />
                    <section aria-label="Step by step">
                        <h2 className="mb-1 text-[1.3rem] font-semibold">Step by step</h2>
                        {score.steps.length === 0 && <p>Nothing was measured: the pattern of speeds alone spoke.</p>}
                        <ol className="flex flex-col">
                            {score.steps.map((one, n) => (
                                <Step key={n} n={n} step={one} chosen={n === at} onChoose={() => setAt(n)} />
                            ))}
                        </ol>
                    </section>
                </div>
                <div className="flex flex-col gap-4">
                    <section aria-label="Drawing" className="lg:sticky lg:top-2">
                        <p className="leading-snug text-soft">
                            {step ? `Step ${at + 1}: leads as they were. ${step.setUp}` : 'All plugged in'}
                        </p>
                        <div className="h-[340px] border border-rule bg-sheet">
                            <CircuitSheet
                                sheet={sheet}
                                title="Circuit with the leads of the step"
                                suspects={[]}
                                red={step?.at ?? null}
                                black={step && step.against !== '' ? step.against : null}
                                volts={false}
                            />
                        </div>
                    </section>
                    <Courses />
                </div>
            </div>
        </Frame>
    );
}

function Head() {
    const { job, score, way } = usePage<Props>().props;
    return (
        <section aria-label="Result" className="flex flex-col gap-2">
            <div className="flex items-end gap-5">
                <p className="leading-none">
                    <span className="figure text-[3.2rem] font-semibold">{score.points}</span>{' '}
                    <span className="text-soft">of 100</span>
                </p>
                <p className={`pb-1.5 text-[1.2rem] font-semibold ${score.passed ? 'text-good' : 'text-bad'}`}>
                    {score.danger ? 'Stopped' : score.passed ? 'Passed' : 'Not passed'}
                </p>
            </div>
            <h1
                role={score.danger ? 'alert' : undefined}
                className={`text-[1.25rem] leading-snug font-semibold ${score.danger ? 'border-l-4 border-bad bg-caution px-3 py-2' : ''}`}
            >
                {score.verdict}
            </h1>
            {(score.right || score.danger) && (
                <p className="leading-snug">
                    <span className="text-soft">Hidden in it: </span>
                    {score.hidden}.
                </p>
            )}
            <p className="leading-snug">
                {[
                    score.hints > 0 ? `${score.hints} ${score.hints === 1 ? 'hint' : 'hints'}` : '',
                    score.needless > 0
                        ? `${score.needless} ${score.needless === 1 ? 'test' : 'tests'} that told next to nothing`
                        : 'No needless test',
                    score.unwritten > 0 ? `${score.unwritten} measured and not written down` : 'All written down',
                ]
                    .filter(Boolean)
                    .join('. ')}
                .
            </p>
            {score.believed && <p className="leading-snug">{score.believed}</p>}
            <p className="flex flex-wrap gap-x-4">
                <TextLink href="/practice">On with practice</TextLink>
                {way === 'guided' && (
                    <TextLink apart href={`/jobs/${job.id}/bench`}>
                        Back to the bench, to repair and prove it
                    </TextLink>
                )}
                {way !== 'guided' && (
                    <TextLink apart href={`/jobs/${job.id}/bench`}>
                        The bench, with all that was hidden
                    </TextLink>
                )}
            </p>
        </section>
    );
}

function Step({ n, step, chosen, onChoose }: { n: number; step: ExerciseStep; chosen: boolean; onChoose: () => void }) {
    return (
        <li className={`border-t border-rule py-2 ${chosen ? 'border-l-4 border-l-lake pl-3' : ''}`}>
            <p className="flex items-baseline justify-between gap-3">
                <button
                    type="button"
                    onClick={onChoose}
                    aria-pressed={chosen}
                    className="min-h-9 text-left leading-tight font-semibold hover:text-lake"
                >
                    {n + 1}. {step.title}
                </button>
                <span className="figure whitespace-nowrap">{step.showed ?? 'not written down'}</span>
            </p>
            {step.slip && <p className="leading-snug font-medium text-bad">{step.slip}</p>}
            {step.guess && <p className="leading-snug text-soft">{step.guess}</p>}
            <p className="leading-snug">{step.told}</p>
            {step.better ? (
                <p className="leading-snug">
                    <span className="font-semibold">Better: </span>
                    {step.better}
                    {step.why && ` ${step.why}.`}
                </p>
            ) : (
                <p className="leading-snug text-good">Nothing would have told more for its minutes.</p>
            )}
            <p className="text-[0.9rem] text-soft">{minutes(step.minutes)}</p>
        </li>
    );
}

function Courses() {
    const { score, user } = usePage<Props>().props;
    const currency = user?.currency ?? 'EUR';
    return (
        <section aria-label="Beside the best">
            <h2 className="mb-1 text-[1.3rem] font-semibold">Beside the best</h2>
            <table className="w-full border-collapse text-left">
                <thead>
                    <tr className="text-[0.9rem] text-soft">
                        <th className="py-1 pr-3 font-normal">Whose</th>
                        <th className="py-1 pr-3 text-right font-normal">Minutes</th>
                        <th className="py-1 text-right font-normal">What it cost</th>
                    </tr>
                </thead>
                <tbody>
                    {score.courses.map((one) => (
                        <tr key={one.whose} className="border-t border-rule align-top">
                            <th scope="row" className="py-1.5 pr-3 font-normal">
                                <span className="font-semibold">{one.whose}</span>
                                <span className="block text-[0.9rem] leading-snug text-soft">
                                    {one.tests.length === 0 ? 'No test' : one.tests.join('; ')}
                                    {one.named && `. Named: ${one.named}${one.right ? '' : ', which is not right'}`}
                                </span>
                            </th>
                            <td className="figure py-1.5 pr-3 text-right whitespace-nowrap">
                                {Math.round(one.minutes)}
                            </td>
                            <td className="figure py-1.5 text-right whitespace-nowrap">{money(one.money, currency)}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <p className="mt-1 text-[0.9rem] leading-snug text-soft">
                The cost is that of the minutes, and of being wrong: the part, its fitting and the come-back; or, of who
                was right on few readings, how often that would have gone wrong.
            </p>
        </section>
    );
}

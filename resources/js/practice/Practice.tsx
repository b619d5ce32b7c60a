import { useState } from 'react';
import { router, usePage } from '@inertiajs/react';
import { ulid } from 'ulid';
import type { ExerciseListed, LadderShown, PracticePage } from '@/generated/props';
import { day } from '@/lib/format';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import Frame from '@/ui/Frame';
import Select from '@/ui/Select';
import TextLink from '@/ui/TextLink';

type Props = PracticePage & Shared;

const begin = (given: Record<string, string | number | boolean>) =>
    router.post('/practice', { id: ulid(), mapId: ulid(), ...given });

/** Exercises: what comes next, the ladder of each circuit, what a lead has set, and what was done. */
export default function Practice() {
    const { next, going, over, sets, replayed, watch, teaches, errors } = usePage<Props>().props;
    const error = errors.family ?? errors.rung;
    return (
        <Frame title="Practise">
            <div className="mx-auto flex max-w-[1180px] flex-col gap-6 px-5 py-5">
                <div className="flex flex-wrap items-baseline justify-between gap-3">
                    <h1 className="text-[1.8rem] leading-none font-semibold">Practise on make-believe machines</h1>
                    {teaches && <TextLink href="/practice/teach">Set exercises, and see results</TextLink>}
                </div>
                {error && (
                    <p role="alert" className="font-medium text-bad">
                        {error}
                    </p>
                )}
                {next && (
                    <section
                        aria-label="What comes next"
                        className="flex flex-wrap items-center justify-between gap-4 border-l-4 border-lake bg-sheet px-4 py-3"
                    >
                        <div>
                            <h2 className="text-[1.3rem] leading-tight font-semibold">
                                Next: {next.circuit}, {next.title.toLowerCase()}
                            </h2>
                            <p className="text-soft">{next.why}</p>
                            {watch.length > 0 && (
                                <ul aria-label="Look out for" className="pt-1">
                                    {watch.map((one) => (
                                        <li key={one}>{one}</li>
                                    ))}
                                </ul>
                            )}
                        </div>
                        <Button kind="act" onClick={() => begin({ family: next.family, rung: next.rung })}>
                            Begin
                        </Button>
                    </section>
                )}
                {going.length > 0 && (
                    <section aria-label="Going on">
                        <h2 className="mb-1 text-[1.3rem] font-semibold">Going on</h2>
                        <Listed exercises={going} to="bench" />
                    </section>
                )}
                {sets.length > 0 && <Sets />}
                <Ladder replayed={replayed} />
                {over.length > 0 && (
                    <section aria-label="Done">
                        <h2 className="mb-1 text-[1.3rem] font-semibold">Done</h2>
                        <Listed exercises={over} to="score" />
                    </section>
                )}
                <p className="max-w-[60em] text-soft">
                    Such a machine has values of its own, as far apart as those of real ones, and a meter that errs a
                    little. What is done on it counts in no record, no odds and no list of what is due.
                </p>
            </div>
        </Frame>
    );
}

export function Listed({ exercises, to }: { exercises: ExerciseListed[]; to: 'bench' | 'score' | null }) {
    return (
        <ul>
            {exercises.map((one) => (
                <li
                    key={one.job}
                    className="grid min-h-12 grid-cols-[4.5rem_minmax(0,1fr)_auto] items-center gap-x-4 border-t border-rule py-1.5"
                >
                    <span className="figure text-soft">{one.number}</span>
                    <span className="leading-snug">
                        {to ? (
                            <TextLink href={`/jobs/${one.job}/${to}`}>
                                {one.circuit}, {one.title.toLowerCase()}
                            </TextLink>
                        ) : (
                            <span className="font-medium">
                                {one.circuit}, {one.title.toLowerCase()}
                            </span>
                        )}
                        <span className="block text-[0.9rem] text-soft">
                            {[one.who, one.set, one.way.toLowerCase(), one.overAt ? day(one.overAt) : '']
                                .filter(Boolean)
                                .join(', ')}
                            {one.verdict && `. ${one.verdict}`}
                        </span>
                    </span>
                    {one.points !== null && (
                        <span className="text-right">
                            <span className="figure text-[1.2rem] font-semibold">{one.points}</span>
                            <span className={`block text-[0.9rem] ${one.passed ? 'text-good' : 'text-bad'}`}>
                                {one.passed ? 'passed' : 'not passed'}
                            </span>
                        </span>
                    )}
                </li>
            ))}
        </ul>
    );
}

function Sets() {
    const { sets } = usePage<Props>().props;
    return (
        <section aria-label="Set for you">
            <h2 className="mb-1 text-[1.3rem] font-semibold">Set for you</h2>
            <ul>
                {sets.map((set) => (
                    <li key={set.id} className="border-t border-rule py-2">
                        <p>
                            <strong className="font-semibold">{set.title}</strong>{' '}
                            <span className="text-soft">
                                {set.way.toLowerCase()}, by {set.by}, {day(set.madeAt)}
                            </span>
                        </p>
                        <p className="flex flex-wrap gap-2 pt-1">
                            {set.units.map((unit, n) =>
                                unit.job ? (
                                    <TextLink key={n} href={`/jobs/${unit.job}/${unit.over ? 'score' : 'bench'}`}>
                                        {n + 1}. {unit.circuit}: {unit.over ? 'done' : 'going on'}
                                    </TextLink>
                                ) : (
                                    <Button key={n} kind="plain" onClick={() => begin({ set: set.id, unit: n })}>
                                        {n + 1}. {unit.circuit}
                                    </Button>
                                ),
                            )}
                        </p>
                    </li>
                ))}
            </ul>
        </section>
    );
}

const stands: Record<string, string> = { passed: 'passed', failed: 'not passed', open: '' };

function climbed(ladder: LadderShown): string {
    const passed = ladder.rungs.filter((rung) => rung.state === 'passed').length;
    return passed === 0 ? ladder.name : `${ladder.name} (${passed} of ${ladder.rungs.length})`;
}

function Ladder({ replayed }: { replayed: string[] }) {
    const { ladders, usual, next } = usePage<Props>().props;
    const [family, setFamily] = useState(next?.family ?? usual);
    const ladder = ladders.find((one) => one.family === family);
    return (
        <section aria-label="Ladder" className="flex flex-col gap-2">
            <h2 className="text-[1.3rem] font-semibold">The ladder of a circuit</h2>
            <Select
                label="Circuit"
                value={family}
                choices={ladders.map((one) => ({ value: one.family, label: climbed(one) }))}
                hint={ladder?.summary ?? null}
                onChange={(event) => setFamily(event.target.value)}
                className="max-w-[34em]"
            />
            <ol>
                {ladder?.rungs.map((rung) => (
                    <li
                        key={rung.key}
                        className="grid min-h-12 grid-cols-[minmax(0,1fr)_auto_auto] items-center gap-x-4 border-t border-rule py-1"
                    >
                        <span className="leading-snug">
                            <strong className="font-semibold">{rung.title}</strong>{' '}
                            <span className="text-soft">{rung.about}</span>
                        </span>
                        <span className={rung.state === 'passed' ? 'text-good' : 'text-bad'}>{stands[rung.state]}</span>
                        <Button
                            kind="plain"
                            aria-label={`Make a unit: ${rung.title}`}
                            onClick={() => begin({ family, rung: rung.key })}
                        >
                            Make a unit
                        </Button>
                    </li>
                ))}
                {replayed.includes(family) && (
                    <li className="grid min-h-12 grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-t border-rule py-1">
                        <span className="leading-snug">
                            <strong className="font-semibold">From our own work</strong>{' '}
                            <span className="text-soft">
                                A fault that was proven here, on another machine; nothing names whose it was.
                            </span>
                        </span>
                        <Button
                            kind="plain"
                            aria-label="Make a unit: From our own work"
                            onClick={() => begin({ family, real: true })}
                        >
                            Make a unit
                        </Button>
                    </li>
                )}
            </ol>
        </section>
    );
}

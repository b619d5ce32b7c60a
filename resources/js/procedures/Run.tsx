import { router, useForm, usePage } from '@inertiajs/react';
import { useEffect, useRef, useState } from 'react';
import { ulid } from 'ulid';
import { useOutbox } from '@/away/useOutbox';
import { countdown } from '@/lib/format';
import type { RunPage, RunShown } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

type Props = RunPage & Shared;

/** Three short tones, where the browser lets a page sound. */
function sound() {
    try {
        const audio = new AudioContext();
        [0, 0.35, 0.7].forEach((at) => {
            const tone = audio.createOscillator();
            tone.frequency.value = 880;
            tone.connect(audio.destination);
            tone.start(audio.currentTime + at);
            tone.stop(audio.currentTime + at + 0.2);
        });
    } catch {
        // Without sound the title of the page tells it.
    }
}

/**
 * What is left of the wait, from the server's own count; and what was waited of it, by a clock that only goes forward,
 * for when the server cannot be asked.
 */
function useWait(run: RunShown): { left: number; waited: () => number } {
    const [left, setLeft] = useState(run.remaining);
    const end = useRef(0);
    useEffect(() => {
        end.current = performance.now() + run.remaining * 1000;
        const tick = () => setLeft(Math.max(0, (end.current - performance.now()) / 1000));
        tick();
        const timer = window.setInterval(tick, 250);
        return () => window.clearInterval(timer);
    }, [run.id, run.step, run.since, run.remaining]);
    const least = run.procedure.steps[run.step]?.wait?.least ?? 0;
    return { left, waited: () => Math.max(0, least - (end.current - performance.now()) / 1000) };
}

function Current({ run }: { run: RunShown }) {
    const { errors } = usePage<Shared>().props;
    const step = run.procedure.steps[run.step];
    const { left, waited } = useWait(run);
    const { away } = useOutbox();
    const [id] = useState(ulid);
    const waiting = left > 0;
    const [seen, setSeen] = useState(false);
    const [confirmed, setConfirmed] = useState(false);
    const wasWaiting = useRef(waiting);
    useEffect(() => {
        if (wasWaiting.current && !waiting) sound();
        wasWaiting.current = waiting;
        document.title = waiting ? `${countdown(left)} ${run.procedure.title}` : run.procedure.title;
    }, [waiting, left, run.procedure.title]);
    if (!step) return null;
    return (
        <section aria-label={`Step ${run.step + 1}`} className="mt-4 border-2 border-lake bg-sheet px-4 py-4">
            <p className="text-soft">
                Step {run.step + 1} of {run.procedure.steps.length}
            </p>
            {step.cautions.map((caution) => (
                <p key={caution} className="mt-1 border-l-4 border-warn bg-caution px-3 py-1.5 font-medium">
                    {caution}
                </p>
            ))}
            <h2 className="mt-2 text-[1.4rem] leading-snug font-semibold">{step.text}</h2>
            {step.wait && (
                <div className="mt-3">
                    <p
                        role="timer"
                        aria-live="off"
                        className={`figure text-[3rem] leading-none ${waiting ? '' : 'text-good'}`}
                    >
                        {waiting ? countdown(left) : 'time is up'}
                    </p>
                    <p className="mt-1 text-soft">
                        {step.wait.reason}
                        {step.wait.most ? ` At most ${countdown(step.wait.most)}.` : ''}
                    </p>
                    {away && (
                        <p className="mt-1 text-soft">
                            The server is out of reach: this device counts the whole wait from when the step came up on
                            it, and the server asks its own clock when it hears of it.
                        </p>
                    )}
                    {run.late && (
                        <p role="alert" className="mt-1 font-medium text-bad">
                            This has taken longer than it may: do the step again, or break it off.
                        </p>
                    )}
                    <p role="status" className="sr-only">
                        {waiting ? 'waiting' : 'The time is up.'}
                    </p>
                </div>
            )}
            {step.expect && (
                <label className="mt-3 flex min-h-11 items-start gap-3 text-lg">
                    <input
                        type="checkbox"
                        checked={seen}
                        onChange={(event) => setSeen(event.target.checked)}
                        className="mt-1 h-6 w-6"
                    />{' '}
                    Seen: {step.expect}
                </label>
            )}
            {step.expect && step.otherwise && <p className="text-soft">If not: {step.otherwise}</p>}
            {step.confirm && (
                <label className="mt-3 flex min-h-11 items-start gap-3 border-l-4 border-bad pl-3 font-medium">
                    <input
                        type="checkbox"
                        checked={confirmed}
                        onChange={(event) => setConfirmed(event.target.checked)}
                        className="mt-1 h-6 w-6"
                    />{' '}
                    This cannot be undone, and I know: {step.confirm}
                </label>
            )}
            {errors.step && (
                <p role="alert" className="mt-3 font-medium text-bad">
                    {errors.step}
                </p>
            )}
            <div className="mt-4 flex flex-wrap gap-3">
                <Button
                    kind="act"
                    className="min-h-14 px-8 text-[1.15rem]"
                    onClick={() =>
                        router.post(
                            `/runs/${run.id}/done`,
                            { id, step: run.step, seen, confirmed, waited: waited() },
                            { preserveScroll: true, preserveState: 'errors' },
                        )
                    }
                >
                    Done, next
                </Button>
                {step.wait && (
                    <Button
                        onClick={() =>
                            router.post(
                                `/runs/${run.id}/marks`,
                                { id: ulid(), kind: 'again' },
                                { preserveScroll: true },
                            )
                        }
                    >
                        Do this step again
                    </Button>
                )}
            </div>
        </section>
    );
}

/** One step at a time; the clock stands on the server. */
export default function Run() {
    const { run, job } = usePage<Props>().props;
    const [asked, setAsked] = useState(false);
    const breaking = useForm({ note: '' });
    const [breakId] = useState(ulid);
    const open = !run.finished && run.aborted === null;
    return (
        <Frame title={run.procedure.title} {...(job ? { job } : {})}>
            <div className="mx-auto max-w-[820px] px-5 py-5">
                <p>
                    <TextLink href={job ? `/procedures?job=${job.id}` : '/procedures'}>All procedures</TextLink>
                </p>
                <h1 className="text-[1.6rem] leading-tight font-semibold">{run.procedure.title}</h1>
                {open &&
                    run.procedure.cautions.map((caution) => (
                        <p key={caution} className="mt-1 border-l-4 border-warn bg-caution px-3 py-1">
                            {caution}
                        </p>
                    ))}
                {open && <Current key={`${run.step} ${run.since}`} run={run} />}
                {run.finished && (
                    <p role="status" className="mt-4 border-2 border-good px-4 py-3 text-lg font-semibold">
                        Done. All {run.procedure.steps.length} steps.
                    </p>
                )}
                {run.aborted !== null && (
                    <div role="status" className="mt-4 border-2 border-bad px-4 py-3">
                        <p className="text-lg font-semibold">
                            Broken off at step {run.step + 1}: {run.aborted}
                        </p>
                        <p className="mt-1 font-medium">Make it safe:</p>
                        <ul className="list-disc pl-5">
                            {run.procedure.abort.map((line) => (
                                <li key={line}>{line}</li>
                            ))}
                        </ul>
                    </div>
                )}
                {open &&
                    (asked ? (
                        <form
                            className="mt-5 border-l-4 border-bad pl-4"
                            onSubmit={(event) => {
                                event.preventDefault();
                                breaking.transform((data) => ({ ...data, id: breakId, kind: 'aborted' }));
                                breaking.post(`/runs/${run.id}/marks`, { preserveState: 'errors' });
                            }}
                        >
                            <p className="font-medium">Make it safe first:</p>
                            <ul className="mb-2 list-disc pl-5">
                                {run.procedure.abort.map((line) => (
                                    <li key={line}>{line}</li>
                                ))}
                            </ul>
                            <TextField
                                label="Why it is broken off"
                                value={breaking.data.note}
                                onChange={(event) => breaking.setData('note', event.target.value)}
                                error={breaking.errors.note}
                            />
                            <p className="mt-2 flex gap-2">
                                <Button type="submit">Break it off</Button>
                                <Button kind="quiet" onClick={() => setAsked(false)}>
                                    Go on instead
                                </Button>
                            </p>
                        </form>
                    ) : (
                        <p className="mt-4">
                            <Button kind="quiet" onClick={() => setAsked(true)}>
                                Break it off and make it safe
                            </Button>
                        </p>
                    ))}
                <ol className="mt-6 border-b border-rule">
                    {run.procedure.steps.map((step, n) => (
                        <li
                            key={n}
                            aria-current={open && n === run.step ? 'step' : undefined}
                            className={`grid grid-cols-[2rem_1fr_auto] gap-2 border-t border-rule py-1 ${n < run.step ? 'text-soft' : n === run.step && open ? 'font-semibold' : ''}`}
                        >
                            <span className="figure">{n + 1}</span>
                            <span>{step.text}</span>
                            <span className="figure text-[0.9rem]">
                                {n < run.step ? 'done' : step.wait ? countdown(step.wait.least) : ''}
                            </span>
                        </li>
                    ))}
                </ol>
            </div>
        </Frame>
    );
}

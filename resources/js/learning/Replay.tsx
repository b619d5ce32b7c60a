import { useForm, usePage } from '@inertiajs/react';
import { useRef } from 'react';
import { ulid } from 'ulid';
import type { ReplayPage, ReplayShown, ReplayStep } from '@/generated/props';
import { inline, minutes, percent } from '@/lib/format';
import { useMay } from '@/lib/may';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import { TextArea } from '@/ui/Field';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

type Props = ReplayPage & Shared;

function Bar({ share, look }: { share: number; look: string }) {
    return (
        <span className="relative block h-2.5 bg-rule/60" aria-hidden="true">
            <span className={`absolute inset-y-0 left-0 ${look}`} style={{ width: `${100 * share}%` }} />
        </span>
    );
}

function Step({ step, misled, replay }: { step: ReplayStep; misled: boolean; replay: ReplayShown }) {
    return (
        <li
            className={`grid items-center gap-x-4 border-t border-rule py-1.5 sm:grid-cols-[minmax(0,1fr)_9rem_3.5rem_9rem_3.5rem] ${misled ? 'bg-caution' : ''}`}
        >
            <span className="min-w-0">
                {step.test}
                {step.reading && (
                    <strong className="font-semibold">
                        {step.test.endsWith('?') ? ' ' : ': '}
                        {step.reading}
                    </strong>
                )}
                {misled && <span className="ml-2 font-semibold text-bad">misled</span>}
            </span>
            <Bar share={step.chosen} look="bg-bad/70" />
            <span className="figure text-right">
                <span className="sr-only">{replay.chosen} </span>
                {percent(step.chosen)}
            </span>
            <Bar share={step.truth} look="bg-lake" />
            <span className="figure text-right">
                <span className="sr-only">{replay.truth} </span>
                {percent(step.truth)}
            </span>
        </li>
    );
}

function Steps({ replay }: { replay: ReplayShown }) {
    if (replay.steps.length === 0) return <p className="mt-2 text-soft">No reading stood before it was replaced.</p>;
    return (
        <section aria-label="Reading by reading" className="mt-4">
            <h3 className="font-semibold">Reading by reading</h3>
            <p
                className="hidden gap-x-4 text-[0.9rem] text-soft sm:grid sm:grid-cols-[minmax(0,1fr)_13.5rem_13.5rem]"
                aria-hidden="true"
            >
                <span />
                <span>{replay.chosen}, replaced in vain</span>
                <span>{replay.truth ?? 'the right one'}</span>
            </p>
            <ol className="border-b border-rule">
                {replay.steps.map((step, n) => (
                    <Step key={n} step={step} misled={n === replay.misled} replay={replay} />
                ))}
            </ol>
        </section>
    );
}

function Told({ replay }: { replay: ReplayShown }) {
    if (replay.truth === null) return null;
    return (
        <section aria-label="Which test would have told" className="mt-5">
            <h3 className="font-semibold">Which test would have told</h3>
            {replay.told.length === 0 ? (
                <p className="text-soft">None of the list that was not done tells the two apart.</p>
            ) : (
                <ul>
                    {replay.told.map((one) => (
                        <li key={one.key} className="border-t border-rule py-1.5">
                            <span className="font-medium">{one.test}</span>
                            <span className="text-soft">, {minutes(one.minutes)}: </span>
                            {one.underChosen} with a faulty {inline(replay.chosen)}, {one.underTruth} when it is the{' '}
                            {inline(replay.truth ?? '')}
                        </li>
                    ))}
                </ul>
            )}
        </section>
    );
}

function Lesson({ replay, standing }: { replay: ReplayShown; standing: string | null }) {
    const { job } = usePage<Props>().props;
    const may = useMay('correct');
    const id = useRef(ulid());
    const form = useForm({ lesson: standing ?? replay.lesson });
    if (!may) return standing ? <p className="mt-4 border-l-4 border-lake pl-3">{standing}</p> : null;
    return (
        <form
            className="mt-5"
            onSubmit={(event) => {
                event.preventDefault();
                form.transform((data) => ({ ...data, id: id.current, replacement: replay.replacement }));
                form.post(`/jobs/${job.id}/lesson`, {
                    preserveScroll: true,
                    onSuccess: () => {
                        id.current = ulid();
                    },
                });
            }}
        >
            <TextArea
                label="To note next time"
                rows={3}
                hint="Kept as a lesson on this model: it stands on its page and on the verdicts of its jobs."
                value={form.data.lesson}
                onChange={(event) => form.setData('lesson', event.target.value)}
                error={form.errors.lesson}
            />
            <Button
                type="submit"
                kind="act"
                className="mt-2"
                disabled={form.processing || form.data.lesson.trim() === '' || form.data.lesson === standing}
            >
                {standing === null ? 'Keep it as a lesson' : 'Keep it in its place'}
            </Button>
        </form>
    );
}

/** A job whose verdict did not hold, gone through once more. */
export default function Replay() {
    const { job, replays, lesson, lessonOf } = usePage<Props>().props;
    return (
        <Frame title={`${job.number} once more`} job={job}>
            <div className="mx-auto max-w-[1000px] px-5 py-6">
                <TextLink href="/lessons">All verdicts that did not hold</TextLink>
                {replays.map((replay) => (
                    <article key={replay.replacement} className="mb-10">
                        <p className="text-soft">
                            {replay.stated === null
                                ? 'Replaced, and it did not hold'
                                : `Stated with ${percent(replay.stated)}, and it did not hold`}
                        </p>
                        <h1 className="text-[1.8rem] leading-tight font-semibold">{replay.chosen}</h1>
                        {replay.truth && (
                            <p className="text-lg">
                                {replay.supposed ? 'What leads now: ' : 'In the end it was: '}
                                <strong className="font-semibold">{replay.truth}</strong>
                            </p>
                        )}
                        <p className="mt-2 border-l-4 border-bad pl-3">{replay.because}</p>
                        <Steps replay={replay} />
                        <Told replay={replay} />
                        <Lesson replay={replay} standing={lessonOf === replay.replacement ? lesson : null} />
                    </article>
                ))}
            </div>
        </Frame>
    );
}

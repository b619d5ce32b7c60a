import type { DownEntry, StepBack, StripPage } from '@/generated/props';
import PhotoPick from '@/log/PhotoPick';
import { useEntry } from '@/repair/useEntry';
import { useEntryForm } from '@/repair/useEntryForm';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import Tick from '@/ui/Tick';

const noStep = {
    what: '',
    fastener: '',
    length: '',
    count: '',
    where: '',
    clip: '',
    irreversible: false,
    behind: '',
    alternative: '',
    alternativeMinutes: '',
    confirmed: false,
    photo: '',
};

function Facts({ step }: { step: DownEntry }) {
    const facts = [
        step.count > 0
            ? `${step.count} × ${step.fastener ?? 'fastener'}${step.length ? `, ${step.length}` : ''}`
            : null,
        step.where ? `put ${step.where}` : null,
        step.clip ? `clip: ${step.clip}` : null,
    ].filter(Boolean);
    return (
        <>
            {facts.length > 0 && <span className="block text-soft">{facts.join('; ')}</span>}
            {step.irreversible && (
                <span className="block font-medium text-warn">
                    Cannot be undone. Behind it: {step.behind}. The other way: {step.alternative},{' '}
                    {step.alternativeMinutes} min.
                </span>
            )}
        </>
    );
}

interface Props {
    job: string;
    open: boolean;
    down: DownEntry[];
    steps: StepBack[];
    route: StripPage['route'];
}

/** What is taken off, in order: the way back is read from it. */
export default function Dismantle({ job, open, down, steps, route }: Props) {
    const { note } = useEntry(job);
    const form = useEntryForm(job, 'down', noStep);
    const planned = route?.steps[down.length];
    const begun = steps.some((step) => step.done || step.back > 0);
    return (
        <section aria-label="Taken off">
            <h2 className="text-lg font-semibold">Taken off, in order</h2>
            {down.length === 0 && <p className="text-soft">Nothing is off yet.</p>}
            <ol className="border-b border-rule">
                {down.map((step, n) => (
                    <li
                        key={step.id}
                        className="grid grid-cols-[1.8rem_minmax(0,1fr)_auto] items-start gap-x-2 border-t border-rule py-1.5"
                    >
                        <span className="figure text-soft">{n + 1}</span>
                        <span>
                            <strong className="font-semibold">{step.what}</strong>
                            <Facts step={step} />
                        </span>
                        <span className="flex items-center gap-2">
                            {step.photo && (
                                <img
                                    src={`/jobs/${job}/photos/${step.photo}`}
                                    alt={step.what}
                                    className="h-11 w-16 object-cover"
                                />
                            )}
                            {open && !begun && n === down.length - 1 && (
                                <Button
                                    kind="quiet"
                                    aria-label={`Take back ${step.what}`}
                                    onClick={() => note('removed', { of: step.id })}
                                >
                                    Take back
                                </Button>
                            )}
                        </span>
                    </li>
                ))}
            </ol>
            {open && (
                <form onSubmit={(event) => form.send(event, { count: form.draft.count || 0 })} className="mt-3">
                    {planned && (
                        <p className="mb-2 border-l-4 border-lake pl-3">
                            Next on the route of {route.job}: <strong className="font-semibold">{planned.what}</strong>.{' '}
                            <Button
                                kind="quiet"
                                onClick={() =>
                                    form.set({
                                        ...noStep,
                                        what: planned.what,
                                        fastener: planned.fastener ?? '',
                                        length: planned.length ?? '',
                                        count: String(planned.count),
                                        where: planned.where ?? '',
                                        clip: planned.clip ?? '',
                                    })
                                }
                            >
                                Take it as the step
                            </Button>
                        </p>
                    )}
                    <div className="grid items-start gap-3 sm:grid-cols-[2fr_1.2fr_1fr_5rem]">
                        <TextField label="What comes off" {...form.field('what')} />
                        <TextField label="Fastener, head and size" placeholder="hex 8 mm" {...form.field('fastener')} />
                        <TextField label="Length" placeholder="16 mm" {...form.field('length')} />
                        <TextField label="How many" inputMode="numeric" {...form.field('count')} />
                        <TextField label="Put where" {...form.field('where')} />
                        <TextField label="Connector, clip, hidden catch" {...form.field('clip')} />
                        <div className="sm:col-span-2">
                            <PhotoPick
                                job={job}
                                caption={form.draft.what}
                                value={form.draft.photo}
                                onChange={(photo) => form.set({ photo })}
                            />
                        </div>
                    </div>
                    <Tick {...form.tick('irreversible')}>
                        This cannot be undone: drilling, cutting, shaving, digging out
                    </Tick>
                    {form.draft.irreversible && (
                        <div className="border-l-4 border-warn bg-caution px-3 py-2">
                            <div className="grid items-start gap-3 sm:grid-cols-[1.4fr_1.4fr_7rem]">
                                <TextField label="What lies behind" {...form.field('behind')} />
                                <TextField label="The other way" {...form.field('alternative')} />
                                <TextField
                                    label="Its minutes"
                                    inputMode="decimal"
                                    {...form.field('alternativeMinutes')}
                                />
                            </div>
                            <Tick {...form.tick('confirmed')}>It is to be done all the same</Tick>
                            {form.errors.confirmed && (
                                <p role="alert" className="font-medium text-bad">
                                    {form.errors.confirmed}
                                </p>
                            )}
                        </div>
                    )}
                    <Button type="submit" disabled={form.sending} className="mt-2">
                        It is off
                    </Button>
                </form>
            )}
        </section>
    );
}

import { useForm, usePage } from '@inertiajs/react';
import CircuitFields from '@/jobs/CircuitFields';
import CircuitSheet from '@/sheet/CircuitSheet';
import LearnedValues from '@/jobs/LearnedValues';
import SpeedStrip from '@/jobs/SpeedStrip';
import { day } from '@/lib/format';
import { word } from '@/lib/payload';
import type { CircuitPage } from '@/generated/props';
import type { Parameters, Shared } from '@/lib/page';
import Button from '@/ui/Button';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

type Props = CircuitPage & Shared;

export default function Circuit() {
    const { job, strip, family, fields, values, sheet, learned, open, mayChange, changed } = usePage<Props>().props;
    const form = useForm<{ values: Record<string, Parameters[string]> }>({ values: values as Parameters });
    const errors: Record<string, string | undefined> = form.errors;
    const save = (event: React.FormEvent) => {
        event.preventDefault();
        form.put(`/jobs/${job.id}/circuit`, { preserveState: true });
    };
    return (
        <Frame title={`Circuit ${job.number}`} job={job} here="circuit">
            <SpeedStrip strip={strip} />
            <form onSubmit={save} className="mx-auto grid max-w-[1240px] gap-8 px-5 py-5 lg:grid-cols-[1.15fr_1fr]">
                <div>
                    <h1 className="text-[1.6rem] leading-tight font-semibold">{family}</h1>
                    <p className="mb-4 text-soft">
                        What is left as it stands is the ordinary case. What nobody knows stays unknown and is learned
                        from the readings.
                    </p>
                    <CircuitFields
                        fields={fields}
                        values={form.data.values}
                        errors={errors}
                        onChange={(next) => form.setData('values', next)}
                        disabled={!open}
                        learned={learned}
                    />
                    <LearnedValues values={learned} />
                    {errors['circuit'] && (
                        <p role="alert" className="mt-3 border-l-4 border-bad bg-caution px-3 py-2 font-medium">
                            {errors['circuit']}
                        </p>
                    )}
                    {open && (
                        <div className="mt-5">
                            <Button kind="act" type="submit" disabled={form.processing}>
                                {job.stage === 'circuit' ? 'To the bench' : 'Keep this circuit'}
                            </Button>
                            {mayChange && (
                                <TextLink className="ml-4" href={`/jobs/${job.id}/circuit/other`}>
                                    It is another circuit
                                </TextLink>
                            )}
                        </div>
                    )}
                    {changed.map((one) => (
                        <section key={one.id} aria-label="Circuit changed" className="mt-5 border-l-4 border-lake pl-3">
                            <p>
                                Changed {one.at ? `on ${day(one.at)} ` : ''}from {word(one.from)} to {word(one.to)}.{' '}
                                {word(one.reason)}
                            </p>
                            {Array.isArray(one.setAside) && one.setAside.length > 0 && (
                                <p className="text-soft">Set aside: {one.setAside.join('; ')}</p>
                            )}
                        </section>
                    ))}
                </div>
                <figure className="flex flex-col">
                    <div className="min-h-[320px]">
                        <CircuitSheet sheet={sheet} title="The circuit as it is kept now" />
                    </div>
                    <figcaption className="text-[0.9rem] text-soft">
                        The circuit as it is kept now, on the highest speed. It is drawn again once the values are kept.
                    </figcaption>
                </figure>
            </form>
        </Frame>
    );
}

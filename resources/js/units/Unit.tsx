import { useForm, usePage } from '@inertiajs/react';
import JobRow from '@/jobs/JobRow';
import LearnedValues from '@/jobs/LearnedValues';
import FittedList from '@/units/FittedList';
import UsualRoute from '@/units/UsualRoute';
import type { UnitPage } from '@/generated/props';
import { useMay } from '@/lib/may';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import { TextArea, TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import Select from '@/ui/Select';
import TextLink from '@/ui/TextLink';
import Tick from '@/ui/Tick';

type Props = UnitPage & Shared;

function Edit() {
    const unit = usePage<Props>().props;
    const form = useForm({
        name: unit.name,
        place: unit.place ?? '',
        model: unit.model ?? '',
        note: unit.note ?? '',
        retired: unit.retired,
    });
    const field = (key: 'name' | 'place' | 'model' | 'note') => ({
        value: form.data[key],
        onChange: (event: { target: { value: string } }) => form.setData(key, event.target.value),
        error: form.errors[key],
    });
    return (
        <form
            className="mt-2 flex flex-col items-start gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                form.put(`/units/${unit.id}`, { preserveScroll: true });
            }}
        >
            <TextField label="Name" {...field('name')} className="w-full" />
            <TextField label="Where it belongs" {...field('place')} className="w-full" />
            <TextField label="Model" {...field('model')} className="w-full" />
            <TextArea
                label="Note"
                rows={2}
                hint="What the next one should know: taps, rotation, what stays for the next failure."
                {...field('note')}
                className="w-full"
            />
            <Tick checked={form.data.retired} onChange={(on) => form.setData('retired', on)}>
                It is gone: not offered for new jobs
            </Tick>
            <Button type="submit" disabled={form.processing}>
                Save
            </Button>
        </form>
    );
}

function Merge() {
    const { id, name, alike } = usePage<Props>().props;
    const form = useForm({ other: '' });
    if (alike.length === 0) return null;
    return (
        <form
            className="mt-5 flex flex-col items-start gap-3 border-t border-rule pt-3"
            onSubmit={(event) => {
                event.preventDefault();
                form.post(`/units/${id}/merge`);
            }}
        >
            <Select
                label="Another name of this machine"
                empty="Choose"
                hint={`Its jobs come to "${name}", and the other name goes.`}
                choices={alike.map((one) => ({
                    value: one.id,
                    label: [one.name, one.place, one.model, `${one.jobs} jobs`].filter(Boolean).join(', '),
                }))}
                value={form.data.other}
                onChange={(event) => form.setData('other', event.target.value)}
                error={form.errors.other}
            />
            <Button type="submit" disabled={form.processing || form.data.other === ''}>
                Make them one
            </Button>
        </form>
    );
}

/** A unit with all that was done to it. */
export default function Unit() {
    const unit = usePage<Props>().props;
    const may = useMay('correct');
    return (
        <Frame title={unit.name}>
            <div className="mx-auto grid max-w-[1240px] gap-x-10 gap-y-6 px-5 py-6 lg:grid-cols-[minmax(0,1fr)_20rem]">
                <div>
                    <h1 className="text-[1.8rem] leading-none font-semibold">{unit.name}</h1>
                    <p className="mt-2 text-soft">
                        {unit.place}
                        {unit.model && (
                            <>
                                {unit.place && ', '}
                                <TextLink href={`/models?name=${encodeURIComponent(unit.model)}`}>
                                    {unit.model}
                                </TextLink>
                            </>
                        )}
                        {unit.retired && <strong className="font-semibold text-warn"> It is gone.</strong>}
                    </p>
                    {unit.note && <p className="mt-2 border-l-4 border-lake pl-3">{unit.note}</p>}
                    <section aria-label="Jobs of the unit" className="mt-6">
                        <h2 className="mb-1 font-semibold">
                            Jobs <span className="figure text-soft">{unit.jobs.length}</span>
                        </h2>
                        {unit.jobs.length === 0 && <p className="text-soft">No job yet.</p>}
                        <ul className="border-b border-rule">
                            {unit.jobs.map((one) => (
                                <JobRow key={one.job.id} listed={one} stage />
                            ))}
                        </ul>
                        {unit.more && <p className="text-soft">Older ones are found in the list of jobs.</p>}
                    </section>
                    <section aria-label="Parts fitted" className="mt-8">
                        <h2 className="mb-1 font-semibold">Parts fitted</h2>
                        {unit.fitted.length === 0 ? (
                            <p className="text-soft">Nothing was replaced here yet.</p>
                        ) : (
                            <FittedList parts={unit.fitted} />
                        )}
                    </section>
                    {unit.route && <UsualRoute route={unit.route} />}
                    {unit.learned.length > 0 && (
                        <>
                            <LearnedValues values={unit.learned} />
                            <p className="text-soft">From the readings of {unit.learnedIn}.</p>
                        </>
                    )}
                </div>
                {may && (
                    <aside aria-label="Set right" className="lg:border-l lg:border-rule lg:pl-6">
                        <h2 className="text-lg font-semibold">Set right</h2>
                        <Edit key={unit.id} />
                        <Merge />
                    </aside>
                )}
            </div>
        </Frame>
    );
}

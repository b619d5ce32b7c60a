import type { BenchRunsPage } from '@/generated/props';
import { useForm, usePage } from '@inertiajs/react';
import { lazy, Suspense, useState } from 'react';
import { ulid } from 'ulid';
import { day } from '@/lib/format';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import Choices from '@/ui/Choices';
import { TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

const PlanChart = lazy(() => import('@/planning/PlanChart'));

type Props = BenchRunsPage & Shared;

const yesNo = [
    { value: '1', label: 'Yes' },
    { value: '0', label: 'No' },
];
const empty = {
    model: '',
    pulses: '8',
    turned: '1',
    startsAt: '',
    steady: '1',
    smooth: '1',
    loaded: '0',
    amps: '',
    note: '',
};
const noPoints = () => Array.from({ length: 5 }, () => ({ volts: '', hertz: '' }));

/** What a motor did alone, whether it is good, and what good ones of its model did before. */
export default function BenchRuns() {
    const { runs, cautions } = usePage<Props>().props;
    const [id, setId] = useState(() => ulid());
    const { data: form, setData: setForm, ...sent } = useForm(() => ({ ...empty, points: noPoints() }));
    const errors: Record<string, string | undefined> = sent.errors;
    const { points } = form;
    const setPoints = (next: typeof points) => setForm('points', next);
    const set = (key: keyof typeof empty) => (value: string) => setForm(key, value);
    const store = (event: React.FormEvent) => {
        event.preventDefault();
        sent.transform((data) => ({ ...data, id }));
        sent.post('/bench-runs', {
            preserveScroll: true,
            preserveState: true,
            onSuccess: () => {
                setId(ulid());
                sent.reset();
            },
        });
    };
    const models = [...new Set(runs.map((run) => run.model))];
    return (
        <Frame title="Bench runs">
            <div className="mx-auto max-w-[1240px] px-5 py-5">
                <p className="mb-1">
                    <TextLink href="/planners/bench-supply">Bench supply</TextLink>
                </p>
                <h1 className="text-[1.6rem] leading-tight font-semibold">Bench runs of five-wire motors</h1>
                {cautions.map((caution) => (
                    <p key={caution} className="mt-2 border-l-4 border-warn bg-caution px-3 py-2">
                        {caution}
                    </p>
                ))}
                <div className="mt-5 grid grid-cols-1 gap-8 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.25fr)]">
                    <form onSubmit={store} noValidate className="space-y-4">
                        <TextField
                            label="Model of the motor"
                            value={form.model}
                            error={errors['model']}
                            onChange={(event) => set('model')(event.target.value)}
                        />
                        <TextField
                            label="Pulses a turn"
                            inputMode="decimal"
                            value={form.pulses}
                            error={errors['pulses']}
                            onChange={(event) => set('pulses')(event.target.value)}
                        />
                        <Choices
                            label="It turned"
                            value={form.turned}
                            choices={yesNo}
                            hint="Vm, Vcc and Vsp measured at its own pins."
                            onChange={set('turned')}
                        />
                        {form.turned === '1' && (
                            <>
                                <TextField
                                    label="Command at which it began to turn, V"
                                    inputMode="decimal"
                                    value={form.startsAt}
                                    error={errors['startsAt']}
                                    onChange={(event) => set('startsAt')(event.target.value)}
                                />
                                <fieldset>
                                    <legend className="mb-1 font-medium">Command and pulses a second</legend>
                                    {points.map((point, row) => (
                                        <div key={row} className="mb-1">
                                            <div className="flex gap-2">
                                                {(['volts', 'hertz'] as const).map((key) => (
                                                    <input
                                                        key={key}
                                                        aria-label={`${key === 'volts' ? 'Command, V' : 'Pulses a second, Hz'}, row ${row + 1}`}
                                                        placeholder={key === 'volts' ? 'V' : 'Hz'}
                                                        inputMode="decimal"
                                                        value={point[key]}
                                                        onChange={(event) =>
                                                            setPoints(
                                                                points.map((one, n) =>
                                                                    n === row
                                                                        ? { ...one, [key]: event.target.value }
                                                                        : one,
                                                                ),
                                                            )
                                                        }
                                                        className="figure min-h-11 w-28 rounded-[4px] border border-soft/60 bg-sheet px-2"
                                                    />
                                                ))}
                                            </div>
                                            {errors[`points.${row}`] && (
                                                <p role="alert" className="font-medium text-bad">
                                                    {errors[`points.${row}`]}
                                                </p>
                                            )}
                                        </div>
                                    ))}
                                </fieldset>
                                <Choices
                                    label="Feedback without gaps"
                                    value={form.steady}
                                    choices={yesNo}
                                    onChange={set('steady')}
                                />
                                <Choices
                                    label="Quiet, and runs down smoothly"
                                    value={form.smooth}
                                    choices={yesNo}
                                    onChange={set('smooth')}
                                />
                            </>
                        )}
                        <Choices
                            label="With its wheel on"
                            value={form.loaded}
                            choices={yesNo}
                            hint="Without its wheel the run clears less than it seems."
                            onChange={set('loaded')}
                        />
                        <TextField
                            label="Current, A"
                            inputMode="decimal"
                            value={form.amps}
                            error={errors['amps']}
                            onChange={(event) => set('amps')(event.target.value)}
                        />
                        <TextField
                            label="Note"
                            value={form.note}
                            error={errors['note']}
                            onChange={(event) => set('note')(event.target.value)}
                        />
                        <Button kind="act" type="submit" disabled={sent.processing}>
                            Keep this run
                        </Button>
                    </form>
                    <div aria-live="polite">
                        {runs.length === 0 && (
                            <p className="text-lg">No run yet. The last good run of a model becomes its reference.</p>
                        )}
                        {models.map((model) => {
                            const own = runs.filter((run) => run.model === model);
                            return (
                                <section key={model} aria-label={model} className="mb-8">
                                    <h2 className="font-semibold">{model}</h2>
                                    <ul className="mb-3 border-b border-rule">
                                        {own.map((run) => (
                                            <li key={run.id} className="border-t border-rule py-2">
                                                <strong className={run.good ? 'text-good' : 'text-bad'}>
                                                    {run.good ? 'Good' : 'Not good'}
                                                </strong>{' '}
                                                · {day(run.at)} ·{' '}
                                                {run.startsAt === null
                                                    ? 'does not turn'
                                                    : `starts at ${run.startsAt} V`}
                                                {run.loaded ? '' : ', without its wheel'}
                                                {run.amps === null ? '' : `, ${run.amps} A`}
                                                {run.against.length > 0 && (
                                                    <ul className="list-disc pl-5">
                                                        {run.against.map((reason) => (
                                                            <li key={reason}>{reason}</li>
                                                        ))}
                                                    </ul>
                                                )}
                                                {run.good && (
                                                    <p className="text-[0.92rem] text-soft">
                                                        {run.compared
                                                            ? 'As the good one before it.'
                                                            : 'The first good one with this load: the reference from now on.'}
                                                        {!run.loaded && ' Unloaded: it clears less than it seems.'}
                                                    </p>
                                                )}
                                                {run.note && <p className="text-[0.92rem]">{run.note}</p>}
                                            </li>
                                        ))}
                                    </ul>
                                    {own.some((run) => run.points.length > 1) && (
                                        <Suspense fallback={<div className="h-[340px]" />}>
                                            <PlanChart
                                                chart={{
                                                    title: `${model}: speed over command`,
                                                    x: 'command, V',
                                                    y: 'rpm',
                                                    curves: own
                                                        .filter((run) => run.points.length > 1)
                                                        .slice(0, 4)
                                                        .map((run) => ({
                                                            label: `${day(run.at)}${run.good ? '' : ', not good'} · ${run.id.slice(-4)}`,
                                                            points: run.points,
                                                            style: run.good ? ('heavy' as const) : ('dashed' as const),
                                                        })),
                                                    marks: [],
                                                    bands: [],
                                                    levels: [],
                                                }}
                                            />
                                        </Suspense>
                                    )}
                                </section>
                            );
                        })}
                    </div>
                </div>
            </div>
        </Frame>
    );
}

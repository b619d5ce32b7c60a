import { useState } from 'react';
import { router, useForm, usePage } from '@inertiajs/react';
import { ulid } from 'ulid';
import type { TeachPage } from '@/generated/props';
import { day } from '@/lib/format';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import Choices from '@/ui/Choices';
import { TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import Select from '@/ui/Select';
import { Listed } from './Practice';

type Props = TeachPage & Shared;

/** What a lead sets for the others, and what came of it. */
export default function Teach() {
    const { sets, results, unseen } = usePage<Props>().props;
    return (
        <Frame title="Set exercises">
            <div className="mx-auto flex max-w-[1180px] flex-col gap-6 px-5 py-5">
                <h1 className="text-[1.8rem] leading-none font-semibold">Set exercises, and see what came of them</h1>
                <NewSet />
                {sets.length > 0 && (
                    <section aria-label="Sets">
                        <h2 className="mb-1 text-[1.3rem] font-semibold">Sets</h2>
                        <ul>
                            {sets.map((set) => (
                                <li
                                    key={set.id}
                                    className="flex flex-wrap items-center justify-between gap-3 border-t border-rule py-1.5"
                                >
                                    <span>
                                        <strong className="font-semibold">{set.title}</strong>{' '}
                                        <span className="text-soft">
                                            {set.way.toLowerCase()}, {day(set.madeAt)}:{' '}
                                            {set.units.map((unit) => unit.circuit).join(', ')}
                                        </span>
                                    </span>
                                    <Button
                                        kind="quiet"
                                        aria-label={`Take away: ${set.title}`}
                                        onClick={() => router.delete(`/practice/teach/${set.id}`)}
                                    >
                                        Take away
                                    </Button>
                                </li>
                            ))}
                        </ul>
                    </section>
                )}
                <section aria-label="Results">
                    <h2 className="mb-1 text-[1.3rem] font-semibold">Results</h2>
                    <p className="text-soft">
                        Who did an exercise sees its result first.
                        {unseen > 0 && ` ${unseen} ${unseen === 1 ? 'is' : 'are'} not looked at yet.`}
                    </p>
                    {results.length === 0 ? (
                        <p className="pt-2">Nothing yet.</p>
                    ) : (
                        <Listed exercises={results} to="score" />
                    )}
                </section>
            </div>
        </Frame>
    );
}

function NewSet() {
    const { circuits, mostUnits } = usePage<Props>().props;
    const [family, setFamily] = useState(circuits[0]?.family ?? '');
    const [kind, setKind] = useState('single');
    const form = useForm<{ id: string; title: string; way: string; units: { family: string; kind: string }[] }>(() => ({
        id: ulid(),
        title: '',
        way: 'own',
        units: [],
    }));
    const { data, setData, processing } = form;
    const errors = form.errors as Record<string, string | undefined>;
    const circuit = circuits.find((one) => one.family === family);
    const kinds = circuit?.kinds ?? [];
    const named = (unit: { family: string; kind: string }) => {
        const of = circuits.find((one) => one.family === unit.family);
        return `${of?.name ?? unit.family}: ${(of?.kinds.find((one) => one.value === unit.kind)?.label ?? '').toLowerCase()}`;
    };
    const submit = (event: React.FormEvent) => {
        event.preventDefault();
        form.post('/practice/teach', {
            onSuccess: () => setData({ id: ulid(), title: '', way: 'own', units: [] }),
        });
    };
    const units = Object.entries(errors).find(([field]) => field.startsWith('units'))?.[1];
    return (
        <form onSubmit={submit} className="flex flex-col gap-3" aria-label="A new set">
            <h2 className="text-[1.3rem] font-semibold">A new set</h2>
            <div className="grid gap-4 sm:grid-cols-2">
                <TextField
                    label="Title"
                    value={data.title}
                    error={errors.title}
                    onChange={(event) => setData('title', event.target.value)}
                />
                <Choices
                    label="Way"
                    value={data.way}
                    onChange={(way) => setData('way', way)}
                    choices={[
                        { value: 'own', label: 'Own way, hints at a price' },
                        { value: 'examination', label: 'Examination, no hints' },
                    ]}
                />
            </div>
            <fieldset className="flex flex-col gap-2">
                <legend className="mb-1 font-medium">Units, at most {mostUnits}</legend>
                <ol>
                    {data.units.map((unit, n) => (
                        <li
                            key={n}
                            className="flex min-h-11 items-center justify-between gap-3 border-t border-rule py-0.5"
                        >
                            <span>
                                {n + 1}. {named(unit)}
                            </span>
                            <Button
                                kind="quiet"
                                aria-label={`Take out unit ${n + 1}`}
                                onClick={() =>
                                    setData(
                                        'units',
                                        data.units.filter((_, m) => m !== n),
                                    )
                                }
                            >
                                Take out
                            </Button>
                        </li>
                    ))}
                </ol>
                <div className="flex flex-wrap items-end gap-3">
                    <Select
                        label="Circuit"
                        value={family}
                        choices={circuits.map((one) => ({ value: one.family, label: one.name }))}
                        onChange={(event) => {
                            setFamily(event.target.value);
                            setKind('single');
                        }}
                        className="min-w-[16em] flex-1"
                    />
                    <Select
                        label="What is hidden"
                        value={kind}
                        choices={kinds}
                        onChange={(event) => setKind(event.target.value)}
                        className="min-w-[14em] flex-1"
                    />
                    <Button
                        disabled={data.units.length >= mostUnits}
                        onClick={() => setData('units', [...data.units, { family, kind }])}
                    >
                        Put it in
                    </Button>
                </div>
                {units && (
                    <p role="alert" className="font-medium text-bad">
                        {units}
                    </p>
                )}
            </fieldset>
            <p>
                <Button kind="act" type="submit" disabled={processing}>
                    Set it for everybody
                </Button>
            </p>
        </form>
    );
}

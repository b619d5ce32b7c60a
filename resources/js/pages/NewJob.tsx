import { router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { ulid } from 'ulid';
import SpeedMapEntry from '@/features/SpeedMapEntry';
import { day } from '@/lib/format';
import type { FieldShown, Parameters, Shared, State } from '@/lib/types';
import Button from '@/ui/Button';
import Choices from '@/ui/Choices';
import { TextArea, TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';

interface KnownCircuit {
    family: string;
    parameters: Parameters;
}

interface Unit {
    id: string;
    name: string;
    place: string | null;
    model: string | null;
    history: { number: string; complaint: string; stage: string; openedAt: string; replaced: string[] }[];
    circuit: KnownCircuit | null;
}

interface Props extends Shared {
    families: { key: string; name: string; summary: string; parameters: FieldShown[] }[];
    units: Unit[];
    models: Record<string, KnownCircuit | undefined>;
}

export default function NewJob() {
    const { families, units, models, errors } = usePage<Props>().props;
    const [ids] = useState(() => ({ id: ulid(), mapId: ulid() }));
    const [name, setName] = useState('');
    const [place, setPlace] = useState('');
    const [model, setModel] = useState('');
    const [complaint, setComplaint] = useState('');
    const [since, setSince] = useState('');
    const [replaced, setReplaced] = useState('');
    const [intermittent, setIntermittent] = useState('no');
    const [positions, setPositions] = useState<string | null>(null);
    const [states, setStates] = useState<Record<string, State | undefined>>({});
    const [sending, setSending] = useState(false);
    const unit = units.find((one) => one.name.toLowerCase() === name.trim().toLowerCase());
    const known = unit?.circuit ?? models[unit?.model ?? model.trim()] ?? null;
    const family = families.find((one) => one.key === known?.family) ?? families[0];
    const countField = family?.parameters.find((field) => field.key === 'positions');
    const count = positions ?? String(known?.parameters.positions ?? countField?.default ?? '4');
    const cells = [
        { key: 'key-off', label: 'key off', runs: false },
        { key: 'off', label: '0', runs: false },
        ...Array.from({ length: Number(count) }, (_, n) => ({ key: String(n + 1), label: String(n + 1), runs: true })),
    ];
    const submit = (event: React.FormEvent) => {
        event.preventDefault();
        setSending(true);
        const base = known && String(known.parameters.positions) === count ? known.parameters : { positions: count };
        router.post('/jobs', {
            ...ids,
            unitId: unit?.id ?? null,
            unitName: name,
            unitPlace: place,
            unitModel: model,
            complaint,
            since,
            replacedBefore: replaced,
            intermittent: intermittent === 'yes',
            family: family?.key ?? '',
            parameters: base as Record<string, string>,
            states: Object.fromEntries(cells.map((cell) => [cell.key, states[cell.key] ?? null])),
        }, { preserveState: true, onFinish: () => setSending(false) });
    };
    return (
        <Frame title="New job">
            <form onSubmit={submit} className="mx-auto max-w-[1180px] px-5 py-6">
                <h1 className="text-[1.8rem] leading-none font-semibold">New job</h1>
                <div className="mt-5 grid gap-x-10 gap-y-4 lg:grid-cols-2">
                    <div className="flex flex-col gap-4">
                        <TextField label="Unit" list="units" value={name} onChange={(event) => setName(event.target.value)} error={errors.unitName ?? errors.unitId} hint="A vehicle or an appliance. Choose one that was here before, or type a new name." autoComplete="off" required />
                        <datalist id="units">{units.map((one) => <option key={one.id} value={one.name} />)}</datalist>
                        {unit ? (
                            <section aria-label="History of the unit" className="border-l-4 border-lake pl-3">
                                <p className="font-medium">{[unit.place, unit.model].filter(Boolean).join(', ') || 'No model noted'}</p>
                                {unit.history.length === 0 && <p className="text-soft">No job yet.</p>}
                                <ul>
                                    {unit.history.slice(0, 4).map((past) => (
                                        <li key={past.number}><span className="figure text-soft">{past.number}</span> {day(past.openedAt)}: {past.complaint}{past.replaced.length > 0 && <strong className="font-semibold">. Replaced: {past.replaced.join(', ')}</strong>}</li>
                                    ))}
                                </ul>
                            </section>
                        ) : (
                            <div className="grid gap-4 sm:grid-cols-2">
                                <TextField label="Where it belongs" value={place} onChange={(event) => setPlace(event.target.value)} error={errors.unitPlace} />
                                <TextField label="Model" value={model} onChange={(event) => setModel(event.target.value)} error={errors.unitModel} hint={known ? 'Its circuit is known from an earlier job.' : null} />
                            </div>
                        )}
                    </div>
                    <div className="flex flex-col gap-4">
                        <TextArea label="Complaint" rows={2} value={complaint} onChange={(event) => setComplaint(event.target.value)} error={errors.complaint} hint="What the user of the machine says." required />
                        <div className="grid gap-4 sm:grid-cols-2">
                            <TextField label="Since when" value={since} onChange={(event) => setSince(event.target.value)} error={errors.since} />
                            <TextField label="Replaced before on this unit" value={replaced} onChange={(event) => setReplaced(event.target.value)} error={errors.replacedBefore} />
                        </div>
                        <Choices label="How it shows" value={intermittent} onChange={setIntermittent} choices={[{ value: 'no', label: 'Always' }, { value: 'yes', label: 'Comes and goes' }]} />
                    </div>
                </div>
                <div className="mt-6 border-t border-rule pt-4">
                    <div className="mb-3"><Choices label="Speeds on the selector" value={count} onChange={setPositions} choices={countField?.choices ?? []} /></div>
                    <SpeedMapEntry legend="Step through the selector: what does the fan do?" cells={cells} states={states} onChange={setStates} error={errors.states ?? errors.parameters ?? errors.family} />
                    <p className="mt-2 text-soft">Leave a position untouched when it was not tried. "Key off" is with the selector left on its highest speed.</p>
                </div>
                <div className="mt-5"><Button kind="act" type="submit" disabled={sending}>Open the job</Button></div>
            </form>
        </Frame>
    );
}

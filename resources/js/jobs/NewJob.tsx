import { router, useForm, usePage } from '@inertiajs/react';
import { useEffect, useRef, useState } from 'react';
import { ulid } from 'ulid';
import Again from '@/jobs/Again';
import Questions from '@/jobs/Questions';
import SpeedMapEntry from '@/jobs/SpeedMapEntry';
import { day } from '@/lib/format';
import type { FieldShown, NewJobPage, SpeedState } from '@/generated/props';
import type { Parameters, Shared } from '@/lib/page';
import Button from '@/ui/Button';
import Choices from '@/ui/Choices';
import { TextArea, TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import Finder from './Finder';
import Select from '@/ui/Select';
import TextLink from '@/ui/TextLink';

const jobKinds = [
    { value: 'fault', label: 'A fault on a unit', hint: null },
    {
        value: 'loose-part',
        label: 'A loose part on the bench',
        hint: 'Is it still good? No selector, no map: only what can be seen and measured on the part alone.',
    },
    {
        value: 'adjustment',
        label: 'A planned adjustment',
        hint: 'Another tap, another airflow: noted from what to what, proved, and undone on a day if wanted.',
    },
    {
        value: 'follow-up',
        label: 'A follow-up',
        hint: 'Is it still right? The map again; if it is not, the job goes to the bench.',
    },
    {
        value: 'remote',
        label: 'A remote request',
        hint: 'Find me a part: what is told and measured elsewhere, and what to buy.',
    },
];

type Props = NewJobPage & Shared;

interface Draft {
    name: string;
    place: string;
    model: string;
    complaint: string;
    since: string;
    also: string;
    replaced: string;
    intermittent: string;
    kind: string;
    part: string;
    /** Null as long as nobody has chosen one. */
    family: string | null;
    shape: Record<string, string | undefined>;
    answers: Record<string, string>;
    states: Record<string, SpeedState | undefined>;
}

/** Asks for units that are called like what is typed, and for the circuit of that model, once the hand rests. */
function useUnitAsked(name: string, model: string) {
    const asked = useRef(JSON.stringify([name, model]));
    const wanted = JSON.stringify([name, model]);
    useEffect(() => {
        if (asked.current === wanted) return;
        const rest = setTimeout(() => {
            asked.current = wanted;
            router.reload({ only: ['units', 'name', 'model', 'unit', 'known'], data: { unit: name, model } });
        }, 200);
        return () => clearTimeout(rest);
    }, [wanted, name, model]);
}

export default function NewJob() {
    const page = usePage<Props>().props;
    const { families, units, start, finder } = page;
    const [ids] = useState(() => ({ id: ulid(), mapId: ulid() }));
    const { data, setData, ...form } = useForm<Draft>({
        // What stands in the address was typed before the page was loaded again.
        name: page.name,
        place: '',
        model: page.model,
        complaint: '',
        since: '',
        also: '',
        replaced: '',
        intermittent: 'no',
        kind: 'fault',
        part: '',
        family: start.asked ? start.family : null,
        shape: start.shape,
        answers: {},
        states: {},
    });
    const { name, model, kind, part, shape, answers, states } = data;
    const errors: Record<string, string | undefined> = form.errors;
    const [finding, setFinding] = useState(false);
    const unit = page.unit?.name.toLowerCase() === name.trim().toLowerCase() ? page.unit : null;
    const known = page.name.toLowerCase() === name.trim().toLowerCase() ? page.known : null;
    useUnitAsked(name, model);
    const family = families.find((one) => one.key === (data.family ?? known?.family ?? start.family)) ?? families[0];
    const shaping = (family?.parameters ?? []).filter((field) => field.shapesMap);
    const kept = known && known.family === family?.key ? (known.parameters as Parameters) : {};
    const shapeOf = (field: FieldShown) => shape[field.key] ?? String(kept[field.key] ?? field.default ?? '');
    // A circuit known from an earlier job serves again unless its map is another one.
    const parameters: Parameters =
        shaping.every((field) => String(kept[field.key] ?? field.default ?? '') === shapeOf(field)) &&
        Object.keys(kept).length > 0
            ? kept
            : Object.fromEntries(shaping.map((field) => [field.key, shapeOf(field)]));
    const wanted = JSON.stringify([family?.key, shaping.map(shapeOf)]);
    // What the page came with is the map of the usual family in its ordinary shape.
    const asked = useRef(
        JSON.stringify([
            start.family,
            (families.find((one) => one.key === start.family)?.parameters ?? [])
                .filter((field) => field.shapesMap)
                .map((field) => start.shape[field.key] ?? String(field.default ?? '')),
        ]),
    );
    const underWay = useRef<(() => void) | null>(null);
    useEffect(() => {
        if (asked.current === wanted) return;
        asked.current = wanted;
        const [key] = JSON.parse(wanted) as [string];
        const request = {
            family: key,
            parameters: Object.fromEntries(shaping.map((field) => [field.key, shapeOf(field)])),
        };
        // An answer to an earlier choice must not come after that to this one.
        underWay.current?.();
        router.reload({
            only: ['start'],
            data: request,
            onCancelToken: (token) => {
                underWay.current = token.cancel;
            },
        });
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [wanted]);
    const { cells, questions } = start;
    const chooseFamily = (key: string) => {
        setData((old) => ({ ...old, family: key, shape: {}, states: {}, answers: {} }));
    };
    const submit = (event: React.FormEvent) => {
        event.preventDefault();
        form.transform((given) => ({
            ...ids,
            unitId: unit?.id ?? null,
            unitName: given.name,
            unitPlace: given.place,
            unitModel: given.model,
            kind: given.kind,
            part: given.kind === 'loose-part' ? given.part : null,
            complaint: given.complaint,
            also: given.also,
            since: given.since,
            replacedBefore: given.replaced,
            intermittent: given.intermittent === 'yes',
            family: family?.key ?? '',
            parameters,
            answers: given.answers,
            states: Object.fromEntries(cells.map((cell) => [cell.key, given.states[cell.key] ?? null])),
        }));
        form.post('/jobs', { preserveState: true });
    };
    return (
        <Frame title="New job">
            <form onSubmit={submit} className="mx-auto max-w-[1180px] px-5 py-6">
                <h1 className="mb-5 text-[1.8rem] leading-none font-semibold">New job</h1>
                <Choices
                    label="Kind of job"
                    value={kind}
                    onChange={(next) => setData('kind', next)}
                    choices={jobKinds.map((one) => ({ value: one.value, label: one.label }))}
                    hint={jobKinds.find((one) => one.value === kind)?.hint ?? null}
                />
                <div className="mt-5 grid gap-x-10 gap-y-4 lg:grid-cols-2">
                    <div className="flex flex-col gap-4">
                        <TextField
                            label="Unit"
                            list="units"
                            value={name}
                            onChange={(event) => setData('name', event.target.value)}
                            error={errors['unitName'] ?? errors['unitId']}
                            hint={
                                kind === 'loose-part'
                                    ? 'Not needed for a loose part.'
                                    : 'A vehicle or an appliance. Choose one that was here before, or type a new name.'
                            }
                            autoComplete="off"
                            required={kind !== 'loose-part'}
                        />
                        <datalist id="units">
                            {units.map((one) => (
                                <option key={`${one.name} ${one.place ?? ''}`} value={one.name}>
                                    {[one.place, one.model].filter(Boolean).join(', ')}
                                </option>
                            ))}
                        </datalist>
                        {unit ? (
                            <section aria-label="History of the unit" className="border-l-4 border-lake pl-3">
                                <p className="font-medium">
                                    {[unit.place, unit.model].filter(Boolean).join(', ') || 'No model noted'}{' '}
                                    <TextLink href={`/units/${unit.id}`}>The unit</TextLink>
                                </p>
                                {unit.note && <p>{unit.note}</p>}
                                <Again again={unit.again} />
                                {unit.history.length === 0 && <p className="text-soft">No job yet.</p>}
                                <ul>
                                    {unit.history.map((past) => (
                                        <li key={past.number}>
                                            <span className="figure text-soft">{past.number}</span> {day(past.openedAt)}
                                            : {past.complaint}
                                            {past.replaced.length > 0 && (
                                                <strong className="font-semibold">
                                                    . Replaced: {past.replaced.join(', ')}
                                                </strong>
                                            )}
                                            {past.found.length > 0 && (
                                                <span className="text-soft">. As found: {past.found.join('; ')}</span>
                                            )}
                                        </li>
                                    ))}
                                </ul>
                            </section>
                        ) : (
                            <div className="grid gap-4 sm:grid-cols-2">
                                <TextField
                                    label="Where it belongs"
                                    value={data.place}
                                    onChange={(event) => setData('place', event.target.value)}
                                    error={errors['unitPlace']}
                                />
                                <TextField
                                    label="Model"
                                    value={model}
                                    onChange={(event) => setData('model', event.target.value)}
                                    error={errors['unitModel']}
                                    hint={known ? 'Its circuit is known from an earlier job.' : null}
                                />
                            </div>
                        )}
                    </div>
                    <div className="flex flex-col gap-4">
                        <TextArea
                            label="Complaint"
                            rows={2}
                            value={data.complaint}
                            onChange={(event) => setData('complaint', event.target.value)}
                            error={errors['complaint']}
                            hint={
                                kind === 'loose-part'
                                    ? 'Empty: is it still good?'
                                    : 'What the user of the machine says.'
                            }
                            required={kind !== 'loose-part'}
                        />
                        <div className="grid gap-4 sm:grid-cols-2">
                            <TextField
                                label="A second thing that is wrong"
                                value={data.also}
                                onChange={(event) => setData('also', event.target.value)}
                                error={errors['also']}
                            />
                            <TextField
                                label="Since when"
                                value={data.since}
                                onChange={(event) => setData('since', event.target.value)}
                                error={errors['since']}
                            />
                            <TextField
                                label="Replaced before on this unit"
                                hint="Each part, with commas between: several point to what drives them."
                                value={data.replaced}
                                onChange={(event) => setData('replaced', event.target.value)}
                                error={errors['replacedBefore']}
                            />
                        </div>
                        <Choices
                            label="How it shows"
                            value={data.intermittent}
                            onChange={(next) => setData('intermittent', next)}
                            choices={[
                                { value: 'no', label: 'Always' },
                                { value: 'yes', label: 'Comes and goes' },
                            ]}
                        />
                    </div>
                </div>
                <div className="mt-6 border-t border-rule pt-4">
                    <div className="mb-3 flex flex-col gap-3">
                        <Choices
                            label="Kind of circuit"
                            value={family?.key ?? ''}
                            onChange={chooseFamily}
                            choices={families.map((one) => ({ value: one.key, label: one.name }))}
                            hint={family?.summary ?? null}
                        />
                        <p>
                            <Button onClick={() => setFinding(true)}>Not sure? Find it by what is seen</Button>
                        </p>
                        <Finder steps={finder} open={finding} onOpenChange={setFinding} onFound={chooseFamily} />
                        {shaping.map((field) => (
                            <Choices
                                key={field.key}
                                label={field.label}
                                value={shapeOf(field)}
                                onChange={(value) => setData('shape', { ...shape, [field.key]: value })}
                                choices={field.choices}
                                hint={field.hint}
                            />
                        ))}
                    </div>
                    {kind === 'loose-part' ? (
                        <Select
                            label="The part on the bench"
                            choices={start.parts}
                            empty="choose"
                            value={part}
                            onChange={(event) => setData('part', event.target.value)}
                            error={errors['part'] ?? errors['parameters'] ?? errors['family']}
                            className="max-w-96"
                        />
                    ) : (
                        <>
                            <SpeedMapEntry
                                legend="Try every position: what does it do?"
                                cells={cells}
                                states={states}
                                onChange={(next) => setData('states', next)}
                                error={errors['states'] ?? errors['parameters'] ?? errors['family']}
                            />
                            <p className="mt-2 text-soft">
                                Leave a position untouched when it was not tried. "Key off" is with the selector left
                                where it was.
                            </p>
                        </>
                    )}
                    {kind !== 'loose-part' && questions.length > 0 && (
                        <Questions
                            questions={questions}
                            answers={answers}
                            onChange={(next) => setData('answers', next)}
                            error={errors['answers']}
                        />
                    )}
                </div>
                <div className="mt-5">
                    <Button kind="act" type="submit" disabled={form.processing}>
                        Open the job
                    </Button>
                </div>
            </form>
        </Frame>
    );
}

import { router, useForm, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { ulid } from 'ulid';
import CircuitFields from '@/jobs/CircuitFields';
import Questions from '@/jobs/Questions';
import SpeedMapEntry from '@/jobs/SpeedMapEntry';
import type { OtherCircuitPage, SpeedState } from '@/generated/props';
import type { Parameters, Shared } from '@/lib/page';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import Select from '@/ui/Select';
import TextLink from '@/ui/TextLink';

type States = Record<string, SpeedState | undefined>;

type Props = OtherCircuitPage & Shared;

interface Draft {
    values: Parameters;
    states: States;
    answers: Record<string, string>;
    reason: string;
}

function Said({ title, hint, readings }: { title: string; hint: string; readings: string[] }) {
    return (
        <section aria-label={title} className="mt-4">
            <h2 className="font-semibold">
                {title} <span className="figure font-normal">{readings.length}</span>
            </h2>
            <p className="text-soft">{hint}</p>
            <ul
                className="mt-1 max-h-64 overflow-y-auto border-b border-rule"
                tabIndex={0}
                aria-label={`${title}, list`}
            >
                {readings.map((one, n) => (
                    <li key={`${n} ${one}`} className="border-t border-rule py-1">
                        {one}
                    </li>
                ))}
            </ul>
        </section>
    );
}

/** Another circuit for a job: what would stay and what would be set aside is seen before anything changes. */
export default function OtherCircuit() {
    const { job, families, family, now, fields, values, problems, kept, setAside, cells, states, questions } =
        usePage<Props>().props;
    const [id] = useState(ulid);
    const form = useForm<Draft>({ values: values as Parameters, states, answers: {}, reason: '' });
    const { values: draft, states: tried, answers, reason } = form.data;
    const errors: Record<string, string | undefined> = form.errors;
    const look = (key: string, next?: Parameters) =>
        router.get(
            `/jobs/${job.id}/circuit/other`,
            { family: key, ...(next ? { values: next as Record<string, string> } : {}) },
            { preserveScroll: true, replace: true },
        );
    const change = (next: Parameters) => {
        form.setData('values', next);
        // What shapes the map decides what stays: it is looked at again at once.
        if (fields.some((field) => field.shapesMap && next[field.key] !== draft[field.key])) look(family, next);
    };
    const submit = (event: React.FormEvent) => {
        event.preventDefault();
        form.transform((data) => ({
            id,
            family,
            values: data.values,
            reason: data.reason,
            answers: data.answers,
            states: Object.fromEntries(
                cells
                    .filter((cell) => data.states[cell.key] !== states[cell.key])
                    .map((cell) => [cell.key, data.states[cell.key] ?? null]),
            ),
        }));
        form.post(`/jobs/${job.id}/circuit/other`, { preserveState: true });
    };
    return (
        <Frame title={`Another circuit ${job.number}`} job={job} here="circuit">
            <form onSubmit={submit} className="mx-auto max-w-[1180px] px-5 py-5">
                <p className="mb-1">
                    <TextLink href={`/jobs/${job.id}/circuit`}>Leave it as it is</TextLink>
                </p>
                <h1 className="text-[1.6rem] leading-tight font-semibold">It is another circuit</h1>
                <p className="mb-4 max-w-[60em] text-soft">
                    Now it is: {now}. Unit, complaint and notes stay. Of the readings those stay that the other circuit
                    asks for in the same words; the others are struck out and kept in words.
                </p>
                <Select
                    label="Kind of circuit"
                    value={family}
                    choices={families.map((one) => ({ value: one.key, label: one.name }))}
                    onChange={(event) => look(event.target.value)}
                    error={errors['family'] ?? errors['circuit']}
                    className="max-w-96"
                />
                <p className="mt-1 mb-4 text-soft">{families.find((one) => one.key === family)?.summary}</p>
                <CircuitFields fields={fields} values={draft} errors={{ ...problems, ...errors }} onChange={change} />
                <div className="mt-2 grid gap-x-10 lg:grid-cols-2">
                    <Said title="Stays" hint="It still says something in the other circuit." readings={kept} />
                    <Said
                        title="Set aside"
                        hint="Struck out, with the reason, and kept in words."
                        readings={setAside}
                    />
                </div>
                <div className="mt-6">
                    <SpeedMapEntry
                        legend="Try every position: what does it do?"
                        cells={cells}
                        states={tried}
                        onChange={(next) => form.setData('states', next)}
                        error={errors['states']}
                    />
                </div>
                {questions.length > 0 && (
                    <Questions
                        questions={questions}
                        answers={answers}
                        onChange={(next) => form.setData('answers', next)}
                        error={errors['answers']}
                    />
                )}
                <TextField
                    label="Why, or a note"
                    value={reason}
                    onChange={(event) => form.setData('reason', event.target.value)}
                    error={errors['reason']}
                    className="mt-5 max-w-[40em]"
                />
                <div className="mt-5">
                    <Button kind="act" type="submit" disabled={form.processing}>
                        Change the circuit
                    </Button>
                </div>
            </form>
        </Frame>
    );
}

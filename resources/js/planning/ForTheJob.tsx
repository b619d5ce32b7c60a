import { router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { ulid } from 'ulid';
import { day } from '@/lib/format';
import type { JobHead, KeptPlan, PlanShown } from '@/generated/props';
import type { Parameters, Shared } from '@/lib/page';
import Button from '@/ui/Button';
import Select from '@/ui/Select';
import TextLink from '@/ui/TextLink';

interface Props {
    planner: string;
    values: Parameters;
    plan: PlanShown;
    job: JobHead;
    wanted: string;
    tests: { key: string; title: string }[][];
}

/** Takes worked values down as readings of the job: those that belong to one test each all at once. */
export function TakeDown({ planner, values, plan, job, wanted, tests }: Props) {
    const { errors } = usePage<Shared>().props;
    const [number, setNumber] = useState(0);
    const [test, setTest] = useState(wanted);
    const own = plan.worked
        .map((one, n) => ({ number: n, test: one.test === '' ? undefined : tests[n]?.[0] }))
        .filter((one) => one.test !== undefined);
    const fitting = tests[number] ?? [];
    const chosen = fitting.find((one) => one.key === test) ?? fitting[0];
    const send = (takes: { number: number; test: string }[]) =>
        router.post(
            `/jobs/${job.id}/worked/${planner}`,
            {
                values: values as Record<string, string>,
                takes: takes.map((one) => ({ id: ulid(), ...one })),
            },
            { preserveState: 'errors' },
        );
    const error = errors.test && (
        <p role="alert" className="font-medium text-bad">
            {errors.test}
        </p>
    );
    if (own.length > 1) {
        return (
            <p className="mt-4 flex flex-wrap items-center gap-3 border-t border-rule pt-3">
                <Button onClick={() => send(own.map((one) => ({ number: one.number, test: one.test?.key ?? '' })))}>
                    Record all {own.length} in {job.number}
                </Button>
                {error}
            </p>
        );
    }
    if (!chosen) return null;
    return (
        <form
            className="mt-4 flex flex-wrap items-center gap-2 border-t border-rule pt-3"
            onSubmit={(event) => {
                event.preventDefault();
                send([{ number, test: chosen.key }]);
            }}
        >
            <span className="font-medium">Take down</span>
            {plan.worked.length > 1 ? (
                <Select
                    bare
                    label="Value"
                    value={String(number)}
                    choices={plan.worked.map((one, n) => ({ value: String(n), label: one.label }))}
                    onChange={(event) => setNumber(Number(event.target.value))}
                />
            ) : (
                <span>{plan.worked[0]?.label}</span>
            )}
            <span>as</span>
            <Select
                bare
                label="Test"
                value={chosen.key}
                choices={fitting.map((one) => ({ value: one.key, label: one.title }))}
                onChange={(event) => setTest(event.target.value)}
            />
            <Button type="submit">Record in {job.number}</Button>
            {error}
        </form>
    );
}

/** Keeps the answer with the job: it then stands on the proof and on the sheet for the file. */
export function Keep({ planner, values, job }: { planner: string; values: Parameters; job: JobHead }) {
    const { errors } = usePage<Shared>().props;
    const [id, setId] = useState(ulid);
    const [sending, setSending] = useState(false);
    const error = errors.values ?? errors.said ?? errors.stage ?? errors.id;
    return (
        <p className="mt-4 flex flex-wrap items-center gap-3 border-t border-rule pt-3">
            <Button
                disabled={sending}
                onClick={() => {
                    setSending(true);
                    router.post(
                        `/jobs/${job.id}/plans/${planner}`,
                        { id, values: values as Record<string, string> },
                        {
                            preserveState: true,
                            preserveScroll: true,
                            onSuccess: () => setId(ulid()),
                            onFinish: () => setSending(false),
                        },
                    );
                }}
            >
                Keep it with {job.number}
            </Button>
            {error && (
                <span role="alert" className="font-medium text-bad">
                    {error}
                </span>
            )}
        </p>
    );
}

/** What was kept of planners with a job, each with the way back to its values. */
export function KeptPlans({ plans }: { plans: KeptPlan[] }) {
    return (
        <ul className="border-b border-rule">
            {plans.map((plan) => (
                <li key={plan.id} className="border-t border-rule py-2">
                    <TextLink href={plan.href}>{plan.name}</TextLink>
                    {plan.at && <span className="ml-2 text-soft">{day(plan.at)}</span>}
                    {plan.said.slice(0, 4).map((sentence) => (
                        <p key={sentence}>{sentence}</p>
                    ))}
                </li>
            ))}
        </ul>
    );
}

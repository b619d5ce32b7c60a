import { useForm, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { ulid } from 'ulid';
import { type ProofProps } from '@/repair/proofProps';
import SpeedMapEntry from '@/jobs/SpeedMapEntry';
import type { SpeedState } from '@/generated/props';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';

type States = Record<string, SpeedState | undefined>;

/** The same map again, once or in several passes. */
export default function ProofMap() {
    const { job, strip, proved, passes, practice } = usePage<ProofProps>().props;
    const [id] = useState(ulid);
    const [again, setAgain] = useState(false);
    const form = useForm<{ provokedBy: string; states: States }>({ provokedBy: '', states: {} });
    const errors: Record<string, string | undefined> = form.errors;
    const { states } = form.data;
    const setStates = (next: States) => form.setData('states', next);
    const submit = (event: React.FormEvent) => {
        event.preventDefault();
        form.transform((data) => ({
            id,
            provokedBy: passes === null ? null : data.provokedBy,
            states: Object.fromEntries(strip.cells.map((cell) => [cell.key, data.states[cell.key] ?? null])),
        }));
        form.post(`/jobs/${job.id}/proof`, { preserveState: 'errors' });
    };
    if (proved && !again)
        return (
            <>
                <p className="text-lg">
                    <span className="text-good" aria-hidden="true">
                        ●{' '}
                    </span>
                    Every position was tried again, and each of them is right.
                </p>
                {passes !== null && (
                    <p className="mt-1 flex flex-wrap items-baseline gap-x-4">
                        <span>
                            It came and went: {passes} of 3 passes were right. Bring on what used to bring it on, and
                            run it again.
                        </span>
                        <Button onClick={() => setAgain(true)}>Another pass</Button>
                    </p>
                )}
            </>
        );
    return (
        <form onSubmit={submit}>
            <p className="my-3 border-l-4 border-warn bg-caution px-3 py-1.5 font-medium">
                It runs during the proof. Hands, sleeves and tools out of the wheel or the linkage; bare ends insulated
                first.
            </p>
            <p className="mb-3 max-w-[60em]">
                Before closing up, run every position. A lowest speed that barely turns is no pass. If one of them is
                not right, the job goes back to the bench with this map as readings, and the verdict is marked as not
                having held.
            </p>
            {practice && (
                <Button onClick={() => setStates(practice.states as States)} className="mb-3">
                    Let the unit show every position
                </Button>
            )}
            <SpeedMapEntry
                legend="What it does now"
                cells={strip.cells}
                states={states}
                onChange={setStates}
                error={errors.states ?? errors.id}
            />
            {passes !== null && (
                <TextField
                    label="With what used to bring it on"
                    hint="Warm, wet, bumps, steering turned, after an hour: what was it this time?"
                    value={form.data.provokedBy}
                    onChange={(event) => form.setData('provokedBy', event.target.value)}
                    error={errors.provokedBy}
                    className="mt-3 max-w-[34em]"
                />
            )}
            <Button kind="act" type="submit" disabled={form.processing} className="mt-4">
                Record the proof
            </Button>
        </form>
    );
}

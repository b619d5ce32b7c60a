import type { StepBack } from '@/generated/props';
import { useEntryForm } from '@/repair/useEntryForm';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';

/** One step of the way back: what was taken off, and whether all of it is on again. */
export default function PutBack({
    job,
    open,
    step,
    next,
}: {
    job: string;
    open: boolean;
    step: StepBack;
    next: boolean;
}) {
    const form = useEntryForm(job, 'up', { count: String(step.left), reason: '' });
    return (
        <li className="border-t border-rule py-1.5">
            <p>
                <strong className="font-semibold">{step.what}</strong>{' '}
                <span className="figure text-soft">
                    {step.count === 0 ? (step.done ? 'back' : '') : `${step.back} of ${step.count} back`}
                </span>
                {step.reason && (
                    <span className="text-warn">
                        , {step.left} stay out: {step.reason}
                    </span>
                )}
            </p>
            {open && next && (
                <form
                    onSubmit={(event) => form.send(event, { of: step.id })}
                    className="mt-1 flex flex-wrap items-start gap-3"
                >
                    {step.count > 0 && <TextField label="Back on" inputMode="numeric" {...form.field('count')} />}
                    {step.count > 0 && (
                        <TextField
                            label="Why some stay out"
                            {...form.field('reason')}
                            error={form.errors.reason ?? form.errors.of}
                        />
                    )}
                    <Button type="submit" disabled={form.sending} className={step.count > 0 ? 'beside-field' : ''}>
                        It is back
                    </Button>
                </form>
            )}
        </li>
    );
}

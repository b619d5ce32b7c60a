import { usePage } from '@inertiajs/react';
import { type ProofProps } from '@/repair/proofProps';
import { day } from '@/lib/format';
import { word } from '@/lib/payload';
import { useEntryForm } from '@/repair/useEntryForm';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';

const none = { what: '', to: '', dueOn: '' };

/** Something lent out with the machine. */
export default function LentForm() {
    const { job, loans } = usePage<ProofProps>().props;
    const form = useEntryForm(job.id, 'loan', none);
    return (
        <details className="mt-6 border-t border-rule pt-2" open={loans.length > 0}>
            <summary className="min-h-11 cursor-pointer content-center font-medium">Something lent out with it</summary>
            {loans.map((one) => (
                <p key={one.id} className="border-t border-rule py-1.5">
                    <strong className="font-semibold">{word(one.what)}</strong> to {word(one.to)}, back on{' '}
                    {day(word(one.dueOn))}
                </p>
            ))}
            <form onSubmit={form.send} className="grid items-start gap-3 sm:grid-cols-[1.4fr_1fr_11rem_auto]">
                <TextField label="What is lent" {...form.field('what')} />
                <TextField label="To whom" {...form.field('to')} />
                <TextField label="Back on" type="date" {...form.field('dueOn')} />
                <Button type="submit" disabled={form.sending} className="beside-field">
                    Lend it
                </Button>
            </form>
        </details>
    );
}

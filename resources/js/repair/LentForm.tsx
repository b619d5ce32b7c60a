import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { type ProofProps } from '@/repair/proofProps';
import { day } from '@/lib/format';
import { word } from '@/lib/payload';
import { useEntry } from '@/repair/useEntry';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';

/** Something lent out with the machine. */
export default function LentForm() {
    const { job, loans, errors } = usePage<ProofProps>().props;
    const { note, sending } = useEntry(job.id);
    const none = { what: '', to: '', dueOn: '' };
    const [draft, setDraft] = useState(none);
    const [here, setHere] = useState(false);
    return (
        <details className="mt-6 border-t border-rule pt-2" open={loans.length > 0}>
            <summary className="min-h-11 cursor-pointer content-center font-medium">Something lent out with it</summary>
            {loans.map((one) => (
                <p key={one.id} className="border-t border-rule py-1.5">
                    <strong className="font-semibold">{word(one.what)}</strong> to {word(one.to)}, back on{' '}
                    {day(word(one.dueOn))}
                </p>
            ))}
            <form
                onSubmit={(event) => {
                    event.preventDefault();
                    setHere(true);
                    note('loan', draft, () => {
                        setDraft(none);
                        setHere(false);
                    });
                }}
                className="grid items-start gap-3 sm:grid-cols-[1.4fr_1fr_11rem_auto]"
            >
                <TextField
                    label="What is lent"
                    value={draft.what}
                    onChange={(event) => setDraft({ ...draft, what: event.target.value })}
                    error={here ? errors.what : undefined}
                />
                <TextField
                    label="To whom"
                    value={draft.to}
                    onChange={(event) => setDraft({ ...draft, to: event.target.value })}
                    error={here ? errors.to : undefined}
                />
                <TextField
                    label="Back on"
                    type="date"
                    value={draft.dueOn}
                    onChange={(event) => setDraft({ ...draft, dueOn: event.target.value })}
                    error={here ? errors.dueOn : undefined}
                />
                <Button type="submit" disabled={sending} className="mt-7">
                    Lend it
                </Button>
            </form>
        </details>
    );
}

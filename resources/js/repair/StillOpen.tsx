import { useState } from 'react';
import type { OpenItem } from '@/generated/props';
import { useEntryForm } from '@/repair/useEntryForm';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';

function Item({ job, item }: { job: string; item: OpenItem }) {
    const [open, setOpen] = useState(false);
    const form = useEntryForm(job, 'settled', { who: '', how: '' });
    return (
        <li className="border-t border-rule py-2">
            <div className="flex flex-wrap items-baseline gap-x-4">
                <span className="mr-auto">
                    <strong className="font-semibold">{item.what}</strong>
                    {item.why !== '' && <span className="text-soft">, {item.why}</span>}
                </span>
                {!open && (
                    <Button kind="quiet" onClick={() => setOpen(true)} aria-label={`Settle: ${item.what}`}>
                        Settle it
                    </Button>
                )}
            </div>
            {open && (
                <form
                    onSubmit={(event) => form.send(event, { of: item.of, aspect: item.aspect }, () => setOpen(false))}
                    className="mt-1 grid items-start gap-3 sm:grid-cols-[1fr_1.6fr_auto]"
                >
                    <TextField label="By whom" {...form.field('who')} />
                    <TextField label="How" {...form.field('how')} />
                    <Button
                        type="submit"
                        disabled={form.sending || form.draft.who.trim() === '' || form.draft.how.trim() === ''}
                        className="beside-field"
                    >
                        Settled
                    </Button>
                </form>
            )}
        </li>
    );
}

/** What a job leaves open, each with the way to settle it by name. */
export default function StillOpen({ job, items }: { job: string; items: OpenItem[] }) {
    return (
        <ul className="border-b border-rule">
            {items.map((item) => (
                <Item key={`${item.of} ${item.aspect}`} job={job} item={item} />
            ))}
        </ul>
    );
}

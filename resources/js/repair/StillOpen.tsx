import { useState } from 'react';
import type { OpenItem } from '@/generated/props';
import { useEntry } from '@/repair/useEntry';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';

function Item({ job, item }: { job: string; item: OpenItem }) {
    const { note, sending } = useEntry(job);
    const [open, setOpen] = useState(false);
    const [draft, setDraft] = useState({ who: '', how: '' });
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
                    onSubmit={(event) => {
                        event.preventDefault();
                        note('settled', { of: item.of, aspect: item.aspect, ...draft }, () => setOpen(false));
                    }}
                    className="mt-1 grid items-start gap-3 sm:grid-cols-[1fr_1.6fr_auto]"
                >
                    <TextField
                        label="By whom"
                        value={draft.who}
                        onChange={(event) => setDraft({ ...draft, who: event.target.value })}
                    />
                    <TextField
                        label="How"
                        value={draft.how}
                        onChange={(event) => setDraft({ ...draft, how: event.target.value })}
                    />
                    <Button
                        type="submit"
                        disabled={sending || draft.who.trim() === '' || draft.how.trim() === ''}
                        className="mt-7"
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

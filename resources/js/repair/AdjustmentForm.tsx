import { usePage } from '@inertiajs/react';
import { useState } from 'react';
import { type ProofProps } from '@/repair/proofProps';
import { day } from '@/lib/format';
import { word } from '@/lib/payload';
import { useEntry } from '@/repair/useEntry';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import Select from '@/ui/Select';

/** What was adjusted, from what to what. */
export default function AdjustmentForm() {
    const { job, adjusted, adjusts, open, errors } = usePage<ProofProps>().props;
    const { note, sending } = useEntry(job.id);
    const none = { of: '', what: '', before: '', after: '', undoOn: '' };
    const [draft, setDraft] = useState(none);
    const [here, setHere] = useState(false);
    return (
        <section aria-label="Adjustment" className="mt-6">
            <h2 className="text-lg font-semibold">What is adjusted</h2>
            {adjusted.map((one) => (
                <p key={one.id} className="border-t border-rule py-1.5">
                    <strong className="font-semibold">{word(one.what)}</strong>: from {word(one.before)} to{' '}
                    {word(one.after)}
                    {typeof one.undoOn === 'string' && one.undoOn !== '' ? `, to be undone on ${day(one.undoOn)}` : ''}
                </p>
            ))}
            {open && (
                <>
                    <p className="my-2 border-l-4 border-warn bg-caution px-3 py-1.5">
                        Power off and locked before a tap moves. One tap only is live; the idle ones are capped. Never
                        lower a heat speed until the rise leaves the plate's range.
                    </p>
                    <form
                        onSubmit={(event) => {
                            event.preventDefault();
                            setHere(true);
                            note('adjusted', draft, () => {
                                setDraft(none);
                                setHere(false);
                            });
                        }}
                        className="grid items-start gap-3 sm:grid-cols-[1.4fr_1fr_1fr_11rem_auto]"
                    >
                        {adjusts.length > 0 ? (
                            <Select
                                label="What"
                                empty="choose"
                                choices={adjusts}
                                value={draft.of}
                                onChange={(event) =>
                                    setDraft({
                                        ...draft,
                                        of: event.target.value,
                                        what: adjusts.find((one) => one.value === event.target.value)?.label ?? '',
                                    })
                                }
                                error={here ? errors.what : undefined}
                            />
                        ) : (
                            <TextField
                                label="What"
                                value={draft.what}
                                onChange={(event) => setDraft({ ...draft, what: event.target.value })}
                                error={here ? errors.what : undefined}
                            />
                        )}
                        <TextField
                            label="From"
                            value={draft.before}
                            onChange={(event) => setDraft({ ...draft, before: event.target.value })}
                            error={here ? errors.before : undefined}
                        />
                        <TextField
                            label="To"
                            value={draft.after}
                            onChange={(event) => setDraft({ ...draft, after: event.target.value })}
                            error={here ? errors.after : undefined}
                        />
                        <TextField
                            label="Undo on"
                            type="date"
                            value={draft.undoOn}
                            onChange={(event) => setDraft({ ...draft, undoOn: event.target.value })}
                            error={here ? errors.undoOn : undefined}
                        />
                        <Button type="submit" disabled={sending} className="mt-7">
                            Note it
                        </Button>
                    </form>
                </>
            )}
        </section>
    );
}

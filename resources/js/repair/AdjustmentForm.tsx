import { usePage } from '@inertiajs/react';
import { type ProofProps } from '@/repair/proofProps';
import { day } from '@/lib/format';
import { word } from '@/lib/payload';
import { useEntryForm } from '@/repair/useEntryForm';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import Select from '@/ui/Select';

const none = { of: '', what: '', before: '', after: '', undoOn: '' };

/** What was adjusted, from what to what. */
export default function AdjustmentForm() {
    const { job, adjusted, adjusts, open } = usePage<ProofProps>().props;
    const form = useEntryForm(job.id, 'adjusted', none);
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
                        onSubmit={form.send}
                        className="grid items-start gap-3 sm:grid-cols-[1.4fr_1fr_1fr_11rem_auto]"
                    >
                        {adjusts.length > 0 ? (
                            <Select
                                label="What"
                                empty="choose"
                                choices={adjusts}
                                value={form.draft.of}
                                onChange={(event) =>
                                    form.set({
                                        of: event.target.value,
                                        what: adjusts.find((one) => one.value === event.target.value)?.label ?? '',
                                    })
                                }
                                error={form.errors.what}
                            />
                        ) : (
                            <TextField label="What" {...form.field('what')} />
                        )}
                        <TextField label="From" {...form.field('before')} />
                        <TextField label="To" {...form.field('after')} />
                        <TextField label="Undo on" type="date" {...form.field('undoOn')} />
                        <Button type="submit" disabled={form.sending} className="beside-field">
                            Note it
                        </Button>
                    </form>
                </>
            )}
        </section>
    );
}

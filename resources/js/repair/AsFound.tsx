import type { FoundEntry } from '@/generated/props';
import PhotoPick from '@/log/PhotoPick';
import { useEntry } from '@/repair/useEntry';
import { useEntryForm } from '@/repair/useEntryForm';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import Select from '@/ui/Select';

const conditions = [
    { value: 'missing', label: 'missing' },
    { value: 'stripped', label: 'stripped' },
    { value: 'pried', label: 'pried or cracked' },
    { value: 'swapped', label: 'swapped' },
    { value: 'not-original', label: 'not original' },
    { value: 'damaged', label: 'damaged' },
];

const none = { what: '', condition: 'missing', count: '', note: '', photo: '' };

/** What is missing or broken before anything is touched. */
export default function AsFound({ job, open, found }: { job: string; open: boolean; found: FoundEntry[] }) {
    const { note } = useEntry(job);
    const form = useEntryForm(job, 'found', none);
    return (
        <section aria-label="As found">
            <h2 className="text-lg font-semibold">As found, before anything is touched</h2>
            {found.length === 0 && (
                <p className="text-soft">
                    Nothing noted. What is missing or broken now is on record before it can be disputed.
                </p>
            )}
            <ul className="border-b border-rule">
                {found.map((one) => (
                    <li key={one.id} className="flex items-center gap-3 border-t border-rule py-1.5">
                        {one.photo && (
                            <img
                                src={`/jobs/${job}/photos/${one.photo}`}
                                alt={one.what}
                                className="h-11 w-16 object-cover"
                            />
                        )}
                        <span className="flex-1">
                            <strong className="font-semibold">{one.what}</strong>:{' '}
                            {conditions.find((c) => c.value === one.condition)?.label}
                            {(one.count ?? 0) > 0 && (
                                <>
                                    , <span className="figure">{one.count}</span>
                                </>
                            )}
                            {one.note && <span className="text-soft"> {one.note}</span>}
                        </span>
                        {open && (
                            <Button
                                kind="quiet"
                                aria-label={`Take back ${one.what}`}
                                onClick={() => note('removed', { of: one.id })}
                            >
                                Take back
                            </Button>
                        )}
                    </li>
                ))}
            </ul>
            {open && (
                <form
                    onSubmit={(event) => form.send(event, { count: form.draft.count || 0 })}
                    className="mt-3 grid items-start gap-3 sm:grid-cols-[1.4fr_1fr_5rem]"
                >
                    <TextField label="What" {...form.field('what')} />
                    <Select label="How it is" choices={conditions} {...form.field('condition')} />
                    <TextField label="Count" inputMode="numeric" {...form.field('count')} />
                    <PhotoPick
                        job={job}
                        caption={form.draft.what}
                        value={form.draft.photo}
                        onChange={(photo) => form.set({ photo })}
                    />
                    <Button type="submit" disabled={form.sending} className="self-end">
                        Note it
                    </Button>
                </form>
            )}
        </section>
    );
}

import { router } from '@inertiajs/react';
import type { KitShown, StripPage } from '@/generated/props';
import { useEntry } from '@/repair/useEntry';
import { useEntryForm } from '@/repair/useEntryForm';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import Select from '@/ui/Select';
import Tick from '@/ui/Tick';

const sorts = [
    { value: 'tool', label: 'Tools' },
    { value: 'consumable', label: 'Consumables' },
    { value: 'carry-over', label: 'Moves from old to new' },
    { value: 'restore', label: 'Lost with the battery off: set again' },
];

interface Props {
    job: string;
    open: boolean;
    kit: KitShown[];
    route: StripPage['route'];
}

/** What has to be at hand before the first screw. */
export default function KitList({ job, open, kit, route }: Props) {
    const { note } = useEntry(job);
    const form = useEntryForm(job, 'kit', { sort: 'tool', what: '' }, ['sort']);
    const missing = (route?.kit ?? []).filter(
        (past) => !kit.some((one) => one.what === past.what && one.sort === past.sort),
    );
    return (
        <section aria-label="Kit">
            <h2 className="text-lg font-semibold">Kit</h2>
            {kit.length === 0 && <p className="text-soft">Nothing listed yet.</p>}
            {sorts.map((sort) => {
                const items = kit.filter((one) => one.sort === sort.value);
                return items.length === 0 ? null : (
                    <div key={sort.value} className="mt-1">
                        <h3 className="text-soft">{sort.label}</h3>
                        <ul>
                            {items.map((one) => (
                                <li key={one.id} className="flex items-center justify-between border-t border-rule">
                                    <Tick
                                        checked={one.ready}
                                        disabled={!open || one.ready}
                                        onChange={() => note('kit-ready', { of: one.id })}
                                    >
                                        {one.what}
                                        {one.substitute && <span className="text-soft"> ({one.substitute})</span>}
                                    </Tick>
                                    {open && !one.ready && (
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
                    </div>
                );
            })}
            {open && missing.length > 0 && (
                <Button className="mt-2" onClick={() => router.post(`/jobs/${job}/kit`, {}, { preserveScroll: true })}>
                    Take the {missing.length} things of {route?.job}
                </Button>
            )}
            {open && (
                <form onSubmit={form.send} className="mt-3 grid items-start gap-3 sm:grid-cols-[1fr_1.4fr_auto]">
                    <Select label="Sort" choices={sorts} {...form.field('sort')} />
                    <TextField label="Thing" {...form.field('what')} />
                    <Button type="submit" disabled={form.sending} className="beside-field">
                        Add
                    </Button>
                </form>
            )}
        </section>
    );
}

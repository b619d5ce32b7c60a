import { usePage } from '@inertiajs/react';
import Switches from '@/bench/Switches';
import type { SwitchRow, WiresPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import PhotoPick from '@/log/PhotoPick';
import { useEntryForm } from '@/repair/useEntryForm';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';

function Copied({ row }: { row: SwitchRow }) {
    const { job, open } = usePage<WiresPage & Shared>().props;
    const form = useEntryForm(job.id, 'switches-set', {
        new: row.new ?? '0'.repeat(row.old.length),
        reason: row.reason,
    });
    const pattern = form.draft.new;
    return (
        <li className="border-t border-rule py-3">
            <p className="mb-2 font-semibold">{row.name}</p>
            <div className="flex flex-wrap items-end gap-6">
                <div>
                    <p className="text-soft">On the old part</p>
                    <Switches pattern={row.old} label={`${row.name}, old`} />
                </div>
                <div>
                    <p className="text-soft">On the new part{row.new === null ? ', as it is to be set' : ''}</p>
                    {open ? (
                        <Switches
                            pattern={pattern}
                            label={`${row.name}, new`}
                            onChange={(pattern) => form.set({ new: pattern })}
                            against={row.old}
                        />
                    ) : (
                        <Switches pattern={row.new ?? row.old} label={`${row.name}, new`} against={row.old} />
                    )}
                </div>
                {open && (
                    <form
                        onSubmit={(event) => form.send(event, { of: row.id })}
                        className="flex flex-wrap items-end gap-3"
                    >
                        {pattern !== row.old && (
                            <TextField label="Why it differs" {...form.field('reason')} className="w-64" />
                        )}
                        <Button type="submit" disabled={form.sending}>
                            Set like this
                        </Button>
                    </form>
                )}
            </div>
            {row.new !== null && (
                <p className="mt-1.5">
                    {row.new === row.old ? (
                        <span className="text-good">Set alike.</span>
                    ) : (
                        <span className="text-warn">Differs: {row.reason}</span>
                    )}
                </p>
            )}
        </li>
    );
}

/** Small switches of a board, copied as a picture from the old part to the new one. */
export default function SwitchSettings() {
    const { job, open, switches } = usePage<WiresPage & Shared>().props;
    const form = useEntryForm(job.id, 'switches', { name: '', old: '0000', photo: '' }, ['old']);
    const pattern = form.draft.old;
    const count = (n: number) => form.set({ old: pattern.padEnd(n, '0').slice(0, n) });
    return (
        <section aria-label="Switch settings">
            <h2 className="text-lg font-semibold">Switches, copied as a picture</h2>
            <ul className="border-b border-rule">
                {switches.map((row) => (
                    <Copied key={`${row.id}-${row.new ?? ''}`} row={row} />
                ))}
            </ul>
            {open && (
                <form onSubmit={form.send} className="mt-3 flex flex-wrap items-end gap-4">
                    <TextField
                        label="Which switches"
                        placeholder="S1, airflow"
                        {...form.field('name')}
                        className="w-52"
                    />
                    <TextField
                        label="How many"
                        type="number"
                        min={1}
                        max={12}
                        value={String(pattern.length)}
                        onChange={(event) => count(Math.min(12, Math.max(1, Number(event.target.value) || 1)))}
                        className="w-24"
                    />
                    <div>
                        <p className="mb-1 font-medium">As they stand on the old part</p>
                        <Switches pattern={pattern} label="Old setting" onChange={(old) => form.set({ old })} />
                    </div>
                    <PhotoPick
                        job={job.id}
                        caption={form.draft.name}
                        value={form.draft.photo}
                        onChange={(photo) => form.set({ photo })}
                    />
                    <Button type="submit" disabled={form.sending}>
                        Keep this setting
                    </Button>
                </form>
            )}
        </section>
    );
}

import { usePage } from '@inertiajs/react';
import type { WiresPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import { word } from '@/lib/payload';
import { useEntryForm } from '@/repair/useEntryForm';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import Tick from '@/ui/Tick';

const none = { what: '', latched: false, locked: false, reason: '' };

/** Which plugs were latched and locked again. */
export default function Plugs() {
    const { job, open, plugs } = usePage<WiresPage & Shared>().props;
    const form = useEntryForm(job.id, 'plug', none);
    return (
        <section aria-label="Plugs">
            <h2 className="text-lg font-semibold">Plugs: latched and locked</h2>
            <ul className="border-b border-rule">
                {plugs.map((one) => (
                    <li key={one.id} className="border-t border-rule py-1.5">
                        <strong className="font-semibold">{word(one.what)}</strong>:{' '}
                        {one.latched ? 'latched' : 'not latched'},{' '}
                        {one.locked ? 'secondary lock in' : 'no secondary lock'}
                        {word(one.reason) !== '' ? `, ${word(one.reason)}` : ''}
                    </li>
                ))}
            </ul>
            {open && (
                <form onSubmit={form.send} className="mt-3 flex flex-wrap items-end gap-4">
                    <TextField label="Plug" {...form.field('what')} className="w-56" />
                    <Tick {...form.tick('latched')}>latch heard and pulled</Tick>
                    <Tick {...form.tick('locked')}>secondary lock in</Tick>
                    <TextField label="If one does not hold, why it stays" {...form.field('reason')} className="w-72" />
                    <Button type="submit" disabled={form.sending}>
                        Note the plug
                    </Button>
                </form>
            )}
        </section>
    );
}

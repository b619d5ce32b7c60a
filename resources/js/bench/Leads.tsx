import { router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import type { Shared } from '@/lib/page';

/** What the leads have, measured once a session and taken off of every resistance. */
export default function Leads({ ohms }: { ohms: number }) {
    const { errors } = usePage<Shared>().props;
    const [typed, setTyped] = useState('');
    const [asked, setAsked] = useState(false);
    const send = (value: string) =>
        router.post(
            '/leads',
            { ohms: value },
            {
                preserveScroll: true,
                preserveState: true,
                onSuccess: () => {
                    setAsked(false);
                    setTyped('');
                },
            },
        );
    if (ohms > 0 || !asked) {
        return (
            <p className="flex flex-col justify-center text-[0.82rem] text-dock-soft">
                {ohms > 0 ? `leads ${ohms} Ω taken off` : 'leads not measured'}
                <button
                    type="button"
                    className="min-h-8 self-start text-dock-ink underline decoration-dotted underline-offset-4"
                    onClick={() => (ohms > 0 ? send('') : setAsked(true))}
                >
                    {ohms > 0 ? 'measure again' : 'zero leads'}
                </button>
            </p>
        );
    }
    return (
        <label className="flex w-36 flex-col justify-center text-[0.82rem] text-dock-soft">
            tips together, Ω, Enter
            <input
                autoFocus
                value={typed}
                inputMode="decimal"
                onChange={(event) => setTyped(event.target.value)}
                onKeyDown={(event) => {
                    event.stopPropagation();
                    if (event.key === 'Enter') send(typed);
                    if (event.key === 'Escape') setAsked(false);
                }}
                aria-invalid={errors.ohms ? true : undefined}
                className="figure mt-0.5 min-h-9 rounded-[4px] border border-dock-rule bg-black/40 px-2 text-base text-dock-ink"
            />
            {errors.ohms && (
                <span role="alert" className="text-[#f5a99b]">
                    {errors.ohms}
                </span>
            )}
        </label>
    );
}

import { useState } from 'react';
import { useLeads } from '@/instruments/useLeads';

/** What the leads have, measured once a session and taken off of every resistance. */
export default function Leads({ ohms }: { ohms: number }) {
    const [asked, setAsked] = useState(false);
    const { typed, type, error, take } = useLeads(() => setAsked(false));
    if (ohms > 0 || !asked) {
        return (
            <p className="flex flex-col justify-center text-[0.82rem] text-dock-soft">
                {ohms > 0 ? `leads ${ohms} Ω taken off` : 'leads not measured'}
                <button
                    type="button"
                    className="min-h-8 self-start text-dock-ink underline decoration-dotted underline-offset-4"
                    onClick={() => (ohms > 0 ? take('') : setAsked(true))}
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
                onChange={(event) => type(event.target.value)}
                onKeyDown={(event) => {
                    event.stopPropagation();
                    if (event.key === 'Enter') take(typed);
                    if (event.key === 'Escape') setAsked(false);
                }}
                aria-invalid={error ? true : undefined}
                className="figure mt-0.5 min-h-9 rounded-[4px] border border-dock-rule bg-black/40 px-2 text-base text-dock-ink"
            />
            {error && (
                <span role="alert" className="text-[#f5a99b]">
                    {error}
                </span>
            )}
        </label>
    );
}

import { router } from '@inertiajs/react';
import { type RefObject } from 'react';
import type { Live } from '@/bench/useLiveMeter';
import type { CardShown } from '@/generated/props';

interface Typed {
    card: CardShown;
    field: RefObject<HTMLInputElement | null>;
    value: string;
    overRange: boolean;
    error: boolean;
    onType: (value: string) => void;
    /** Whether the dock has keys of its own: then no keyboard of the system comes up. */
    ownKeys?: boolean;
}

const box = 'figure w-full min-w-0 rounded-[5px] border-2 bg-black/40 py-2 pl-3 text-right text-[2.2rem] leading-none';

/** The number as it is typed, and the unit in which it is. */
export function TypedNumber({ card, field, value, overRange, error, onType, ownKeys = false }: Typed) {
    const inUnit = (unit: string) => {
        const base = { pressure: 'Pa', vacuum: 'kPa', rise: 'K' }[card.quantity as string];
        if (base) router.post('/units', { base, unit }, { preserveScroll: true, preserveState: true });
    };
    return (
        <label className="relative flex min-w-[200px] flex-1 items-stretch sm:max-w-[250px]">
            <span className="sr-only">Reading in {card.unit}</span>
            <input
                ref={field}
                value={overRange ? 'OL' : value}
                readOnly={overRange}
                onChange={(event) => onType(event.target.value)}
                inputMode={ownKeys ? 'none' : 'decimal'}
                autoComplete="off"
                aria-invalid={error ? true : undefined}
                aria-describedby={error ? 'dock-error' : undefined}
                className={`${box} ${card.units.length > 1 ? 'pr-24' : 'pr-14'} ${error ? 'border-[#ef8d7c]' : 'border-dock-rule'}`}
            />
            {card.units.length > 1 ? (
                <select
                    aria-label="Unit"
                    value={card.unit}
                    onChange={(event) => inUnit(event.target.value)}
                    className="absolute top-1/2 right-1 h-11 w-[5.4rem] -translate-y-1/2 rounded-[4px] border border-dock-rule bg-dock px-1 text-base text-dock-ink"
                >
                    {card.units.map((unit) => (
                        <option key={unit}>{unit}</option>
                    ))}
                </select>
            ) : (
                <span className="figure pointer-events-none absolute top-1/2 right-3 -translate-y-1/2 text-xl text-dock-soft">
                    {card.unit}
                </span>
            )}
        </label>
    );
}

const says = { settling: 'coming to rest', held: 'held, leads may come off', wanders: 'wanders' };

/** The number as the meter shows it. */
export function LiveNumber({ live }: { live: Live | null }) {
    const fine = live !== null && live.trouble === null;
    return (
        <div className="flex min-w-[210px] flex-1 flex-col sm:max-w-[290px]" data-live={fine ? live.state : 'none'}>
            <output
                aria-label="Reading from the meter"
                className={`${box} pr-3 ${fine && live.state === 'held' ? 'border-[#7fc4a3]' : 'border-dashed border-dock-rule'}`}
            >
                {fine ? live.value : '– –'}
            </output>
            <span className="mt-0.5 text-[0.82rem] text-dock-soft">{fine ? says[live.state] : 'no value'}</span>
        </div>
    );
}

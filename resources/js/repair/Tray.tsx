import type { ReactNode } from 'react';
import type { FastenerHead, TrayItem, TrayPlace } from '@/generated/props';

const ink = { fill: 'none', stroke: 'var(--ink)', strokeWidth: 1.5 } as const;

/** Heads from above, 20 wide. */
const heads: Record<FastenerHead, ReactNode> = {
    hex: <path d="M10 1l8 4.5v9L10 19l-8 -4.5v-9z" {...ink} />,
    socket: (
        <>
            <circle cx={10} cy={10} r={9} {...ink} />
            <path d="M10 5l4.3 2.5v5L10 15l-4.3 -2.5v-5z" {...ink} />
        </>
    ),
    star: (
        <>
            <circle cx={10} cy={10} r={9} {...ink} />
            <path d="M10 4.5l1.6 3h3.4l-1.8 2.5l1.8 2.5h-3.4l-1.6 3l-1.6 -3H5l1.8 -2.5L5 7.5h3.4z" {...ink} />
        </>
    ),
    cross: (
        <>
            <circle cx={10} cy={10} r={9} {...ink} />
            <path d="M10 5v10M5 10h10" {...ink} strokeWidth={2.5} />
        </>
    ),
    slot: (
        <>
            <circle cx={10} cy={10} r={9} {...ink} />
            <path d="M4 10h12" {...ink} strokeWidth={2.5} />
        </>
    ),
    nut: (
        <>
            <path d="M10 1l8 4.5v9L10 19l-8 -4.5v-9z" {...ink} />
            <circle cx={10} cy={10} r={4.5} {...ink} />
        </>
    ),
    clip: <path d="M2 3h16M10 3v14M5 7l5 3l5 -3M5 12l5 3l5 -3" {...ink} />,
    rivet: (
        <>
            <circle cx={10} cy={10} r={9} {...ink} />
            <circle cx={10} cy={10} r={3} fill="var(--ink)" />
        </>
    ),
    other: <circle cx={10} cy={10} r={9} {...ink} strokeDasharray="3 3" />,
};

const SHAFTLESS: FastenerHead[] = ['nut', 'clip', 'rivet'];

/** One fastener: its head from above, and its shaft as long as it is beside the others. */
function Fastener({ item, gone }: { item: TrayItem; gone: boolean }) {
    const length = SHAFTLESS.includes(item.head) ? 0 : Math.min(90, Math.max(12, (item.millimetres ?? 16) * 1.4));
    const width = length === 0 ? 22 : 32 + length;
    return (
        <svg
            viewBox={`0 0 ${width} 20`}
            width={width}
            height={20}
            aria-hidden="true"
            opacity={gone ? 0.22 : 1}
            className="shrink-0"
        >
            {heads[item.head]}
            {length > 0 && (
                <>
                    <path d="M24 5h4v10h-4z" {...ink} />
                    <path
                        d={`M28 7.5h${length}l2 2.5l-2 2.5h-${length}`}
                        {...ink}
                        strokeDasharray={item.millimetres === null ? '3 3' : undefined}
                    />
                </>
            )}
        </svg>
    );
}

function Item({ item }: { item: TrayItem }) {
    const gone = item.count - item.left;
    return (
        <li className="border-t border-rule py-1.5 first:border-t-0">
            <p className="leading-snug">
                <span className="figure mr-1.5 inline-block min-w-5 rounded-full border border-ink px-1 text-center text-[0.8rem]">
                    {item.step}
                </span>
                {item.what}
            </p>
            <div className="mt-1 flex flex-wrap gap-x-2 gap-y-1">
                {Array.from({ length: Math.min(item.count, 24) }, (_, n) => (
                    <Fastener key={n} item={item} gone={n >= item.left} />
                ))}
            </div>
            <p className="figure text-[0.85rem] text-soft">
                {item.left} × {item.name || 'fastener'}
                {item.millimetres !== null && `, ${Math.round(item.millimetres)} mm`}
                {gone > 0 && `, ${gone} gone back`}
            </p>
        </li>
    );
}

/** What lies where until it goes back. */
export default function Tray({ places }: { places: TrayPlace[] }) {
    if (places.length === 0) return null;
    return (
        <section aria-label="Tray" className="mt-5">
            <h3 className="font-semibold">The tray, as it lies</h3>
            <p className="text-soft">
                Lengths beside each other; the number is that of the step. Pale: gone back already.
            </p>
            <ul className="mt-2 grid gap-3 sm:grid-cols-2">
                {places.map((place) => (
                    <li key={place.where} className="rounded-[8px] border-2 border-soft/60 bg-sheet px-3 py-2">
                        <p className="font-semibold">{place.where}</p>
                        <ul>
                            {place.items.map((item) => (
                                <Item key={item.step} item={item} />
                            ))}
                        </ul>
                    </li>
                ))}
            </ul>
        </section>
    );
}

import type { ReactNode } from 'react';

/** How a small drawing is drawn. */
export const line = {
    fill: 'none',
    stroke: 'currentColor',
    strokeWidth: 2,
    strokeLinecap: 'round',
    strokeLinejoin: 'round',
} as const;

/** Blades around a hub. */
export const wheel = (x: number, y: number, r: number) => (
    <>
        <circle cx={x} cy={y} r={r} {...line} />
        {[0, 72, 144, 216, 288].map((turn) => (
            <path
                key={turn}
                d={`M${x} ${y}q${r * 0.5} ${-r * 0.2} ${r * 0.25} ${-r * 0.75}`}
                transform={`rotate(${turn} ${x} ${y})`}
                {...line}
            />
        ))}
    </>
);

/** A small drawing beside words that say the same. */
export default function Sign({ children }: { children: ReactNode }) {
    return (
        <svg viewBox="0 0 64 58" className="h-14 w-16 shrink-0 text-lake" aria-hidden="true">
            {children}
        </svg>
    );
}

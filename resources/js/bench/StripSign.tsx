import type { Strip } from '@/generated/props';

/** The speed strip as a pictogram: bars as high as they should run, told by colour and by shape. */
export default function StripSign({ strip, here }: { strip: Strip; here: string }) {
    const map = [...strip.maps].reverse().find((one) => one.kind !== 'remembered');
    const wide = Math.max(5, Math.min(11, 110 / Math.max(1, strip.cells.length) - 2));
    const width = strip.cells.length * (wide + 2);
    return (
        <svg viewBox={`0 0 ${width} 30`} width={width} height="30" aria-hidden="true">
            {strip.cells.map((cell, n) => {
                const state = map?.states[cell.key];
                const high = Math.max(3, 24 * cell.expected);
                const fine = state === undefined || state === 'right';
                return (
                    <g key={cell.key} transform={`translate(${n * (wide + 2)} 0)`}>
                        <rect
                            y={26 - high}
                            width={wide}
                            height={high}
                            fill={fine ? 'var(--good)' : 'var(--paper)'}
                            stroke={fine ? 'var(--good)' : 'var(--bad)'}
                            strokeWidth="1.5"
                            strokeDasharray={fine ? undefined : '2 2'}
                        />
                        {cell.key === here && <rect y="28" width={wide} height="2" fill="var(--ink)" />}
                    </g>
                );
            })}
        </svg>
    );
}

import type { ReactNode } from 'react';
import type { DrawnElement, Symbol as Sign } from '@/generated/props';

type Drawn = Pick<DrawnElement, 'symbol' | 'at' | 'angle' | 'half' | 'live' | 'open' | 'wires'>;

/** The sign of an element, in the middle of its line. */
export default function CircuitSymbol({ element }: { element: Drawn }): ReactNode {
    const { at, angle, half, open, live, symbol } = element;
    const turn = `translate(${at[0]} ${at[1]}) rotate(${angle})`;
    const upright = `translate(${at[0]} ${at[1]})`;
    const colour = live ? 'var(--lake)' : 'var(--ink)';
    const stroke = {
        fill: 'none',
        stroke: colour,
        strokeWidth: live ? 3.2 : 1.5,
        strokeLinecap: 'round' as const,
        strokeLinejoin: 'round' as const,
    };
    const signs: Partial<Record<Sign, ReactNode>> = {
        wire: open ? <Ends turn={turn} half={half} /> : null,
        jumper: open ? null : <Clips element={element} colour={colour} />,
        contact: <Contact element={element} colour={colour} stroke={stroke} turn={turn} />,
        resistor: (
            <rect transform={turn} x={-half} y={-6} width={2 * half} height={12} {...stroke} fill="var(--paper)" />
        ),
        fuse: (
            <g transform={turn}>
                <rect x={-half} y={-5} width={2 * half} height={10} {...stroke} strokeWidth="1.5" fill="var(--paper)" />
                {open ? (
                    <path d={`M${-half} 0h5M${half} 0h-5`} {...stroke} />
                ) : (
                    <path d={`M${-half} 0H${half}`} {...stroke} />
                )}
            </g>
        ),
        winding: (
            <path
                transform={turn}
                d={`M${-half} 0c0 -11 9 -11 9 0c0 -11 9 -11 9 0c0 -11 9 -11 9 0c0 -11 9 -11 9 0`}
                {...stroke}
            />
        ),
        capacitor: <path transform={turn} d={`M${-half} -12V12M${half} -12V12`} {...stroke} strokeWidth="2.4" />,
        coil: (
            <g transform={turn}>
                <rect x={-half} y={-8} width={2 * half} height={16} {...stroke} fill="var(--paper)" />
                <path d={`M${-half / 2} 8L${half / 2} -8`} {...stroke} strokeWidth="1.5" />
            </g>
        ),
        module: (
            <g transform={turn}>
                <rect x={-half} y={-15} width={2 * half} height={30} rx="4" {...stroke} fill="var(--paper)" />
                <path d="M-9 5h5v-10h5v10h5v-10h4" {...stroke} strokeWidth="1.5" />
            </g>
        ),
        signal: (
            <g transform={upright}>
                <circle r={half} {...stroke} fill="var(--paper)" />
                <path d="M-9 4h5v-8h5v8h5v-8h3" {...stroke} strokeWidth="1.5" />
            </g>
        ),
        mains: (
            <g transform={upright}>
                <circle r={half} {...stroke} fill="var(--paper)" />
                <path d="M-9 0q4.5 -10 9 0q4.5 10 9 0" {...stroke} strokeWidth="1.5" />
            </g>
        ),
        lamp: (
            <g transform={turn}>
                <circle r={half} {...stroke} fill="var(--paper)" />
                <path d="M-10.5 -10.5L10.5 10.5M-10.5 10.5L10.5 -10.5" {...stroke} strokeWidth="1.5" />
            </g>
        ),
        transformer: (
            <g transform={turn}>
                <path
                    d={`M${-half} 0c0 -12 10 -12 10 0c0 -12 10 -12 10 0c0 -12 10 -12 10 0c0 -12 10 -12 10 0`}
                    {...stroke}
                />
                <path d={`M${-half} -14H${half}M${-half} -18H${half}`} {...stroke} strokeWidth="1.2" />
            </g>
        ),
        vacuum: (
            <g transform={upright}>
                <circle r={half} {...stroke} fill="var(--paper)" />
                <path d="M0 9V-8m-5 6l5 -7l5 7" {...stroke} strokeWidth="1.5" />
            </g>
        ),
        tank: (
            <rect
                transform={turn}
                x={-half}
                y={-13}
                width={2 * half}
                height={26}
                rx="13"
                {...stroke}
                fill="var(--paper)"
            />
        ),
        'one-way': (
            <path
                transform={turn}
                d={`M${half} -8V8L${-half} 0ZM${-half} -8V8`}
                {...stroke}
                strokeWidth="1.5"
                fill="var(--paper)"
            />
        ),
        diaphragm: (
            <g transform={turn}>
                <path
                    d={`M${-half} 0c0 -26 ${2 * half} -26 ${2 * half} 0c0 26 ${-2 * half} 26 ${-2 * half} 0M0 -19q7 19 0 38`}
                    {...stroke}
                    fill="var(--paper)"
                />
                <path d="M0 0h-1" {...stroke} strokeWidth="5" />
            </g>
        ),
        motor: (
            <g transform={upright}>
                <circle r={half} {...stroke} fill="var(--paper)" />
                <Fan colour={colour} />
            </g>
        ),
        battery: <path transform={turn} d={`M${-half} -14V14M${half} -7V7`} {...stroke} strokeWidth="2.6" />,
        plug: open ? (
            <path transform={turn} d="M-10 -6q8 6 0 12M10 -6q-8 6 0 12" {...stroke} strokeWidth="1.5" />
        ) : (
            <path
                transform={turn}
                d={`M${-half} 0H${half}M-5 -6q7 6 0 12M1 -6q7 6 0 12`}
                {...stroke}
                strokeWidth={live ? 2.6 : 1.5}
            />
        ),
        relay: (
            <g transform={turn}>
                <circle cx={-half} r="2.6" fill={colour} />
                <circle cx={half} r="2.6" fill={colour} />
                <path d={open ? `M${-half} 0L${half - 1} -9` : `M${-half} 0H${half}`} {...stroke} />
            </g>
        ),
    };
    return signs[symbol] ?? null;
}

/** The wheel of a motor. */
export function Fan({ colour }: { colour: string }) {
    return (
        <>
            <path
                d="M0 -13q7 6 0 13q-7 -6 0 -13M0 13q7 -6 0 -13q-7 6 0 13"
                fill="none"
                stroke={colour}
                strokeWidth="1.5"
            />
            <circle r="2" fill={colour} />
        </>
    );
}

/** A line that was taken off: its two ends, apart. */
function Ends({ turn, half }: { turn: string; half: number }) {
    return (
        <g transform={turn}>
            {[-half, half].map((x) => (
                <circle key={x} cx={x} r="3" fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.5" />
            ))}
        </g>
    );
}

/** A clip at each end of a jumper: it is laid by hand, and gone after the test. */
function Clips({ element, colour }: { element: Pick<DrawnElement, 'wires'>; colour: string }) {
    const [wire] = element.wires;
    return [wire?.[0], wire?.[wire.length - 1]].map((end, n) =>
        end ? (
            <circle key={n} cx={end[0]} cy={end[1]} r={4} fill="var(--paper)" stroke={colour} strokeWidth={1.8} />
        ) : null,
    );
}

/** A position of a selector: its arm where it stands there, its pad in any case. */
function Contact({
    element,
    colour,
    stroke,
    turn,
}: {
    element: Drawn;
    colour: string;
    stroke: Record<string, unknown>;
    turn: string;
}) {
    const { half, open } = element;
    return (
        <g transform={turn}>
            {!open && <path d={`M${-half} 0H${half}`} {...stroke} />}
            <circle cx={-half} r="4" fill={open ? 'var(--ink)' : colour} />
            <circle cx={half} r="5" {...stroke} strokeWidth="1.5" fill={open ? 'var(--paper)' : colour} />
        </g>
    );
}

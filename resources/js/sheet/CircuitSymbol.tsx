import type { ReactNode } from 'react';
import { line, type Placed } from './circuitGeometry';

/** The sign of an element, in the middle of its path. */
export default function CircuitSymbol({ placed }: { placed: Placed }): ReactNode {
    const { element, middle, angle, half, points } = placed;
    const turn = `translate(${middle[0]} ${middle[1]}) rotate(${(angle * 180) / Math.PI})`;
    const colour = element.live ? 'var(--lake)' : 'var(--ink)';
    const width = element.live ? 3.2 : 1.5;
    const stroke = {
        fill: 'none',
        stroke: colour,
        strokeWidth: width,
        strokeLinecap: 'round' as const,
        strokeLinejoin: 'round' as const,
    };
    switch (element.symbol) {
        case 'jumper':
            // A clip at each end: it is laid by hand, and gone after the test.
            return [
                element.groundEnd === 'from' ? null : points[0],
                element.groundEnd === 'to' ? null : points[points.length - 1],
            ].map((end, n) =>
                end ? (
                    <circle
                        key={n}
                        cx={end[0]}
                        cy={end[1]}
                        r={4}
                        fill="var(--paper)"
                        stroke={colour}
                        strokeWidth={1.8}
                    />
                ) : null,
            );
        case 'resistor':
            return (
                <rect transform={turn} x={-half} y={-6} width={2 * half} height={12} {...stroke} fill="var(--paper)" />
            );
        case 'fuse':
            return (
                <g transform={turn}>
                    <rect
                        x={-half}
                        y={-5}
                        width={2 * half}
                        height={10}
                        {...stroke}
                        strokeWidth="1.5"
                        fill="var(--paper)"
                    />
                    <path d={`M${-half} 0H${half}`} {...stroke} />
                </g>
            );
        case 'winding':
            return (
                <path
                    transform={turn}
                    d={`M${-half} 0c0 -11 9 -11 9 0c0 -11 9 -11 9 0c0 -11 9 -11 9 0c0 -11 9 -11 9 0`}
                    {...stroke}
                />
            );
        case 'capacitor':
            return (
                <g transform={turn}>
                    <path d={`M${-half} -12V12M${half} -12V12`} {...stroke} strokeWidth="2.4" />
                </g>
            );
        case 'coil':
            return (
                <g transform={turn}>
                    <rect x={-half} y={-8} width={2 * half} height={16} {...stroke} fill="var(--paper)" />
                    <path d={`M${-half / 2} 8L${half / 2} -8`} {...stroke} strokeWidth="1.5" />
                </g>
            );
        case 'module':
            return (
                <g transform={turn}>
                    <rect x={-half} y={-15} width={2 * half} height={30} rx="4" {...stroke} fill="var(--paper)" />
                    <path d="M-9 5h5v-10h5v10h5v-10h4" {...stroke} strokeWidth="1.5" />
                </g>
            );
        case 'signal':
            return (
                <g transform={`translate(${middle[0]} ${middle[1]})`}>
                    <circle r={half} {...stroke} fill="var(--paper)" />
                    <path d="M-9 4h5v-8h5v8h5v-8h3" {...stroke} strokeWidth="1.5" />
                </g>
            );
        case 'mains':
            return (
                <g transform={`translate(${middle[0]} ${middle[1]})`}>
                    <circle r={half} {...stroke} fill="var(--paper)" />
                    <path d="M-9 0q4.5 -10 9 0q4.5 10 9 0" {...stroke} strokeWidth="1.5" />
                </g>
            );
        case 'transformer':
            return (
                <g transform={turn}>
                    <path
                        d={`M${-half} 0c0 -12 10 -12 10 0c0 -12 10 -12 10 0c0 -12 10 -12 10 0c0 -12 10 -12 10 0`}
                        {...stroke}
                    />
                    <path d={`M${-half} -14H${half}M${-half} -18H${half}`} {...stroke} strokeWidth="1.2" />
                </g>
            );
        case 'vacuum':
            return (
                <g transform={`translate(${middle[0]} ${middle[1]})`}>
                    <circle r={half} {...stroke} fill="var(--paper)" />
                    <path d="M0 9V-8m-5 6l5 -7l5 7" {...stroke} strokeWidth="1.5" />
                </g>
            );
        case 'tank':
            return (
                <g transform={turn}>
                    <rect x={-half} y={-13} width={2 * half} height={26} rx="13" {...stroke} fill="var(--paper)" />
                </g>
            );
        case 'one-way':
            return (
                <g transform={turn}>
                    <path
                        d={`M${half} -8V8L${-half} 0ZM${-half} -8V8`}
                        {...stroke}
                        strokeWidth="1.5"
                        fill="var(--paper)"
                    />
                </g>
            );
        case 'diaphragm':
            return (
                <g transform={turn}>
                    <path
                        d={`M${-half} 0c0 -26 ${2 * half} -26 ${2 * half} 0c0 26 ${-2 * half} 26 ${-2 * half} 0M0 -19q7 19 0 38`}
                        {...stroke}
                        fill="var(--paper)"
                    />
                    <path d="M0 0h-1" {...stroke} strokeWidth="5" />
                </g>
            );
        case 'motor':
            return (
                <g transform={`translate(${middle[0]} ${middle[1]})`}>
                    <circle r={half} {...stroke} fill="var(--paper)" />
                    <path d="M0 -13q7 6 0 13q-7 -6 0 -13M0 13q7 -6 0 -13q-7 6 0 13" {...stroke} strokeWidth="1.5" />
                    <circle r="2" fill={colour} />
                </g>
            );
        case 'battery':
            return (
                <g transform={turn}>
                    <path d={`M${-half} -14V14M${half} -7V7`} {...stroke} strokeWidth="2.6" />
                </g>
            );
        case 'plug':
            return (
                <g transform={turn}>
                    <path d={`M${-half - 2} -5q6 5 0 10M${half - 2} -5q6 5 0 10`} {...stroke} strokeWidth="1.5" />
                </g>
            );
        case 'relay': {
            return (
                <g transform={turn}>
                    <circle cx={-half} r="2.6" fill={colour} />
                    <circle cx={half} r="2.6" fill={colour} />
                    <path d={element.open ? `M${-half} 0L${half - 1} -9` : `M${-half} 0H${half}`} {...stroke} />
                </g>
            );
        }
        case 'contact': {
            const a = points[0];
            const b = points[points.length - 1];
            if (!a || !b) return null;
            return (
                <g>
                    {!element.open && <path d={line([a, b])} {...stroke} />}
                    <circle cx={a[0]} cy={a[1]} r="4" fill={element.open ? 'var(--ink)' : colour} />
                    <circle
                        cx={b[0]}
                        cy={b[1]}
                        r="5"
                        {...stroke}
                        strokeWidth="1.5"
                        fill={element.open ? 'var(--paper)' : colour}
                    />
                </g>
            );
        }
        default:
            return null;
    }
}

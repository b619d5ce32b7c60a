import type { ReactNode } from 'react';
import { percent } from '@/lib/format';
import type { Sheet, SheetElement, Suspect } from '@/lib/types';

type Point = [number, number];

function pathOf(element: SheetElement, sheet: Sheet): Point[] {
    const from = sheet.nodes[element.from];
    const to = sheet.nodes[element.to];
    const start: Point | null =
        element.groundEnd === 'from' && element.groundAt ? element.groundAt : from ? [from.x, from.y] : null;
    const end: Point | null =
        element.groundEnd === 'to' && element.groundAt ? element.groundAt : to ? [to.x, to.y] : null;
    return start && end ? [start, ...element.bends, end] : [];
}

function line(points: Point[]): string {
    return points.map(([x, y], n) => `${n === 0 ? 'M' : 'L'}${x} ${y}`).join(' ');
}

/** Half the length that a symbol takes out of its wire. */
const halfLength: Record<string, number> = {
    resistor: 17,
    fuse: 14,
    contact: 0,
    relay: 9,
    plug: 4,
    motor: 23,
    battery: 5,
    coil: 14,
    module: 19,
    signal: 15,
    mains: 15,
    transformer: 20,
    vacuum: 16,
    tank: 18,
    'one-way': 9,
    diaphragm: 16,
    winding: 18,
    capacitor: 5,
    wire: 0,
    jumper: 0,
};

interface Placed {
    element: SheetElement;
    points: Point[];
    middle: Point;
    angle: number;
    half: number;
}

function place(element: SheetElement, sheet: Sheet): Placed | null {
    const points = pathOf(element, sheet);
    const a = points[element.segment];
    const b = points[element.segment + 1];
    if (!a || !b) return null;
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const half = Math.min(halfLength[element.symbol] ?? 0, length / 2);
    return {
        element,
        points,
        middle: [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2],
        angle: Math.atan2(b[1] - a[1], b[0] - a[0]),
        half,
    };
}

/** Wires run up to the symbol and go on behind it. */
function wires({ element, points, middle, angle, half }: Placed): string[] {
    if (element.symbol === 'contact') return [];
    const edge = (sign: number): Point => [
        middle[0] + sign * half * Math.cos(angle),
        middle[1] + sign * half * Math.sin(angle),
    ];
    return [
        line([...points.slice(0, element.segment + 1), edge(-1)]),
        line([edge(1), ...points.slice(element.segment + 1)]),
    ];
}

function Symbol({ placed }: { placed: Placed }): ReactNode {
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
            return [points[0], points[points.length - 1]].map((end, n) =>
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

function labelAt({ element, middle, half, points }: Placed): {
    x: number;
    y: number;
    anchor: 'start' | 'middle' | 'end';
} {
    const [x, y] = middle;
    switch (element.side) {
        case 'left':
            return {
                x:
                    x -
                    Math.max(
                        14,
                        element.symbol === 'motor' || element.symbol === 'signal' || element.symbol === 'mains'
                            ? half + 8
                            : ['module', 'transformer', 'tank', 'diaphragm'].includes(element.symbol)
                              ? 26
                              : 12,
                    ),
                y: y + 5,
                anchor: 'end',
            };
        case 'right':
            return {
                x:
                    x +
                    (['motor', 'module', 'signal', 'mains', 'vacuum', 'tank', 'diaphragm'].includes(element.symbol)
                        ? 21
                        : 13),
                y: y + 5,
                anchor: 'start',
            };
        case 'below':
            return { x, y: y + 23, anchor: 'middle' };
        case 'end':
            return {
                x: (points[points.length - 1]?.[0] ?? x) + 1,
                y: (points[points.length - 1]?.[1] ?? y) - 9,
                anchor: 'middle',
            };
        default:
            return { x, y: y - 13, anchor: 'middle' };
    }
}

interface Props {
    sheet: Sheet;
    title: string;
    suspects?: Suspect[];
    red?: string | null;
    black?: string | null;
    volts?: boolean;
    onElement?: (element: SheetElement) => void;
}

/** The circuit drawn from its netlist: live path heavy, suspects marked, the leads of the next test in place. */
export default function CircuitSheet({
    sheet,
    title,
    suspects = [],
    red = null,
    black = null,
    volts = false,
    onElement,
}: Props) {
    const placed = sheet.elements.map((element) => place(element, sheet)).filter((one) => one !== null);
    const ordered = [...placed].sort((a, b) => Number(a.element.live) - Number(b.element.live));
    const doubt = new Map<string, number>();
    for (const suspect of suspects)
        for (const fault of suspect.faults)
            for (const element of fault.elements) doubt.set(element, (doubt.get(element) ?? 0) + fault.probability);
    const joints = new Map<string, { n: number; live: boolean }>();
    for (const { element } of placed) {
        if (element.symbol === 'contact') continue;
        for (const end of [
            element.groundEnd === 'from' ? null : element.from,
            element.groundEnd === 'to' ? null : element.to,
        ]) {
            if (end)
                joints.set(end, {
                    n: (joints.get(end)?.n ?? 0) + 1,
                    live: (joints.get(end)?.live ?? false) || element.live,
                });
        }
    }
    return (
        <svg
            viewBox={`0 0 ${sheet.width} ${sheet.height}`}
            role="img"
            aria-label={title}
            className="h-full w-full"
            preserveAspectRatio="xMidYMid meet"
        >
            {ordered.map((one) => {
                const share = doubt.get(one.element.id) ?? 0;
                return (
                    <g
                        key={one.element.id}
                        onClick={onElement ? () => onElement(one.element) : undefined}
                        className={onElement ? 'cursor-pointer' : undefined}
                    >
                        {onElement && <path d={line(one.points)} fill="none" stroke="transparent" strokeWidth="22" />}
                        {share > 0.02 && one.element.symbol !== 'wire' && (
                            <circle
                                cx={
                                    one.element.symbol === 'contact'
                                        ? one.points[one.points.length - 1]?.[0]
                                        : one.middle[0]
                                }
                                cy={
                                    one.element.symbol === 'contact'
                                        ? one.points[one.points.length - 1]?.[1]
                                        : one.middle[1]
                                }
                                r={Math.max(one.half + 6, 12)}
                                fill="var(--bad)"
                                fillOpacity={0.1 + 0.22 * share}
                                stroke="var(--bad)"
                                strokeWidth={0.8 + 1.6 * share}
                                strokeDasharray={share < 0.2 ? '3 3' : undefined}
                            />
                        )}
                        {share > 0.02 && one.element.symbol === 'wire' && (
                            <path
                                d={line(one.points)}
                                fill="none"
                                stroke="var(--bad)"
                                strokeOpacity={0.25 + 0.3 * share}
                                strokeWidth="11"
                                strokeLinecap="round"
                            />
                        )}
                        {wires(one).map((d, n) => (
                            <path
                                key={n}
                                d={d}
                                fill="none"
                                stroke={one.element.live ? 'var(--lake)' : 'var(--ink)'}
                                strokeWidth={one.element.live ? 3.2 : 1.5}
                                strokeLinecap="round"
                                strokeLinejoin="round"
                                strokeDasharray={one.element.symbol === 'jumper' ? '2 7' : undefined}
                            />
                        ))}
                        <Symbol placed={one} />
                        {one.element.groundAt && (
                            <path
                                d={`M${one.element.groundAt[0] - 11} ${one.element.groundAt[1]}h22m-18 5h14m-11 5h8`}
                                stroke="var(--ink)"
                                strokeWidth="1.8"
                                fill="none"
                            />
                        )}
                    </g>
                );
            })}
            {[...joints]
                .filter(([, joint]) => joint.n > 2)
                .map(([node, joint]) => {
                    const at = sheet.nodes[node];
                    return at ? (
                        <circle
                            key={node}
                            cx={at.x}
                            cy={at.y}
                            r="3.6"
                            fill={joint.live ? 'var(--lake)' : 'var(--ink)'}
                        />
                    ) : null;
                })}
            {placed
                .filter((one) => one.element.label !== '')
                .map((one) => {
                    const { x, y, anchor } = labelAt(one);
                    const share = doubt.get(one.element.id) ?? 0;
                    return (
                        <text
                            key={one.element.id}
                            x={x}
                            y={y}
                            textAnchor={anchor}
                            fontSize="14"
                            fontWeight={share > 0.2 ? 600 : 500}
                            fill={share > 0.2 ? 'var(--bad)' : 'var(--ink)'}
                            stroke="var(--paper)"
                            strokeWidth="4"
                            paintOrder="stroke"
                        >
                            {one.element.label}
                            {share >= 0.05 && ` ${percent(share)}`}
                        </text>
                    );
                })}
            {volts &&
                Object.entries(sheet.nodes).map(
                    ([name, node]) =>
                        node &&
                        name !== '0' &&
                        node.volts !== null && (
                            <text
                                key={name}
                                x={node.x + 5}
                                y={node.y + 15}
                                fontSize="12"
                                className="figure"
                                fill="var(--lake)"
                                stroke="var(--paper)"
                                strokeWidth="4"
                                paintOrder="stroke"
                            >
                                {node.volts.toFixed(1)}
                            </text>
                        ),
                )}
            {(
                [
                    ['A', red, '#a12d22'],
                    ['B', black, '#14181b'],
                ] as const
            ).map(([name, node, colour]) => {
                const at = node ? sheet.nodes[node] : undefined;
                return at ? (
                    <g key={name} transform={`translate(${at.x} ${at.y})`}>
                        <path d="M0 0L8 -26" stroke={colour} strokeWidth="4" strokeLinecap="round" />
                        <circle
                            cx="10"
                            cy="-36"
                            r="11"
                            fill={colour}
                            stroke={name === 'B' ? 'var(--soft)' : 'var(--paper)'}
                            strokeWidth="1.5"
                        />
                        <text x="10" y="-31" textAnchor="middle" fontSize="14" fontWeight="600" fill="#fff">
                            {name}
                        </text>
                    </g>
                ) : null;
            })}
        </svg>
    );
}

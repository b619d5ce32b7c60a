import type { DrawnSheet, DrawnElement } from '@/generated/props';

export type Point = [number, number];

export function pathOf(element: DrawnElement, sheet: DrawnSheet): Point[] {
    const from = sheet.nodes[element.from];
    const to = sheet.nodes[element.to];
    const start: Point | null =
        element.groundEnd === 'from' && element.groundAt ? element.groundAt : from ? [from.x, from.y] : null;
    const end: Point | null =
        element.groundEnd === 'to' && element.groundAt ? element.groundAt : to ? [to.x, to.y] : null;
    return start && end ? [start, ...element.bends, end] : [];
}

export function line(points: Point[]): string {
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

/** An element on the sheet: its path, and where its symbol stands. */
export interface Placed {
    element: DrawnElement;
    points: Point[];
    middle: Point;
    angle: number;
    half: number;
}

export function place(element: DrawnElement, sheet: DrawnSheet): Placed | null {
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
export function wires({ element, points, middle, angle, half }: Placed): string[] {
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

export function labelAt({ element, middle, half, points }: Placed): {
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

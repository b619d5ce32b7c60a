import type { DrawnElement, DrawnSheet } from '@/generated/props';

export type Point = [number, number];

export interface Box {
    left: number;
    top: number;
    right: number;
    bottom: number;
}

/** Radius of the arc with which a line hops over another. */
const HOP = 5;

export function overlap(one: Box, other: Box): number {
    const wide = Math.min(one.right, other.right) - Math.max(one.left, other.left);
    const high = Math.min(one.bottom, other.bottom) - Math.max(one.top, other.top);
    return wide > 0 && high > 0 ? wide * high : 0;
}

export function around([x, y]: Point, wide: number, high: number): Box {
    return { left: x - wide, right: x + wide, top: y - high, bottom: y + high };
}

/** The stretches of a line, each as a thin box; what runs aslant as a row of small ones. */
export function boxesOf(points: Point[], room: number): Box[] {
    return points.slice(1).flatMap(([x, y], n) => {
        const [a, b] = points[n] ?? [x, y];
        const steps = Math.abs(x - a) < 1 || Math.abs(y - b) < 1 ? 1 : Math.ceil(Math.hypot(x - a, y - b) / 5);
        return Array.from({ length: steps }, (_, step) => {
            const [from, to] = [step / steps, (step + 1) / steps];
            const [left, right] = [a + from * (x - a), a + to * (x - a)].sort((one, other) => one - other);
            const [top, bottom] = [b + from * (y - b), b + to * (y - b)].sort((one, other) => one - other);
            return {
                left: (left ?? 0) - room,
                right: (right ?? 0) + room,
                top: (top ?? 0) - room,
                bottom: (bottom ?? 0) + room,
            };
        });
    });
}

/** The sign of an element, as a box that stands upright. */
export function boxOf(element: DrawnElement, room = 0): Box {
    const turn = (element.angle * Math.PI) / 180;
    const [cos, sin] = [Math.abs(Math.cos(turn)), Math.abs(Math.sin(turn))];
    const [half, reach] = [element.half, element.reach];
    return around(element.at, half * cos + reach * sin + room, half * sin + reach * cos + room);
}

/** The pad of a position of the selector: where its contact ends. */
export function padOf({ at, angle, half }: Pick<DrawnElement, 'at' | 'angle' | 'half'>): Point {
    const turn = (angle * Math.PI) / 180;
    return [at[0] + half * Math.cos(turn), at[1] + half * Math.sin(turn)];
}

/** The ring around the sign of a suspect. */
export function ringOf(element: DrawnElement): { at: Point; radius: number } {
    if (element.symbol === 'contact') return { at: padOf(element), radius: 12 };
    const box = boxOf(element);
    return {
        at: [element.at[0], element.at[1]],
        radius: Math.max(12, (box.right - box.left) / 2 + 5, (box.bottom - box.top) / 2 + 5),
    };
}

/** A line as a path, with an arc where it hops over another. */
export function path(points: Point[], hops: Point[]): string {
    return points
        .map(([x, y], n) => {
            const before = points[n - 1];
            if (!before) return `M${x} ${y}`;
            const level = Math.abs(before[1] - y) < 0.5;
            const forward = x > before[0];
            const arcs = hops
                .filter(
                    ([at, over]) =>
                        level && Math.abs(over - y) < 0.5 && at > Math.min(before[0], x) && at < Math.max(before[0], x),
                )
                .sort((a, b) => (forward ? a[0] - b[0] : b[0] - a[0]))
                .map(([at]) => {
                    const [from, to] = forward ? [at - HOP, at + HOP] : [at + HOP, at - HOP];
                    return `L${from} ${y}A${HOP} ${HOP} 0 0 ${forward ? 1 : 0} ${to} ${y}`;
                });
            return `${arcs.join('')}L${x} ${y}`;
        })
        .join('');
}

/** Where an arrow shows which way current flows: on the longest stretch, away from the sign. */
export function arrowOf(element: DrawnElement): { at: Point; angle: number } | null {
    let best: { at: Point; angle: number } | null = null;
    let longest = 24;
    for (const points of element.wires as Point[][]) {
        points.slice(1).forEach(([x, y], n) => {
            const [a, b] = points[n] ?? [x, y];
            const length = Math.hypot(x - a, y - b);
            if (length > longest) {
                longest = length;
                const angle = (Math.atan2(y - b, x - a) * 180) / Math.PI;
                best = { at: [(a + x) / 2, (b + y) / 2], angle: element.flow < 0 ? angle + 180 : angle };
            }
        });
    }
    return best;
}

/** The part of a sheet around some places, in the shape of the room there is. */
export function cropTo(sheet: DrawnSheet, places: Point[], wide: number, high: number): Box {
    const width = Math.min(sheet.width, wide);
    const height = Math.min(sheet.height, high);
    if (places.length === 0) return { left: 0, top: 0, right: sheet.width, bottom: sheet.height };
    const middle = (axis: 0 | 1) =>
        (Math.min(...places.map((place) => place[axis])) + Math.max(...places.map((place) => place[axis]))) / 2;
    const left = Math.max(0, Math.min(sheet.width - width, middle(0) - width / 2));
    const top = Math.max(0, Math.min(sheet.height - height, middle(1) - height / 2));
    return { left, top, right: left + width, bottom: top + height };
}

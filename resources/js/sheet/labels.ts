import type { DrawnSheet, SuspectShown } from '@/generated/props';
import { figure, inline, percent } from '@/lib/format';
import { around, arrowOf, boxesOf, boxOf, overlap, padOf, ringOf, type Box, type Point } from './geometry';

/** A text where it was found room. */
export interface Label {
    key: string;
    text: string;
    x: number;
    y: number;
    anchor: 'start' | 'middle' | 'end';
    kind: 'name' | 'suspect' | 'volts';
    size: number;
}

/** A lead of the meter: its tip on a node, its handle beside it. */
export interface Lead {
    name: 'A' | 'B';
    tip: Point;
    handle: Point;
}

interface Wanted {
    key: string;
    text: string;
    kind: Label['kind'];
    size: number;
    /** Places of the middle of the text, the best first. */
    places: { x: number; y: number; anchor: Label['anchor'] }[];
}

const HANDLE = 12;

/** Width of a text in sheet units, on the safe side of the fonts that ship. */
export function widthOf(text: string, size: number, kind: Label['kind']): number {
    if (kind === 'volts') return text.length * size * 0.61;
    const ems = Array.from(text).reduce(
        (sum, letter) => sum + (/[MW%]/.test(letter) ? 0.86 : /[A-Z<>]/.test(letter) ? 0.64 : 0.52),
        0,
    );
    return ems * size * (kind === 'suspect' ? 1.04 : 1);
}

function boxAt(wanted: Wanted, place: Wanted['places'][number]): Box {
    const wide = widthOf(wanted.text, wanted.size, wanted.kind);
    const left = place.anchor === 'start' ? place.x : place.anchor === 'end' ? place.x - wide : place.x - wide / 2;
    return { left, right: left + wide, top: place.y - wanted.size * 0.78, bottom: place.y + wanted.size * 0.26 };
}

/** Which element carries the odds of each suspect: the one in which most of them lie. */
export function odds(sheet: DrawnSheet, suspects: SuspectShown[]): Map<string, SuspectShown> {
    const drawn = new Set([...sheet.elements.map((one) => one.id), ...sheet.blocks.map((one) => one.id)]);
    const blockOf = new Map(sheet.blocks.flatMap((block) => block.elements.map((id) => [id, block.id] as const)));
    const carried = new Map<string, SuspectShown>();
    for (const suspect of suspects) {
        const shares = new Map<string, number>();
        for (const fault of suspect.faults)
            for (const element of fault.elements) {
                const id = drawn.has(element) ? element : (blockOf.get(element) ?? '');
                if (drawn.has(id)) shares.set(id, (shares.get(id) ?? 0) + fault.probability);
            }
        const [first] = [...shares].sort((a, b) => b[1] - a[1]);
        if (first && !carried.has(first[0])) carried.set(first[0], suspect);
    }
    return carried;
}

/** Chances of elements and blocks, for the marks on them. */
export function doubts(sheet: DrawnSheet, suspects: SuspectShown[]): Map<string, number> {
    const blockOf = new Map(sheet.blocks.flatMap((block) => block.elements.map((id) => [id, block.id] as const)));
    const found = new Map<string, number>();
    for (const suspect of suspects)
        for (const fault of suspect.faults)
            for (const id of new Set(fault.elements.map((element) => blockOf.get(element) ?? element)))
                found.set(id, (found.get(id) ?? 0) + fault.probability);
    return found;
}

/** What a text, a handle or a button had better not lie on. */
export function obstacles(sheet: DrawnSheet): Box[] {
    return [
        ...sheet.elements.flatMap((element) => (element.wires as Point[][]).flatMap((wire) => boxesOf(wire, 2.5))),
        ...sheet.elements.filter((one) => one.half > 0 && one.reach > 0).map((one) => boxOf(one, 2)),
        ...sheet.elements
            .filter((one) => one.symbol === 'jumper')
            .flatMap((one) => (one.wires as Point[][]).flatMap((wire) => [wire[0], wire[wire.length - 1]]))
            .map((end) => around(end ?? [0, 0], 6, 6)),
        ...sheet.elements
            .filter((one) => one.symbol === 'contact')
            .flatMap((one) => {
                const pad = padOf(one);
                const hub: Point = [2 * one.at[0] - pad[0], 2 * one.at[1] - pad[1]];
                return [around(hub, 6, 6), around(pad, 6, 6), ...(one.open ? [] : boxesOf([hub, pad], 2.5))];
            }),
        ...sheet.blocks
            .filter((block) => block.shape !== 'pad')
            .flatMap((block) => {
                const [right, bottom] = [block.left + block.width, block.top + block.height];
                const outline = boxesOf(
                    [
                        [block.left, block.top],
                        [right, block.top],
                        [right, bottom],
                        [block.left, bottom],
                        [block.left, block.top],
                    ],
                    2,
                );
                const middle: Point = [(block.left + right) / 2, (block.top + bottom) / 2];
                return block.shape === 'motor' ? [...outline, around(middle, 12, 16)] : outline;
            }),
        ...sheet.elements
            .filter((one) => one.flow !== 0)
            .flatMap((one) => arrowOf(one) ?? [])
            .map((arrow) => around(arrow.at, 8, 8)),
        ...sheet.signs.map((sign) =>
            sign.kind === 'ground'
                ? { left: sign.at[0] - 12, right: sign.at[0] + 12, top: sign.at[1], bottom: sign.at[1] + 13 }
                : around(sign.at, 9, 9),
        ),
    ];
}

/** Places the leads so that neither handle lies on a sign, a line or the other. */
export function placeLeads(sheet: DrawnSheet, red: string | null, black: string | null, size: number): Lead[] {
    const taken = obstacles(sheet);
    const leads: Lead[] = [];
    for (const [name, node] of [
        ['A', red],
        ['B', black],
    ] as const) {
        const at = node === null ? undefined : sheet.nodes[node];
        if (!at) continue;
        const radius = HANDLE * size;
        const inside = (box: Box) =>
            box.left >= 1 && box.top >= 1 && box.right <= sheet.width - 1 && box.bottom <= sheet.height - 1;
        let best: { handle: Point; cost: number } | null = null;
        for (const far of [30, 42, 56, 72]) {
            for (const turn of [-75, -105, -45, -135, 45, 135, 75, 105, -15, 165, 15, 195]) {
                const handle: Point = [
                    at.x + far * size * Math.cos((turn * Math.PI) / 180),
                    at.y + far * size * Math.sin((turn * Math.PI) / 180),
                ];
                const box = around(handle, radius + 2, radius + 2);
                const on = taken.reduce((sum, one) => sum + overlap(box, one), 0);
                const cost = (inside(box) ? 0 : 1e5) + on * 10 + far;
                if (best === null || cost < best.cost) best = { handle, cost };
            }
        }
        if (best) {
            leads.push({ name, tip: [at.x, at.y], handle: best.handle });
            taken.push(around(best.handle, radius + 2, radius + 2));
            taken.push(...boxesOf([[at.x, at.y], best.handle], 0));
        }
    }
    return leads;
}

function beside(box: Box, side: string, size: number, far: number): Wanted['places'] {
    const [x, y] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
    const middle = y + size * 0.28;
    const places: Record<string, Wanted['places']> = {
        right: [{ x: box.right + far, y: middle, anchor: 'start' }],
        left: [{ x: box.left - far, y: middle, anchor: 'end' }],
        above: [{ x, y: box.top - far - size * 0.26, anchor: 'middle' }],
        below: [{ x, y: box.bottom + far + size * 0.78, anchor: 'middle' }],
    };
    const order = [side, 'right', 'left', 'above', 'below'].filter((one, n, all) => all.indexOf(one) === n);
    return [
        ...order.flatMap((one) => places[one] ?? []),
        { x: box.right + far, y: box.top - far, anchor: 'start' },
        { x: box.right + far, y: box.bottom + far + size * 0.6, anchor: 'start' },
        { x: box.left - far, y: box.top - far, anchor: 'end' },
        { x: box.left - far, y: box.bottom + far + size * 0.6, anchor: 'end' },
        // Above and below once more, moved sideways past what stands there.
        ...[-2, 2, -4, 4].flatMap((aside): Wanted['places'] => [
            { x: x + aside * size, y: box.top - far - size * 0.26, anchor: 'middle' },
            { x: x + aside * size, y: box.bottom + far + size * 0.78, anchor: 'middle' },
        ]),
    ];
}

/** Places along a line beside which its name may stand. */
function stations(points: Point[]): Point[] {
    return points.slice(1).flatMap(([x, y], n) => {
        const [a, b] = points[n] ?? [x, y];
        return Math.hypot(x - a, y - b) < 40
            ? []
            : [0.5, 0.3, 0.7, 0.15, 0.85].map((share): Point => [a + share * (x - a), b + share * (y - b)]);
    });
}

function names(
    sheet: DrawnSheet,
    carried: Map<string, SuspectShown>,
    doubt: Map<string, number>,
    size: number,
): Wanted[] {
    const wanted: Wanted[] = [];
    const text = (id: string, label: string) => {
        const suspect = carried.get(id);
        if (!suspect || suspect.probability < 0.05) return label;
        // The odds are those of what would be replaced: that is named, unless the part is called the same.
        const named = inline(suspect.label);
        return `${label !== '' && named.toLowerCase().includes(label.toLowerCase()) ? label : named} ${percent(suspect.probability)}`;
    };
    const kind = (id: string) => ((carried.get(id)?.probability ?? 0) > 0.2 ? 'suspect' : 'name') as Label['kind'];
    for (const block of sheet.blocks) {
        const label = text(block.id, block.label);
        if (label === '') continue;
        const box = {
            left: block.left,
            top: block.top,
            right: block.left + block.width,
            bottom: block.top + block.height,
        };
        const x = (box.left + box.right) / 2;
        wanted.push({
            key: block.id,
            text: label,
            kind: kind(block.id),
            size,
            places: [
                ...(block.shape === 'pad'
                    ? []
                    : (block.shape === 'motor' ? [0.82, 0.2] : [0.5, 0.3, 0.7, 0.15, 0.85]).map((share) => ({
                          x,
                          y: box.top + share * block.height + size * 0.28,
                          anchor: 'middle' as const,
                      }))),
                ...[4, 10, 18].flatMap((far) => beside(box, 'right', size, far)),
            ],
        });
    }
    for (const element of sheet.elements) {
        const label = text(element.id, element.label);
        if (label === '') continue;
        const ring = ringOf(element);
        const own =
            (doubt.get(element.id) ?? 0) > 0.02 && element.symbol !== 'wire'
                ? around(ring.at, ring.radius, ring.radius)
                : element.symbol === 'contact'
                  ? around(padOf(element), 5, 5)
                  : boxOf(element);
        const along = (element.wires as Point[][]).flatMap((wire) => [...stations(wire), ...wire.slice(0, 1)]);
        wanted.push({
            key: element.id,
            text: label,
            kind: kind(element.id),
            size,
            places: [
                ...[5, 9, 14, 22, 32].flatMap((far) => beside(own, element.side, size, far)),
                ...along.flatMap((end) => beside(around(end, 2, 2), 'right', size, 5)),
            ],
        });
    }
    return wanted;
}

function volts(sheet: DrawnSheet, size: number): Wanted[] {
    const wanted: Wanted[] = [];
    const told = new Map<string, Point[]>();
    for (const [name, node] of Object.entries(sheet.nodes)) {
        if (!node || node.volts === null || name === '0') continue;
        const text = figure(Math.abs(node.volts) < 0.05 ? 0 : node.volts, 1);
        // The same number close by says it already.
        const near = told.get(text)?.some(([x, y]) => Math.abs(x - node.x) + Math.abs(y - node.y) < 46);
        if (near) continue;
        told.set(text, [...(told.get(text) ?? []), [node.x, node.y]]);
        wanted.push({
            key: name,
            text,
            kind: 'volts',
            size,
            places: [5, 9, 15].flatMap((far) => beside(around([node.x, node.y], 0, 0), 'right', size, far)),
        });
    }
    return wanted;
}

/** Finds room for every text: on no line, no sign, no lead and no other text. What finds none is left out. */
export function placeLabels(
    sheet: DrawnSheet,
    suspects: SuspectShown[],
    leads: Lead[],
    withVolts: boolean,
    size: number,
    within: Box,
): Label[] {
    const handle = (HANDLE * size) / 14;
    const doubt = doubts(sheet, suspects);
    const taken = [
        ...obstacles(sheet),
        ...sheet.elements
            .filter((one) => (doubt.get(one.id) ?? 0) > 0.02 && one.symbol !== 'wire' && one.symbol !== 'jumper')
            .map(ringOf)
            .map(({ at, radius }) => around(at, radius + 1, radius + 1)),
        ...leads.map((lead) => around(lead.handle, handle + 3, handle + 3)),
        ...leads.flatMap((lead) => stem(lead)),
    ];
    const carried = odds(sheet, suspects);
    const wanted = [...names(sheet, carried, doubt, size), ...(withVolts ? volts(sheet, size * 0.88) : [])].sort(
        (a, b) => rank(b) - rank(a),
    );
    const free = (box: Box) =>
        box.left >= within.left + 2 &&
        box.right <= within.right - 2 &&
        box.top >= within.top + 2 &&
        box.bottom <= within.bottom - 2 &&
        taken.every((other) => overlap(box, other) === 0);
    const labels: Label[] = [];
    for (const whole of wanted) {
        // Odds find room where a name does not: its place says whose they are.
        const short = whole.text.match(/\S+%$/)?.[0];
        for (const one of [whole, ...(short && whole.kind === 'suspect' ? [{ ...whole, text: short }] : [])]) {
            const place = one.places.find((candidate) => free(boxAt(one, candidate)));
            if (!place) continue;
            taken.push(boxAt(one, place));
            labels.push({ key: `${one.kind}-${one.key}`, text: one.text, ...place, kind: one.kind, size: one.size });
            break;
        }
    }
    return labels;
}

function rank(one: Wanted): number {
    return one.kind === 'suspect' ? 2 : one.kind === 'name' ? 1 : 0;
}

/** The stem of a lead, as small boxes along it. */
function stem({ tip, handle }: Lead): Box[] {
    return [0.2, 0.4, 0.6, 0.8].map((share) =>
        around([tip[0] + share * (handle[0] - tip[0]), tip[1] + share * (handle[1] - tip[1])], 4, 4),
    );
}

import { useLayoutEffect, useRef, useState } from 'react';
import type { DrawnSheet } from '@/generated/props';
import { around, cropTo, overlap, type Box, type Point } from './geometry';
import { obstacles } from './labels';
import SheetDialog from './SheetDialog';
import SheetSvg, { type SheetProps } from './SheetSvg';

/** Pixels of a sheet unit under which a sheet is no longer shown whole: its texts would not be read. */
const LEAST_SCALE = 0.74;

/** The circuit drawn from its netlist: live path heavy, suspects marked, the leads of the next test in place. */
export default function CircuitSheet({ closed = false, ...props }: SheetProps & { closed?: boolean }) {
    const { sheet, red, black } = props;
    const room = useRef<HTMLDivElement>(null);
    const [{ wide, high }, setRoom] = useState({ wide: 560, high: 420 });
    useLayoutEffect(() => {
        const box = room.current;
        if (!box) return;
        const measure = () => setRoom({ wide: box.clientWidth || 560, high: box.clientHeight || 420 });
        measure();
        const watch = new ResizeObserver(measure);
        watch.observe(box);
        return () => watch.disconnect();
    }, []);
    const whole = Math.min(wide / sheet.width, high / sheet.height);
    const leads = [red, black]
        .map((node) => (node ? sheet.nodes[node] : undefined))
        .filter((node) => node !== undefined)
        .map((node): Point => [node.x, node.y]);
    // Where both do not fit, the first lead does: the other stands in words.
    const cropped = whole < LEAST_SCALE && leads.length > 0;
    const scale = cropped ? Math.max(whole, 0.92) : whole;
    const seen = cropped
        ? cropTo(sheet, fitting(leads, wide / scale, high / scale), wide / scale, high / scale)
        : { left: 0, top: 0, right: sheet.width, bottom: sheet.height };
    if (closed) return <SheetDialog {...props} inline />;
    return (
        <div className="relative h-full w-full">
            <div ref={room} className="h-full w-full" data-sheet={cropped ? 'part' : 'whole'}>
                <SheetSvg {...props} seen={seen} scale={scale} />
            </div>
            <SheetDialog {...props} corner={freeCorner(sheet, leads, seen, wide / scale, high / scale, scale)} />
        </div>
    );
}

const corners = ['right-1 bottom-1', 'left-1 bottom-1', 'right-1 top-1', 'left-1 top-1'];

/** The corner of a room, wide and high in sheet units, in which a button hides least of what is seen of the sheet. */
function freeCorner(sheet: DrawnSheet, leads: Point[], seen: Box, wide: number, high: number, scale: number): string {
    const [x, y] = [(seen.left + seen.right) / 2, (seen.top + seen.bottom) / 2];
    const [across, down] = [(window.innerWidth < 640 ? 26 : 38) / scale, 27 / scale];
    const taken = obstacles(sheet);
    // Where a lead goes is never covered, whatever else has to be.
    const handles = leads.map((lead) => around(lead, ROOM / 2, ROOM / 2));
    const hidden = corners.map((corner) => {
        const aside = (wide / 2 - across) * (corner.startsWith('left') ? -1 : 1);
        const away = (high / 2 - down) * (corner.endsWith('top-1') ? -1 : 1);
        const button = around([x + aside, y + away], across, down);
        const covered = (all: Box[]) => all.reduce((sum, one) => sum + overlap(button, one), 0);
        return covered(taken) + 100 * covered(handles);
    });
    return corners[hidden.indexOf(Math.min(...hidden))] ?? '';
}

/** Room around a lead that its handle needs. */
const ROOM = 60;

function fitting(leads: Point[], wide: number, high: number): Point[] {
    const [a, b] = leads;
    return a && b && (Math.abs(a[0] - b[0]) > wide - ROOM || Math.abs(a[1] - b[1]) > high - ROOM) ? [a] : leads;
}

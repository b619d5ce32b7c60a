import { useLayoutEffect, useRef, useState } from 'react';
import { cropTo, type Point } from './geometry';
import SheetDialog from './SheetDialog';
import SheetSvg, { type SheetProps } from './SheetSvg';

/** Pixels of a sheet unit under which a sheet is no longer shown whole: its texts would not be read. */
const LEAST_SCALE = 0.74;

/** The circuit drawn from its netlist: live path heavy, suspects marked, the leads of the next test in place. */
export default function CircuitSheet(props: SheetProps) {
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
    const cropped = whole < LEAST_SCALE && leads.length > 0;
    const scale = cropped ? Math.max(whole, 0.92) : whole;
    const seen = cropped
        ? cropTo(sheet, leads, wide / scale, high / scale)
        : { left: 0, top: 0, right: sheet.width, bottom: sheet.height };
    return (
        <div className="relative h-full w-full">
            <div ref={room} className="h-full w-full" data-sheet={cropped ? 'part' : 'whole'}>
                <SheetSvg {...props} seen={seen} scale={scale} />
            </div>
            <SheetDialog {...props} />
        </div>
    );
}

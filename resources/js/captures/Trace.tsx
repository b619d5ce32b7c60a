import { useEffect, useRef, useState, type PointerEvent } from 'react';
import type { CaptureShown } from '@/generated/props';
import { figure, seconds } from '@/lib/format';
import Button from '@/ui/Button';

const MARGIN = 56;
const HEIGHT = 170;
const TOP = 12;
const BOTTOM = 24;

interface Props {
    jobId: string;
    capture: CaptureShown;
    channel: number;
}

/** A capture as it would stand on the screen of a scope: dragged over to zoom in, or moved by its buttons. */
export default function Trace({ jobId, capture, channel }: Props) {
    const [range, setRange] = useState<[number, number]>([0, capture.count]);
    const [columns, setColumns] = useState<[number, number][]>([]);
    const [problem, setProblem] = useState<string | null>(null);
    const [drag, setDrag] = useState<[number, number] | null>(null);
    const drawing = useRef<SVGSVGElement>(null);
    const [width, setWidth] = useState(800);
    useEffect(() => {
        const watch = new ResizeObserver(([box]) => {
            if (box) setWidth(Math.max(160, Math.round(box.contentRect.width) - MARGIN));
        });
        if (drawing.current) watch.observe(drawing.current);
        return () => watch.disconnect();
    }, []);
    const [from, to] = range;
    useEffect(() => {
        const leaving = new AbortController();
        fetch(
            `/jobs/${jobId}/captures/${capture.id}/trace?channel=${channel}&from=${from}&to=${to}&columns=${Math.min(width, Math.max(10, to - from))}`,
            { signal: leaving.signal, headers: { Accept: 'application/json' } },
        )
            .then(async (answer) => {
                const data = (await answer.json()) as [number, number][] | { message: string };
                if (Array.isArray(data)) setColumns(data);
                setProblem(Array.isArray(data) ? null : data.message);
            })
            .catch(() => {
                if (!leaving.signal.aborted) setProblem('No connection: the picture could not be loaded.');
            });
        return () => leaving.abort();
    }, [jobId, capture.id, channel, from, to, width]);

    const show = (start: number, end: number) => {
        const least = Math.min(20, capture.count);
        const length = Math.max(least, Math.min(capture.count, Math.round(end - start)));
        const first = Math.max(0, Math.min(capture.count - length, Math.round(start)));
        setRange([first, first + length]);
    };
    const scale = (by: number) => {
        const middle = (from + to) / 2;
        show(middle - ((to - from) * by) / 2, middle + ((to - from) * by) / 2);
    };
    const move = (by: number) => show(from + (to - from) * by, to + (to - from) * by);
    const shown = capture.channels[channel];
    const low = Math.min(...columns.map(([least]) => least), 0);
    const high = Math.max(...columns.map(([, most]) => most), 0.001);
    const y = (value: number) => TOP + (1 - (value - low) / (high - low || 1)) * (HEIGHT - TOP - BOTTOM);
    const step = width / Math.max(1, columns.length);
    // A column with one value is a point of the line, one with two its whole height.
    const path = columns
        .map(
            ([least, most], n) =>
                `${n === 0 ? 'M' : 'L'}${(n * step).toFixed(1)} ${y(n % 2 === 0 ? least : most).toFixed(1)}${least === most ? '' : `L${(n * step).toFixed(1)} ${y(n % 2 === 0 ? most : least).toFixed(1)}`}`,
        )
        .join('');
    const at = (event: PointerEvent) => {
        const box = drawing.current?.getBoundingClientRect();
        return box
            ? Math.min(1, Math.max(0, ((event.clientX - box.left) / box.width) * ((width + MARGIN) / width)))
            : 0;
    };
    const ticks = (width < 500 ? [0, 0.5, 1] : [0, 0.25, 0.5, 0.75, 1]).map((part) => ({
        part,
        label: seconds(capture.start + (from + part * (to - from)) * capture.interval),
    }));
    const levels = shown?.pulses ? [...new Set([shown.pulses.low, shown.pulses.high])] : [];
    return (
        <figure>
            <svg
                ref={drawing}
                viewBox={`0 0 ${width + MARGIN} ${HEIGHT}`}
                role="img"
                aria-label={`${shown?.name ?? ''} from ${ticks[0]?.label} to ${ticks.at(-1)?.label}`}
                height={HEIGHT}
                className="w-full cursor-crosshair touch-none border border-rule bg-sheet"
                onPointerDown={(event) => {
                    event.currentTarget.setPointerCapture(event.pointerId);
                    setDrag([at(event), at(event)]);
                }}
                onPointerMove={(event) => {
                    if (drag) setDrag([drag[0], at(event)]);
                }}
                onPointerUp={() => {
                    if (drag && Math.abs(drag[1] - drag[0]) > 0.01)
                        show(from + Math.min(...drag) * (to - from), from + Math.max(...drag) * (to - from));
                    setDrag(null);
                }}
            >
                {levels.map((level) => (
                    <g key={level}>
                        <line
                            x1={0}
                            x2={width}
                            y1={y(level)}
                            y2={y(level)}
                            className="stroke-warn"
                            strokeDasharray="4 6"
                        />
                        <text x={width + 6} y={y(level) + 5} className="figure fill-soft text-[13px]">
                            {figure(level, 1)}
                            {shown?.unit === 'V' ? ' V' : ''}
                        </text>
                    </g>
                ))}
                <path d={path} className="fill-none stroke-lake" strokeWidth={1.6} vectorEffect="non-scaling-stroke" />
                {ticks.map(({ part, label }) => (
                    <text
                        key={part}
                        x={part * width + (part === 0 ? 4 : part === 1 ? -4 : 0)}
                        y={HEIGHT - 7}
                        textAnchor={part === 0 ? 'start' : part === 1 ? 'end' : 'middle'}
                        className="figure fill-soft text-[13px]"
                    >
                        {label}
                    </text>
                ))}
                {drag && (
                    <rect
                        x={Math.min(...drag) * width}
                        width={Math.abs(drag[1] - drag[0]) * width}
                        y={0}
                        height={HEIGHT}
                        className="fill-lake/20"
                    />
                )}
            </svg>
            {problem && (
                <p role="alert" className="font-medium text-bad">
                    {problem}
                </p>
            )}
            <figcaption className="flex flex-wrap items-center gap-x-1">
                <Button kind="quiet" onClick={() => scale(0.4)}>
                    Closer
                </Button>
                <Button kind="quiet" onClick={() => scale(2.5)}>
                    Wider
                </Button>
                <Button kind="quiet" onClick={() => move(-0.4)} disabled={from === 0}>
                    Earlier
                </Button>
                <Button kind="quiet" onClick={() => move(0.4)} disabled={to >= capture.count}>
                    Later
                </Button>
                <Button kind="quiet" onClick={() => show(0, capture.count)}>
                    All of it
                </Button>
                <span className="text-[0.9rem] text-soft">Drag over the picture to look closer.</span>
            </figcaption>
        </figure>
    );
}

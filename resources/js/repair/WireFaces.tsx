import type { PlugFace as Face, WireFaces as Faces, WirePath } from '@/generated/props';
import { hue, inWords, middleOf, order, Plug, sizeOf, stripe } from '@/ui/PlugFace';

const GAP = 74;
const TITLE = 20;

/** Wires between the old part's plug and the new one's, in their colours. */
export default function WireFaces({ faces }: { faces: Faces }) {
    const old = sizeOf(faces.old);
    const next = sizeOf(faces.new);
    const width = Math.max(old.width, next.width, 220);
    const [oldLeft, newLeft] = [(width - old.width) / 2, (width - next.width) / 2];
    const newTop = TITLE + old.height + GAP;
    const height = newTop + next.height + TITLE;
    const place = (face: Face, label: string, left: number, top: number) => {
        const pin = face.pins.find((one) => one.label === label);
        if (!pin) return null;
        const { x, y } = middleOf(face, pin, face === faces.new);
        return { x: x + left, y: y + top };
    };
    const wire = (path: WirePath) => {
        const from = place(faces.old, path.from, oldLeft, TITLE);
        const to = place(faces.new, path.to, newLeft, newTop);
        if (!from || !to) return null;
        const [start, end] = [from.y + 12, to.y - 12];
        const bend = `M${from.x} ${start}C${from.x} ${start + 40} ${to.x} ${end - 40} ${to.x} ${end}`;
        return { bend, x: (from.x + to.x) / 2, y: (start + end) / 2 };
    };
    const wires = faces.paths.map((path) => ({ path, drawn: wire(path) }));
    const words = faces.paths.map(
        (path) => `${path.from} to ${path.to}${path.tag ? `, tag ${path.tag}` : ''}${path.done ? ', done' : ''}`,
    );
    return (
        <figure className="max-w-full overflow-x-auto" tabIndex={0}>
            <svg
                viewBox={`0 0 ${width} ${height}`}
                width={width}
                height={height}
                role="img"
                aria-label={`${inWords(faces.old)}. ${inWords(faces.new)}. Wires: ${words.join('; ')}`}
            >
                <text x={width / 2} y={14} textAnchor="middle" className="fill-soft text-[13px]">
                    {faces.old.title}
                </text>
                <g transform={`translate(${oldLeft} ${TITLE})`}>
                    <Plug face={faces.old} />
                </g>
                <g transform={`translate(${newLeft} ${newTop})`}>
                    <Plug face={faces.new} below />
                </g>
                <text x={width / 2} y={height - 5} textAnchor="middle" className="fill-soft text-[13px]">
                    {faces.new.title}
                </text>
                {wires.map(({ path, drawn }, n) => {
                    if (!drawn) return null;
                    const colour = hue(path.colour);
                    const second = stripe(path.colour);
                    return (
                        <g key={n} opacity={path.done ? 1 : 0.75}>
                            <path d={drawn.bend} fill="none" stroke="var(--ink)" strokeWidth={6} />
                            <path
                                d={drawn.bend}
                                fill="none"
                                stroke={colour === 'none' ? 'var(--sheet)' : colour}
                                strokeWidth={4}
                                strokeDasharray={path.done ? undefined : '9 4'}
                            />
                            {second && (
                                <path
                                    d={drawn.bend}
                                    fill="none"
                                    stroke={second}
                                    strokeWidth={1.5}
                                    strokeDasharray="4 6"
                                />
                            )}
                        </g>
                    );
                })}
                {wires.map(({ path, drawn }, n) => {
                    if (!drawn || path.tag === '') return null;
                    const half = path.tag.length * 4 + 5;
                    return (
                        <g key={n}>
                            <rect
                                x={drawn.x - half}
                                y={drawn.y - 9}
                                width={half * 2}
                                height={18}
                                rx={3}
                                fill="var(--sheet)"
                                stroke="var(--ink)"
                            />
                            <text
                                x={drawn.x}
                                y={drawn.y + 4.5}
                                textAnchor="middle"
                                className="figure fill-ink text-[12px]"
                            >
                                {path.tag}
                            </text>
                        </g>
                    );
                })}
            </svg>
            <figcaption className="mt-1 text-[0.9rem] text-soft">
                {order(faces.old)} Dashed: not moved and checked yet.
            </figcaption>
        </figure>
    );
}

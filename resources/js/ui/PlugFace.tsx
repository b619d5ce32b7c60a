import type { PlugFace as Face, PlugPin, WireColour } from '@/generated/props';

const hues: Record<string, string> = {
    black: '#23282b',
    brown: '#7d4a24',
    red: '#c22f22',
    orange: '#e07f1f',
    yellow: '#eaca2b',
    green: '#2f8c45',
    blue: '#2b5fb8',
    violet: '#7b45a0',
    grey: '#8d9497',
    white: '#fdfdfb',
    pink: '#e49ab2',
    turquoise: '#2aa6a4',
};

export const hue = (colour: WireColour | null) => (colour ? (hues[colour.base] ?? 'none') : 'none');
export const stripe = (colour: WireColour | null) => (colour?.stripe ? (hues[colour.stripe] ?? null) : null);

const PIN = 24;
const ROW = 46;
const EDGE = 10;

/** Room that a pin needs: its square, and its name above. */
function wide(face: Face): number {
    return Math.max(34, ...face.pins.map((pin) => pin.label.length * 6.8 + 8));
}

export function sizeOf(face: Face): { width: number; height: number } {
    return { width: face.columns * wide(face) + 2 * EDGE, height: face.rows * ROW + EDGE };
}

/** Middle of a pin, from the upper left corner of its plug; names stand above, or below where wires come from above. */
export function middleOf(face: Face, pin: PlugPin, below = false): { x: number; y: number } {
    return { x: EDGE + (pin.column + 0.5) * wide(face), y: (below ? 12 : 20) + pin.row * ROW + PIN / 2 };
}

function said(pin: PlugPin): string {
    const colour = pin.colour ? [pin.colour.base, pin.colour.stripe].filter(Boolean).join(' with ') : '';
    return [pin.label, pin.words === pin.label ? '' : pin.words, colour, pin.lead ? `lead ${pin.lead}` : '']
        .filter((one) => one !== '')
        .join(', ');
}

export function inWords(face: Face): string {
    return `${face.title}: ${face.pins.map(said).join('; ')}`;
}

function Pin({ face, pin, below }: { face: Face; pin: PlugPin; below: boolean }) {
    const { x, y } = middleOf(face, pin, below);
    const [left, top] = [x - PIN / 2, y - PIN / 2];
    const second = stripe(pin.colour);
    return (
        <g>
            <text x={x} y={below ? top + PIN + 13 : top - 4} textAnchor="middle" className="fill-ink text-[12px]">
                {pin.label}
            </text>
            <rect
                x={left}
                y={top}
                width={PIN}
                height={PIN}
                rx={4}
                fill={hue(pin.colour)}
                stroke="var(--ink)"
                strokeWidth={1.5}
                strokeDasharray={pin.words === '' ? '3 3' : undefined}
            />
            {second && (
                <path
                    d={`M${left + 3} ${top + PIN - 8}L${left + PIN - 8} ${top + 3}`}
                    stroke={second}
                    strokeWidth={5}
                />
            )}
            {pin.lead === null && face.sockets !== null && (
                <circle
                    cx={x}
                    cy={y}
                    r={5}
                    fill={face.sockets ? 'var(--sheet)' : 'var(--ink)'}
                    stroke={face.sockets ? 'var(--ink)' : 'var(--sheet)'}
                    strokeWidth={1.5}
                />
            )}
            {pin.lead !== null && (
                <>
                    <circle cx={x} cy={y} r={10} fill={pin.lead === 'A' ? '#a12d22' : '#14181b'} stroke="#fff" />
                    <text x={x} y={y + 4.5} textAnchor="middle" fill="#fff" className="text-[12px] font-semibold">
                        {pin.lead}
                    </text>
                </>
            )}
        </g>
    );
}

/** A plug from its front, to be set into a drawing. */
export function Plug({ face, below = false }: { face: Face; below?: boolean }) {
    const { width, height } = sizeOf(face);
    return (
        <g>
            <rect
                x={1}
                y={1}
                width={width - 2}
                height={height - 2}
                rx={7}
                fill="var(--sheet)"
                stroke="var(--ink)"
                strokeWidth={2}
            />
            {face.key !== null && (
                <path d={`M${width / 2 - 9} 0v6h18v-6`} fill="var(--paper)" stroke="var(--ink)" strokeWidth={2} />
            )}
            {face.pins.map((pin) => (
                <Pin key={pin.label} face={face} pin={pin} below={below} />
            ))}
        </g>
    );
}

/** A plug alone. */
export default function PlugFace({ face }: { face: Face }) {
    const { width, height } = sizeOf(face);
    return (
        <svg
            viewBox={`0 0 ${width} ${height}`}
            width={width}
            height={height}
            role="img"
            aria-label={inWords(face)}
            className="h-auto max-w-full shrink"
        >
            <Plug face={face} />
        </svg>
    );
}

/** In which order the pins stand: a picture must not say more than is known. */
export function order(face: Face): string {
    return face.numbered
        ? 'Pins by their numbers; find them on the plug before you probe.'
        : 'Pins as they are listed, not as they lie in the plug: follow each wire.';
}

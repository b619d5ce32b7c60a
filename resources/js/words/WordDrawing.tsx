import type { ReactNode } from 'react';
import type { Stroke } from './words';

const thin = { fill: 'none', stroke: 'currentColor', strokeWidth: 1.6 };

function points(numbers: number[]): string {
    return numbers.map((value, n) => (n % 2 === 0 ? `${value},` : `${value} `)).join('');
}

const arc = (x: number, y: number, upright: boolean) =>
    [-1, 0, 1]
        .map((n) =>
            upright ? `M${x},${y + n * 11 - 5.5} a5.5,5.5 0 0 1 0,11` : `M${x + n * 13 - 6.5},${y} a6.5,6.5 0 0 1 13,0`,
        )
        .join(' ');

function Text({ x, y, children }: { x: number; y: number; children: ReactNode }) {
    return (
        <text x={x} y={y} textAnchor="middle" fontSize="9" fill="currentColor">
            {children}
        </text>
    );
}

function Meter({ x, y, sign }: { x: number; y: number; sign: string }) {
    return (
        <g>
            <circle cx={x} cy={y} r={12} fill="var(--sheet)" stroke="currentColor" strokeWidth={1.6} />
            <Text x={x} y={y + 3.2}>
                {sign}
            </Text>
        </g>
    );
}

/** One sign; what is not known draws nothing. */
function Sign({ stroke }: { stroke: Stroke }) {
    const [name, ...given] = stroke;
    const numbers = given.filter((one): one is number => typeof one === 'number');
    const [x = 0, y = 0, a = 0, b = 0] = numbers;
    const said = given.find((one): one is string => typeof one === 'string') ?? '';
    switch (name) {
        case 'w':
            return <polyline points={points(numbers)} {...thin} />;
        case 'p':
            return <polyline points={points(numbers)} {...thin} stroke="var(--lake)" strokeWidth={2.4} />;
        case 'd':
            return <polyline points={points(numbers)} {...thin} strokeDasharray="4 3" />;
        case 'a': {
            const turn = (Math.atan2(b - y, a - x) * 180) / Math.PI;
            return (
                <g stroke="var(--lake)">
                    <line x1={x} y1={y} x2={a} y2={b} strokeWidth={2.2} />
                    <path
                        d="M-6,-3.5 L0,0 L-6,3.5"
                        fill="none"
                        strokeWidth={2.2}
                        transform={`translate(${a} ${b}) rotate(${turn})`}
                    />
                </g>
            );
        }
        case 'r':
            return <rect x={x - 16} y={y - 6} width={32} height={12} {...thin} fill="var(--sheet)" />;
        case 'rv':
            return <rect x={x - 6} y={y - 13} width={12} height={26} {...thin} fill="var(--sheet)" />;
        case 'f':
            return (
                <g {...thin}>
                    <rect x={x - 13} y={y - 5} width={26} height={10} fill="var(--sheet)" />
                    <line x1={x - 13} y1={y} x2={x + 13} y2={y} />
                </g>
            );
        case 'm':
            return <Meter x={x} y={y} sign="M" />;
        case 'meter':
            return <Meter x={x} y={y} sign={said} />;
        case 'lamp':
            return (
                <g {...thin}>
                    <circle cx={x} cy={y} r={12} fill="var(--sheet)" />
                    <path d={`M${x - 8},${y - 8} L${x + 8},${y + 8} M${x + 8},${y - 8} L${x - 8},${y + 8}`} />
                </g>
            );
        case 'fan':
            return (
                <g {...thin}>
                    <ellipse cx={x} cy={y - 9} rx={4} ry={9} />
                    <ellipse cx={x} cy={y + 9} rx={4} ry={9} />
                </g>
            );
        case 'b':
            return (
                <path
                    d={`M${x - 12},${y - 4} h24 M${x - 6},${y + 4} h12 M${x},${y - 12} v8 M${x},${y + 4} v8`}
                    {...thin}
                />
            );
        case 'g':
            return <path d={`M${x - 9},${y} h18 M${x - 6},${y + 4} h12 M${x - 3},${y + 8} h6`} {...thin} />;
        case 's':
            return a === 1 ? (
                <path d={`M${x},${y - 14} v4 M${x},${y + 10} v4 M${x},${y + 10} L${x + 9},${y - 10}`} {...thin} />
            ) : (
                <path d={`M${x - 14},${y} h4 M${x + 10},${y} h4 M${x - 10},${y} L${x + 9},${y - 9}`} {...thin} />
            );
        case 'cap':
            return (
                <path
                    d={`M${x - 10},${y - 4} h20 M${x - 10},${y + 4} h20 M${x},${y - 15} v11 M${x},${y + 4} v11`}
                    {...thin}
                />
            );
        case 'coil':
            return <path d={arc(x, y, false)} {...thin} />;
        case 'coilv':
            return <path d={arc(x, y, true)} {...thin} />;
        case 'o':
            return <circle cx={x} cy={y} r={2.8} fill="currentColor" />;
        case 'ring':
            return <circle cx={x} cy={y} r={a === 0 ? 20 : a} {...thin} />;
        case 'gapring':
            return (
                <path
                    d={`M${x - 8},${y - 23} A24,24 0 0 1 ${x + 8},${y - 23}`}
                    {...thin}
                    stroke="var(--sheet)"
                    strokeWidth={5}
                />
            );
        case 'box':
            return <rect x={x} y={y} width={a} height={b} {...thin} />;
        case 'gap':
            return (
                <g>
                    <rect x={x - 9} y={y - 4} width={18} height={8} fill="var(--sheet)" />
                    <path d={`M${x - 9},${y - 5} v10 M${x + 9},${y - 5} v10`} {...thin} stroke="var(--bad)" />
                </g>
            );
        case 'cross':
            return (
                <path
                    d={`M${x - 16},${y - 16} L${x + 16},${y + 16} M${x + 16},${y - 16} L${x - 16},${y + 16}`}
                    {...thin}
                    stroke="var(--bad)"
                />
            );
        case 'brake':
            return <rect x={x - 14} y={y} width={28} height={6} fill="var(--bad)" />;
        case 'pin':
            return (
                <g {...thin}>
                    <path d={`M${x - 15},${y} h12 M${x + 25},${y - 8} h-20 v16 h20`} />
                    <path d={`M${x - 3},${y} h14`} stroke="var(--bad)" strokeWidth={3} />
                </g>
            );
        case 't':
            return (
                <Text x={x} y={y}>
                    {said}
                </Text>
            );
        default:
            return null;
    }
}

/** A word of the trade, drawn. */
export default function WordDrawing({ title, draw }: { title: string; draw: Stroke[] }) {
    return (
        <svg
            viewBox="0 0 160 92"
            role="img"
            aria-label={`${title}, drawn`}
            className="w-full max-w-[240px] border border-rule bg-sheet text-ink"
        >
            {draw.map((stroke, n) => (
                <Sign key={n} stroke={stroke} />
            ))}
        </svg>
    );
}

import { percent } from '@/lib/format';
import type { DrawnSheet, DrawnElement, SuspectShown } from '@/generated/props';
import { labelAt, line, place, wires } from './circuitGeometry';
import CircuitSymbol from './CircuitSymbol';

interface Props {
    sheet: DrawnSheet;
    title: string;
    suspects?: SuspectShown[];
    red?: string | null;
    black?: string | null;
    volts?: boolean;
    onElement?: (element: DrawnElement) => void;
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
                        <CircuitSymbol placed={one} />
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

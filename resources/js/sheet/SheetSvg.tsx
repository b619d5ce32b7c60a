import type { DrawnBlock, DrawnElement, DrawnSheet, PlugFace, SuspectShown } from '@/generated/props';
import CircuitSymbol, { Fan } from './CircuitSymbol';
import { arrowOf, path, ringOf, type Box, type Point } from './geometry';
import { doubts, placeLabels, placeLeads } from './labels';

export interface SheetProps {
    sheet: DrawnSheet;
    title: string;
    suspects?: SuspectShown[];
    red?: string | null;
    black?: string | null;
    volts?: boolean;
    onElement?: ((element: DrawnElement) => void) | undefined;
    /** Plugs at which the leads go, shown beside the whole sheet. */
    plugs?: PlugFace[] | undefined;
}

interface Props extends SheetProps {
    /** The part of the sheet that is seen. */
    seen: Box;
    /** Pixels of a sheet unit. */
    scale: number;
}

const SMALLEST = 12.4;

/** The drawing itself: lines, signs, marks on suspects, leads, and texts where there is room for them. */
export default function SheetSvg({
    sheet,
    title,
    suspects = [],
    red = null,
    black = null,
    volts = false,
    onElement,
    seen,
    scale,
}: Props) {
    const size = Math.max(14, SMALLEST / 0.88 / scale);
    const leads = placeLeads(sheet, red, black, size / 14);
    const labels = placeLabels(sheet, suspects, leads, volts, size, seen);
    const doubt = doubts(sheet, suspects);
    const ordered = [...sheet.elements].sort((a, b) => Number(a.live) - Number(b.live));
    return (
        <svg
            viewBox={`${seen.left} ${seen.top} ${seen.right - seen.left} ${seen.bottom - seen.top}`}
            role="img"
            aria-label={title}
            className="block h-full w-full"
            preserveAspectRatio="xMidYMid meet"
        >
            {sheet.blocks.map((block) => (
                <Block key={block.id} block={block} doubt={doubt.get(block.id) ?? 0} />
            ))}
            {ordered.map((element) => (
                <Element key={element.id} element={element} doubt={doubt.get(element.id) ?? 0} onPress={onElement} />
            ))}
            {sheet.signs.map((sign, n) =>
                sign.kind === 'ground' ? (
                    <path
                        key={n}
                        d={`M${sign.at[0] - 11} ${sign.at[1]}h22m-18 5h14m-11 5h8`}
                        stroke="var(--ink)"
                        strokeWidth="1.8"
                        fill="none"
                    />
                ) : (
                    <g key={n} transform={`translate(${sign.at[0]} ${sign.at[1]})`}>
                        <circle r="8" fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.8" />
                        <path d="M-4 0H4M0 -4V4" stroke="var(--ink)" strokeWidth="1.8" />
                    </g>
                ),
            )}
            {sheet.joints.map((joint, n) => (
                <circle
                    key={n}
                    cx={joint.at[0]}
                    cy={joint.at[1]}
                    r="3.6"
                    fill={joint.live ? 'var(--lake)' : 'var(--ink)'}
                />
            ))}
            {sheet.elements
                .filter((element) => element.flow !== 0)
                .map((element) => {
                    const arrow = arrowOf(element);
                    return arrow ? (
                        <path
                            key={element.id}
                            d="M5 0L-5 -6V6Z"
                            fill="var(--lake)"
                            transform={`translate(${arrow.at[0]} ${arrow.at[1]}) rotate(${arrow.angle})`}
                        />
                    ) : null;
                })}
            {leads.map((lead) => (
                <Lead key={lead.name} name={lead.name} tip={lead.tip} handle={lead.handle} size={size / 14} />
            ))}
            {labels.map((label) => (
                <text
                    key={label.key}
                    data-label={label.kind}
                    x={label.x}
                    y={label.y}
                    textAnchor={label.anchor}
                    fontSize={label.size}
                    fontWeight={label.kind === 'suspect' ? 600 : 500}
                    className={label.kind === 'volts' ? 'figure' : undefined}
                    fill={
                        label.kind === 'suspect' ? 'var(--bad)' : label.kind === 'volts' ? 'var(--lake)' : 'var(--ink)'
                    }
                >
                    {label.text}
                </text>
            ))}
        </svg>
    );
}

function Element({
    element,
    doubt,
    onPress,
}: {
    element: DrawnElement;
    doubt: number;
    onPress: SheetProps['onElement'];
}) {
    const { live, symbol } = element;
    const wires = (element.wires as Point[][]).map((wire) => path(wire, element.hops as Point[]));
    const isLine = symbol === 'wire' || symbol === 'jumper';
    return (
        <g onClick={onPress ? () => onPress(element) : undefined} className={onPress ? 'cursor-pointer' : undefined}>
            {onPress && wires.map((d) => <path key={d} d={d} fill="none" stroke="transparent" strokeWidth="22" />)}
            {doubt > 0.02 && !isLine && <Mark element={element} doubt={doubt} />}
            {doubt > 0.02 &&
                isLine &&
                wires.map((d) => (
                    <path
                        key={d}
                        d={d}
                        fill="none"
                        stroke="var(--bad)"
                        strokeOpacity={0.25 + 0.3 * doubt}
                        strokeWidth="11"
                        strokeLinecap="round"
                    />
                ))}
            {symbol !== 'contact' &&
                wires.map((d) => (
                    <path
                        key={d}
                        d={d}
                        fill="none"
                        stroke={live ? 'var(--lake)' : 'var(--ink)'}
                        strokeWidth={live ? 3.2 : 1.5}
                        strokeLinecap="round"
                        strokeLinejoin="round"
                        strokeDasharray={symbol === 'jumper' || symbol === 'lamp' ? '2 7' : undefined}
                    />
                ))}
            <CircuitSymbol element={element} />
        </g>
    );
}

function Mark({ element, doubt }: { element: DrawnElement; doubt: number }) {
    const { at, radius } = ringOf(element);
    return (
        <circle
            cx={at[0]}
            cy={at[1]}
            r={radius}
            fill="var(--bad)"
            fillOpacity={0.1 + 0.22 * doubt}
            stroke="var(--bad)"
            strokeWidth={0.8 + 1.6 * doubt}
            strokeDasharray={doubt < 0.2 ? '3 3' : undefined}
        />
    );
}

function Block({ block, doubt }: { block: DrawnBlock; doubt: number }) {
    const colour = block.live ? 'var(--lake)' : 'var(--ink)';
    const [x, y] = [block.left + block.width / 2, block.top + block.height / 2];
    const outline = {
        fill: doubt > 0.02 ? 'var(--bad)' : 'var(--paper)',
        fillOpacity: doubt > 0.02 ? 0.08 + 0.2 * doubt : 1,
        stroke: doubt > 0.02 ? 'var(--bad)' : colour,
        strokeWidth: block.live ? 2.6 : 1.8,
    };
    if (block.shape === 'pad') return null;
    const round = block.shape === 'motor' ? Math.min(26, block.width / 3) : 5;
    return (
        <g>
            <rect x={block.left} y={block.top} width={block.width} height={block.height} rx={round} {...outline} />
            {block.shape === 'motor' && (
                <g transform={`translate(${x} ${y})`}>
                    <Fan colour={colour} />
                </g>
            )}
        </g>
    );
}

function Lead({ name, tip, handle, size }: { name: 'A' | 'B'; tip: Point; handle: Point; size: number }) {
    const colour = name === 'A' ? '#a12d22' : '#14181b';
    return (
        <g data-lead={name}>
            <path
                d={`M${tip[0]} ${tip[1]}L${handle[0]} ${handle[1]}`}
                stroke={colour}
                strokeWidth="4"
                strokeLinecap="round"
            />
            <circle
                cx={handle[0]}
                cy={handle[1]}
                r={12 * size}
                fill={colour}
                stroke={name === 'B' ? 'var(--soft)' : 'var(--paper)'}
                strokeWidth="1.5"
            />
            <text
                x={handle[0]}
                y={handle[1] + 5 * size}
                textAnchor="middle"
                fontSize={14 * size}
                fontWeight="600"
                fill="#fff"
            >
                {name}
            </text>
        </g>
    );
}

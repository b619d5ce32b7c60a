import type { ReactNode } from 'react';
import Sign, { line, wheel } from '@/ui/Sign';

const board = <path d="M8 10h36v38H8zM14 18h10v8H14zM30 18h8M30 24h8M14 34h6M14 40h6M26 34h12v8H26z" {...line} />;
const arrow = <path d="M46 20h12M53 15l5 5l-5 5M58 38H46M51 33l-5 5l5 5" {...line} />;
const pack = (
    <path d="M6 46V22h34v24M12 22v-8M22 22v-8M32 22v-8M10 32q3 -6 6 0t6 0t6 0t6 0M10 41q3 -6 6 0t6 0t6 0" {...line} />
);

/** What each is worked on. */
const signs: Record<string, ReactNode> = {
    'battery-off': (
        <path d="M6 22h36v24H6zM12 22v-6h8v6M28 22v-6h8v6M12 34h8M28 34h8M32 30v8M48 12l10 10M58 12L48 22" {...line} />
    ),
    'bench-run': (
        <>
            {wheel(22, 26, 15)}
            <path d="M6 50h52M40 26h10v24" {...line} />
        </>
    ),
    'board-many-wires': (
        <>
            {board}
            <path d="M44 14h14M44 20h14M44 26h14M44 32h14M44 38h14M44 44h14" {...line} />
        </>
    ),
    'board-swap': (
        <>
            {board}
            {arrow}
        </>
    ),
    'cabin-blower-refit': (
        <>
            {wheel(24, 28, 17)}
            <path d="M52 6v30M45 29l7 7l7 -7M44 48h16" {...line} />
        </>
    ),
    'door-check': <path d="M6 12h52M6 48h20M38 48h20M32 48L50 26M50 14v8M46 18l4 4l4 -4" {...line} />,
    'flue-fan-clean': (
        <>
            {wheel(22, 36, 14)}
            <path d="M36 30h10V8M52 14l4 -4M52 24h6M52 34l4 4" {...line} />
        </>
    ),
    'module-rotation': (
        <>
            <path d="M18 20h28v20H18z" {...line} />
            <path
                d="M10 36a24 24 0 0 0 44 0M54 36l-7 2M54 36l2 7M54 22a24 24 0 0 0 -44 0M10 22l7 -2M10 22l-2 -7"
                {...line}
            />
        </>
    ),
    'module-splice': (
        <path d="M6 14h22v30H6zM28 20h8M28 29h8M28 38h8M36 16h10v26H36zM46 20h12M46 29h12M46 38h12" {...line} />
    ),
    'output-proof': <path d="M6 12h20v34H6zM26 29h12M38 20h14v18H38zM40 48l5 5l12 -12" {...line} />,
    'pack-swap': (
        <>
            {pack}
            {arrow}
        </>
    ),
    'radiator-fan-swap': (
        <>
            <path d="M4 8h38v42H4zM10 8v42M36 8v42" {...line} />
            {wheel(23, 29, 10)}
            {arrow}
        </>
    ),
    're-learn': <path d="M8 18h26v22H8zM14 25h14M14 33h8M40 20a14 14 0 1 1 0 20M40 40v-8M40 40h8" {...line} />,
    'sequencer-conversion': (
        <path d="M6 14h16v30H6zM22 20h10v18h10M42 12h16v14H42zM42 32h16v14H42zM32 20h10" {...line} />
    ),
    'stored-charge': <path d="M4 30h14M18 14v32M28 14v32M28 30h8M46 14a14 14 0 1 1 -1 0M46 20v8l6 4" {...line} />,
    'supply-commissioning': (
        <path d="M6 16h30v28H6zM12 24h18v8H12zM36 22h10M36 38h10M46 18v24M52 24l4 4l4 -8" {...line} />
    ),
    'tap-change': (
        <path d="M8 8v42M8 14h14M8 24h14M8 34h14M8 44h14M22 24h20v10M37 29l5 5l5 -5M50 34h8M50 44h8" {...line} />
    ),
    'wheel-and-motor': (
        <>
            {wheel(20, 29, 15)}
            <path d="M35 29h8M43 18h15v22H43z" {...line} />
        </>
    ),
    'wiper-park': <path d="M6 46q26 -40 52 0M32 48H12M12 48v-5M32 48L50 24" {...line} />,
};

const list = <path d="M12 14h6M24 14h30M12 29h6M24 29h30M12 44h6M24 44h22" {...line} />;

export default function ProcedureSign({ procedure }: { procedure: string }) {
    return <Sign>{signs[procedure] ?? list}</Sign>;
}

import type { ReactNode } from 'react';
import Sign, { line, wheel } from '@/ui/Sign';

const axes = <path d="M8 6v44h50" {...line} />;
const dot = (x: number, y: number) => <circle cx={x} cy={y} r="3.5" fill="currentColor" />;

/** What each answers, in small. */
const signs: Record<string, ReactNode> = {
    airflow: (
        <>
            {axes}
            <path d="M8 14q26 2 42 32M8 50q24 -2 44 -34" {...line} />
            {dot(32, 39)}
        </>
    ),
    'battery-drain': <path d="M6 22h30v24H6zM12 22v-5h6v5M24 22v-5h6v5M42 14l4 14l4 2l8 18M52 48h6v-6" {...line} />,
    'bench-supply': (
        <path d="M6 16h30v28H6zM12 24h18v8H12zM36 20h22M36 26h22M36 32h22M36 38h22M12 38h4M22 38h4" {...line} />
    ),
    'bench-runs': (
        <>
            {wheel(18, 30, 13)}
            <path d="M36 12v34h22M38 42q10 -4 18 -26" {...line} />
        </>
    ),
    capacitor: <path d="M6 30h20M38 30h20M26 14v32M38 14v32M46 14h12M52 8v12" {...line} />,
    'feedback-pulses': <path d="M6 44h8V16h10v28h10V16h10v28h10V16h6M14 52h20M14 49v6M34 49v6" {...line} />,
    'heat-cycle': <path d="M8 8v42h50M14 16h18M24 26h26M14 36h12M36 36h16" {...line} strokeWidth={4} />,
    'motor-tester': <path d="M32 8v40M16 50h32M10 16h44M10 16l-6 14h12zM54 16l-6 14h12z" {...line} />,
    'pack-rebuild': <path d="M4 18h6q3 -8 6 0t6 0t6 0t6 0t6 0t6 0h12M4 42h6q3 -8 6 0t6 0t6 0h26M58 18v24" {...line} />,
    'phase-balance': <path d="M32 32V6M28 10l4 -4l4 4M32 32l22 14M48 46h6v-6M32 32L10 46M10 40v6h6" {...line} />,
    'pin-matrix': (
        <>
            <path d="M10 8h44v42H10zM10 22h44M10 36h44M25 8v42M39 8v42" {...line} />
            {dot(32, 29)}
            {dot(17, 43)}
        </>
    ),
    'source-resistance': (
        <>
            {axes}
            <path d="M8 14l46 22M20 20v30M44 31v19" {...line} />
            {dot(20, 20)}
            {dot(44, 31)}
        </>
    ),
    'temperature-rise': (
        <path
            d="M16 10a5 5 0 0 1 10 0v24a9 9 0 1 1 -10 0zM21 20v20M42 50V10M36 17l6 -7l6 7M54 50h-6M54 30h-6"
            {...line}
        />
    ),
    'wire-and-splice': <path d="M4 30h16M44 30h16M20 24h24v12H20zM26 24v12M38 24v12M8 27v6M56 27v6" {...line} />,
};

export default function PlannerSign({ planner }: { planner: string }) {
    return <Sign>{signs[planner] ?? axes}</Sign>;
}

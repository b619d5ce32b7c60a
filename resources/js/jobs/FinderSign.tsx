import type { ReactNode } from 'react';
import Sign, { line, wheel } from '@/ui/Sign';

const signs: Record<string, ReactNode> = {
    battery: <path d="M8 16h48v26H8zM16 16v-6h8v6M40 16v-6h8v6M17 29h8M39 29h8M43 25v8" {...line} />,
    mains: <path d="M8 30L32 10L56 30M14 26v24h36V26M24 40q4 -9 8 0q4 9 8 0" {...line} />,
    blower: wheel(32, 30, 20),
    radiator: (
        <>
            <path d="M6 10h52v40H6zM14 10v40M50 10v40" {...line} />
            {wheel(32, 30, 14)}
        </>
    ),
    wiper: <path d="M6 46q26 -40 52 0M32 48L48 22M40 18l12 7" {...line} />,
    door: <path d="M6 12h52M6 48h20M38 48h20M32 12v6M32 48L50 26M14 30h10m-4 -4l4 4l-4 4" {...line} />,
    pack: (
        <path
            d="M8 50V20h48v30M16 20v-8M28 20v-8M40 20v-8M52 20v-8M14 32q3 -6 6 0t6 0t6 0t6 0t6 0t6 0M14 42q3 -6 6 0t6 0t6 0t6 0t6 0t6 0"
            {...line}
        />
    ),
    module: (
        <path d="M10 26h44v22H10zM14 26V12M22 26V12M30 26V12M38 26V12M46 26V12M20 48v6M30 48v6M44 48v6" {...line} />
    ),
    two: <path d="M8 30h30M38 22h14v16H38zM16 20v20M26 24v12" {...line} />,
    many: <path d="M8 30h24M32 20h18v20H32zM12 22v16M17 24v12M22 26v8M27 28v4M38 26h6v8h-6z" {...line} />,
    five: <path d="M8 14h30v32H8zM38 18h18M38 24h18M38 30h18M38 36h18M38 42h18" {...line} />,
    flue: (
        <>
            {wheel(24, 36, 15)}
            <path d="M38 30h10V8M58 8H44" {...line} />
        </>
    ),
    contactor: (
        <path
            d="M8 14h20v32H8zM12 22q6 -6 12 0M12 30q6 -6 12 0M12 38q6 -6 12 0M38 12v10l8 14v12M54 12v10M54 38v10"
            {...line}
        />
    ),
    capacitor: <path d="M18 16q14 -8 28 0v32q-14 8 -28 0zM18 16q14 8 28 0M26 10V4M38 10V4" {...line} />,
    electronics: (
        <>
            {wheel(22, 30, 15)}
            <path d="M38 14h18v32H38zM44 22h6M44 30h6M44 38h6" {...line} />
        </>
    ),
};

/** A small drawing of something that is seen at a machine. */
export default function FinderSign({ sign }: { sign: string }) {
    return <Sign>{signs[sign]}</Sign>;
}

import type { DrawnSheet, Symbol as Sign } from '@/generated/props';
import CircuitSymbol from './CircuitSymbol';

const words: Record<Sign, string> = {
    wire: 'wire; apart where it was taken off',
    resistor: 'resistor, or the input of a module',
    fuse: 'fuse or breaker',
    contact: 'pad of the selector',
    relay: 'contact',
    plug: 'plug; apart where it was pulled',
    motor: 'motor with its wheel',
    battery: 'battery or supply',
    coil: 'relay coil',
    module: 'electronic stage',
    signal: 'what sends the command',
    mains: 'line voltage',
    transformer: 'transformer',
    vacuum: 'source of vacuum',
    tank: 'vacuum tank',
    'one-way': 'one-way valve',
    diaphragm: 'diaphragm of a door',
    winding: 'winding',
    capacitor: 'capacitor',
    jumper: 'jumper, laid for this test',
    lamp: 'test lamp, laid for this test',
};

const halves: Partial<Record<Sign, number>> = {
    wire: 0,
    jumper: 0,
    contact: 14,
    plug: 6,
    battery: 5,
    capacitor: 5,
    relay: 9,
    'one-way': 9,
    fuse: 14,
    coil: 14,
    signal: 13,
    mains: 13,
    lamp: 13,
};

/** What the signs of a sheet mean. */
export default function Legend({ sheet }: { sheet: DrawnSheet }) {
    const used = [...new Set(sheet.elements.map((element) => element.symbol))];
    return (
        <details className="border-t border-rule px-3">
            <summary className="flex min-h-11 cursor-pointer items-center font-medium text-lake">
                What the signs mean
            </summary>
            <ul className="grid max-h-[40vh] grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] gap-x-4 overflow-y-auto pb-2">
                <li className="flex items-center gap-2">
                    <svg viewBox="0 0 60 36" className="h-9 w-15" aria-hidden="true">
                        <path d="M4 18H56" stroke="var(--lake)" strokeWidth="3.2" />
                        <path d="M36 18L26 12V24Z" fill="var(--lake)" />
                    </svg>
                    current when nothing is wrong, and its direction
                </li>
                {used.map((symbol) => {
                    const half = halves[symbol] ?? 17;
                    const line = symbol === 'wire' || symbol === 'jumper';
                    return (
                        <li key={symbol} className="flex items-center gap-2">
                            <svg viewBox="0 0 60 36" className="h-9 w-15" aria-hidden="true">
                                <path
                                    d={line ? 'M4 18H56' : `M4 18H${30 - half}M${30 + half} 18H56`}
                                    stroke="var(--ink)"
                                    strokeWidth="1.5"
                                    strokeDasharray={symbol === 'jumper' ? '2 5' : undefined}
                                />
                                <CircuitSymbol
                                    element={{
                                        symbol,
                                        at: [30, 18],
                                        angle: 0,
                                        half,
                                        live: false,
                                        open: symbol === 'relay',
                                        wires: [
                                            [
                                                [4, 18],
                                                [56, 18],
                                            ],
                                        ],
                                    }}
                                />
                            </svg>
                            {words[symbol]}
                        </li>
                    );
                })}
            </ul>
        </details>
    );
}

import { useRef, type KeyboardEvent } from 'react';
import { letterOf, stateKeys } from '@/jobs/states';
import type { Cell, SpeedState } from '@/generated/props';

interface Props {
    cells: Cell[];
    states: Record<string, SpeedState | undefined>;
    onChange: (states: Record<string, SpeedState | undefined>) => void;
    legend: string;
    error?: string | undefined;
}

/** Step through the selector: one column a position, a letter or a tap a state. */
export default function SpeedMapEntry({ cells, states, onChange, legend, error }: Props) {
    const columns = useRef<(HTMLDivElement | null)[]>([]);
    const focusColumn = (index: number) => {
        const column = columns.current[index];
        const button =
            column?.querySelector<HTMLButtonElement>('button[aria-pressed="true"]') ?? column?.querySelector('button');
        button?.focus();
    };
    const set = (index: number, state: SpeedState) => {
        const cell = cells[index];
        if (!cell) return;
        onChange({ ...states, [cell.key]: states[cell.key] === state ? undefined : state });
    };
    const onKeyDown = (event: KeyboardEvent, index: number) => {
        const cell = cells[index];
        if (!cell || event.altKey || event.ctrlKey || event.metaKey) return;
        if (event.key === 'ArrowRight' || event.key === 'ArrowLeft') {
            event.preventDefault();
            focusColumn(index + (event.key === 'ArrowRight' ? 1 : -1));
            return;
        }
        const state = stateKeys[event.key.toLowerCase()];
        if (state && cell.states.some((one) => one.value === state)) {
            event.preventDefault();
            onChange({ ...states, [cell.key]: state });
            focusColumn(index + 1);
        }
    };
    return (
        <fieldset className="min-w-0">
            <legend className="mb-1 font-medium">{legend}</legend>
            <p className="mb-2 text-[0.9rem] text-soft">
                Tap, or type the letter and move on. Arrow keys go from position to position.
            </p>
            <div className="flex gap-1.5 pb-1 max-md:flex-col">
                {cells.map((cell, index) => (
                    <div
                        key={cell.key}
                        ref={(node) => {
                            columns.current[index] = node;
                        }}
                        role="group"
                        data-position={cell.key}
                        aria-label={
                            cell.label === '0' ? 'off' : /^\d/.test(cell.label) ? `position ${cell.label}` : cell.label
                        }
                        onKeyDown={(event) => onKeyDown(event, index)}
                        className="flex min-w-0 flex-1 flex-col gap-1 border-t-2 border-ink bg-sheet p-1.5 max-md:flex-row max-md:flex-wrap max-md:items-center"
                    >
                        <p className="figure text-center font-medium max-md:w-full max-md:text-left">{cell.label}</p>
                        {cell.states.map(({ value: state, label }) => (
                            <button
                                key={state}
                                type="button"
                                data-answer={state}
                                aria-pressed={states[cell.key] === state}
                                aria-keyshortcuts={letterOf(state)}
                                onClick={() => set(index, state)}
                                className={`min-h-11 rounded-[4px] border px-1 text-[0.95rem] max-md:px-2.5 ${states[cell.key] === state ? 'border-ink bg-ink font-semibold text-paper' : 'border-soft/40 hover:border-ink'}`}
                            >
                                {label}{' '}
                                <span
                                    aria-hidden="true"
                                    className={`text-[0.75rem] ${states[cell.key] === state ? '' : 'text-soft'}`}
                                >
                                    {letterOf(state)}
                                </span>
                            </button>
                        ))}
                    </div>
                ))}
            </div>
            {error && (
                <p role="alert" className="mt-1 font-medium text-bad">
                    {error}
                </p>
            )}
        </fieldset>
    );
}

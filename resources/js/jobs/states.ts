import type { StripCell, SpeedState } from '@/generated/props';

export const stateKeys: Record<string, SpeedState> = {
    r: 'right',
    s: 'slow',
    f: 'fast',
    d: 'dead',
    c: 'cuts-out',
    n: 'runs',
    y: 'stays',
    o: 'overruns',
};

const letters = Object.fromEntries(Object.entries(stateKeys).map(([letter, state]) => [state, letter.toUpperCase()]));

export function letterOf(state: SpeedState): string {
    return letters[state] ?? '';
}

/** What a state is called in a cell. */
export function wordFor(state: SpeedState, cell: Pick<StripCell, 'states'>): string {
    return cell.states.find((one) => one.value === state)?.label ?? state;
}

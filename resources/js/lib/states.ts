import type { State } from './types';

/** Words and keys of the states; which of them fit a position depends on whether the fan should run there. */
export const stateWords: Record<State, string> = {
    right: 'right',
    slow: 'too slow',
    fast: 'too fast',
    dead: 'dead',
    'cuts-out': 'cuts out',
    runs: 'runs on',
};

export const runningStates: State[] = ['right', 'slow', 'fast', 'dead', 'cuts-out'];
export const standingStates: State[] = ['right', 'runs'];

export const stateKeys: Record<string, State> = { r: 'right', s: 'slow', f: 'fast', d: 'dead', c: 'cuts-out', n: 'runs' };

export function wordFor(state: State, runs: boolean): string {
    return state === 'right' && !runs ? 'off, right' : stateWords[state];
}

import { person } from './person';
import { store, type Entry } from './store';

/** What stands in the outbox of the person who works here. */
export interface Standing {
    entries: Entry[];
    /** Whether the server was out of reach when it was asked last. */
    away: boolean;
    /** Whether somebody has to sign in before it goes on. */
    signedOut: boolean;
}

let standing: Standing = { entries: [], away: false, signedOut: false };
const listeners = new Set<() => void>();

export const outbox = {
    subscribe: (listener: () => void) => {
        listeners.add(listener);
        return () => listeners.delete(listener);
    },
    now: (): Standing => standing,
};

function tell(change: Partial<Standing>): void {
    standing = { ...standing, ...change };
    listeners.forEach((listener) => listener());
}

export function reached(away: boolean, signedOut = false): void {
    if (away !== standing.away || signedOut !== standing.signedOut) tell({ away, signedOut });
}

/** Reads what stands on the device anew. */
export async function refresh(): Promise<void> {
    tell({ entries: await mine() });
    channel?.postMessage('changed');
}

// Other tabs of this browser show the same.
const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('ispira-outbox');
channel?.addEventListener('message', () => {
    void mine().then((entries) => tell({ entries }));
});

/** What is sent again with the same id, because a button was pressed twice, is the same entry with what stands in it now. */
export async function add(entry: Omit<Entry, 'seq'>): Promise<Entry> {
    const id = idOf(entry);
    const same = id === null ? undefined : (await waiting()).find((one) => one.url === entry.url && idOf(one) === id);
    const seq = await (await store()).put('outbox', (same ? { ...entry, seq: same.seq } : entry) as Entry);
    await refresh();
    return { ...entry, seq };
}

function idOf(entry: Omit<Entry, 'seq'>): string | null {
    if (typeof entry.body !== 'string' || entry.body === '') return null;
    const { id } = JSON.parse(entry.body) as { id?: unknown };
    return typeof id === 'string' ? id : null;
}

export async function remove(seq: number): Promise<void> {
    await (await store()).delete('outbox', seq);
    await refresh();
}

export async function refuse(entry: Entry, why: string): Promise<void> {
    await (await store()).put('outbox', { ...entry, state: 'refused', why });
    await refresh();
}

/** What waits, in the order in which it was entered. */
export async function waiting(job?: string): Promise<Entry[]> {
    return (await mine()).filter((entry) => entry.state === 'waiting' && (job === undefined || entry.job === job));
}

/** What the copy of a job does not know yet. */
export async function since(job: string): Promise<Entry[]> {
    return (await mine()).filter((entry) => entry.state !== 'refused' && entry.job === job);
}

/** The server has it. Where its job was taken along, it stays until the copy is a new one. */
export async function taken(entry: Entry, stays: boolean): Promise<void> {
    if (!stays) return remove(entry.seq);
    await (await store()).put('outbox', { ...entry, state: 'sent' });
    await refresh();
}

/** Forgets what was sent of a job: its copy knows of it. */
export async function forgetSent(sent: Entry[]): Promise<void> {
    const db = await store();
    await Promise.all(sent.map((entry) => db.delete('outbox', entry.seq)));
    await refresh();
}

/** All that stands here of the person who works here. */
export async function mine(): Promise<Entry[]> {
    const me = person();
    if (me === null) return [];
    try {
        return await (await store()).getAllFromIndex('outbox', 'person', me);
    } catch {
        // A browser that may keep nothing has nothing in it.
        return [];
    }
}

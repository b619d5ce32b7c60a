import { useSyncExternalStore } from 'react';
import { outbox, type Standing } from './outbox';

/** What stands in the outbox, as it changes. */
export function useOutbox(): Standing {
    return useSyncExternalStore(outbox.subscribe, outbox.now);
}

import { router } from '@inertiajs/react';
import { ulid } from 'ulid';

/** Sends one thing that was done in an exercise; what is refused stands in the errors of the page. */
export function act(job: string, kind: string, given: Record<string, string | boolean | Record<string, number>> = {}) {
    router.post(
        `/jobs/${job}/practice-acts`,
        { id: ulid(), kind, ...given },
        { preserveState: true, preserveScroll: true },
    );
}

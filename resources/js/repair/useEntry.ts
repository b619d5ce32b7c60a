import { router } from '@inertiajs/react';
import { useRef, useState } from 'react';
import { ulid } from 'ulid';

type Value = string | number | boolean | null | undefined;

/** Notes something of a repair. The same press twice is the same entry. */
export function useEntry(job: string) {
    const id = useRef(ulid());
    const [sending, setSending] = useState(false);
    const note = (kind: string, data: Record<string, Value>, after?: () => void) => {
        setSending(true);
        router.post(
            `/jobs/${job}/entries`,
            { id: id.current, kind, data: data as Record<string, string> },
            {
                preserveState: true,
                preserveScroll: true,
                onSuccess: () => {
                    id.current = ulid();
                    after?.();
                },
                onFinish: () => setSending(false),
            },
        );
    };
    return { note, sending };
}

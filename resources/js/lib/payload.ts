import type { router } from '@inertiajs/react';

type Payload = NonNullable<Parameters<typeof router.post>[1]>;

/** What a form sends, where it holds maps of values. */
export function payload(data: object): Payload {
    return data as Payload;
}

/** A field of an entry as text; nothing where it is not noted. */
export function word(value: unknown): string {
    return typeof value === 'string' || typeof value === 'number' ? String(value) : '';
}

import { useForm } from '@inertiajs/react';
import { useRef, type ChangeEvent } from 'react';
import { ulid } from 'ulid';

type Draft = Record<string, string | boolean>;

type Typed = ChangeEvent<HTMLInputElement | HTMLSelectElement>;

/**
 * A form that notes one thing of a repair. It is empty again once that is noted, but for what `stays`; what is wrong
 * stands at its own fields. The same press twice is the same entry.
 */
export function useEntryForm<T extends Draft>(job: string, kind: string, none: T, stays: (keyof T)[] = []) {
    const id = useRef(ulid());
    const form = useForm<Draft>(none);
    const draft = form.data as T;
    const errors = form.errors as Record<string, string | undefined>;
    const set = (change: Partial<T>) => form.setData((old) => ({ ...old, ...change }));
    return {
        draft,
        errors,
        set,
        sending: form.processing,
        field: (key: keyof T & string) => ({
            value: String(draft[key]),
            onChange: (event: Typed) => set({ [key]: event.target.value } as Partial<T>),
            error: errors[key],
        }),
        tick: (key: keyof T & string) => ({
            checked: draft[key] === true,
            onChange: (checked: boolean) => set({ [key]: checked } as Partial<T>),
        }),
        /** Sends the draft, with what is known beside it. */
        send: (
            event: { preventDefault: () => void },
            beside: Record<string, string | number> = {},
            after?: () => void,
        ) => {
            event.preventDefault();
            form.transform((data) => ({ id: id.current, kind, data: { ...data, ...beside } }));
            form.post(`/jobs/${job}/entries`, {
                preserveState: true,
                preserveScroll: true,
                onSuccess: () => {
                    id.current = ulid();
                    const kept = Object.fromEntries(stays.map((key) => [key, draft[key]]));
                    form.setData({ ...none, ...kept } as Draft);
                    after?.();
                },
            });
        },
    };
}

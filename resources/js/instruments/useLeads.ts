import { useForm } from '@inertiajs/react';

/** What the leads have, measured once a session and taken off of every resistance. */
export function useLeads(done?: () => void) {
    const form = useForm({ ohms: '' });
    return {
        typed: form.data.ohms,
        type: (ohms: string) => form.setData('ohms', ohms),
        error: form.errors.ohms,
        /** Takes so many ohms off from now on; nothing where it is empty. */
        take: (ohms: string) => {
            form.transform(() => ({ ohms }));
            form.post('/leads', {
                preserveScroll: true,
                preserveState: true,
                onSuccess: () => {
                    form.reset();
                    done?.();
                },
            });
        },
    };
}

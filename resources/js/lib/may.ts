import { usePage } from '@inertiajs/react';
import type { Ability } from '@/generated/props';
import type { Shared } from '@/lib/page';

/** Whether the person who is signed in may do something: what is not allowed is not offered. */
export function useMay(ability: Ability): boolean {
    return usePage<Shared>().props.user?.may.includes(ability) ?? false;
}

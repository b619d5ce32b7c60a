import type { SignedIn } from '@/generated/props';

/** What every page is sent beside its own. */
export interface Shared {
    user: SignedIn | null;
    notice: string | null;
    /** Messages by field. */
    errors: Record<string, string>;
    [key: string]: unknown;
}

/** What stands in the fields of a form that a family or a planner declares. */
export type Parameters = Record<string, string | number | number[] | string[] | null | undefined>;

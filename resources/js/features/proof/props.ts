import type {
    CheckShown,
    Ending,
    EntryShown,
    JobHead,
    KeptPlan,
    OpenItem,
    PlannerHead,
    ReadingShown,
    ReplacementShown,
    Shared,
    Strip,
} from '@/lib/types';

/** What the proof page is sent. */
export interface ProofProps extends Shared {
    job: JobHead;
    strip: Strip;
    replacements: ReplacementShown[];
    readings: ReadingShown[];
    open: boolean;
    machine: boolean;
    proved: boolean;
    checks: CheckShown[];
    outcomes: { value: Ending; needsReason: boolean; needsDay: boolean; needsName: boolean }[];
    never: string;
    passes: number | null;
    stillOpen: OpenItem[];
    settled: { what: string; who: string; how: string; at: string | null }[];
    adjusts: { value: string; label: string }[];
    adjusted: EntryShown[];
    loans: EntryShown[];
    closing: EntryShown[];
    planners: PlannerHead[];
    plans: KeptPlan[];
}

/** How a job may end, in words. */
export const endings: Record<Ending, { choice: string; heading: string }> = {
    repaired: { choice: 'Repaired', heading: 'Repaired. Every position is right.' },
    temporary: { choice: 'Temporary', heading: 'Temporary. Every position is right for now.' },
    'not-repaired': { choice: 'Not repaired', heading: 'Not repaired.' },
    'proven-good': { choice: 'Proven good, back in service', heading: 'Proven good, and back in service.' },
    adjusted: { choice: 'Adjusted', heading: 'Adjusted. Every position is right.' },
    advised: { choice: 'Advised', heading: 'Advised.' },
    watched: { choice: 'Repaired, to be watched', heading: 'Repaired as far as can be told, to be watched.' },
    'not-in-service': { choice: 'Not in service', heading: 'Not in service. It must not be switched on.' },
    'handed-over': {
        choice: 'Handed to a licensed person',
        heading: 'Not in service until a licensed person has proved it safe.',
    },
};

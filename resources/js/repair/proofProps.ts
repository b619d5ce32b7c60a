import type { JobOutcome, ProofPage } from '@/generated/props';
import type { Shared } from '@/lib/page';

export type ProofProps = ProofPage & Shared;

/** How a job may end, in words. */
export const endings: Record<JobOutcome, { choice: string; heading: string }> = {
    repaired: { choice: 'Repaired', heading: 'Repaired. Every position is right.' },
    temporary: { choice: 'Temporary', heading: 'Temporary. Every position is right for now.' },
    cancelled: { choice: 'Cancelled', heading: 'Cancelled.' },
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

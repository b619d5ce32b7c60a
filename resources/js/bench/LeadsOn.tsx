import { Link } from '@inertiajs/react';
import type { LeadOn } from '@/generated/props';

/** Suspects that belong to another circuit of the same machine: the job goes on there, with all that is known. */
export default function LeadsOn({ leads }: { leads: LeadOn[] }) {
    return leads.map((lead) => (
        <p key={lead.href} className="mt-2">
            <Link
                href={lead.href}
                className="inline-flex min-h-11 items-center rounded-[4px] border border-ink bg-sheet px-4 font-medium"
            >
                Go on there: {lead.family}
            </Link>
        </p>
    ));
}

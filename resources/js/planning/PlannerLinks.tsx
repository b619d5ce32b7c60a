import { Link } from '@inertiajs/react';
import type { PlannerHead } from '@/generated/props';

/** Planners that a job may need, each opened with what the job knows. */
export default function PlannerLinks({ job, planners }: { job: string; planners: PlannerHead[] }) {
    return planners.map((planner) => (
        <Link
            key={planner.key}
            href={`/planners/${planner.key}?job=${job}`}
            className="inline-flex min-h-11 items-center text-lake underline underline-offset-4"
        >
            {planner.name}
        </Link>
    ));
}

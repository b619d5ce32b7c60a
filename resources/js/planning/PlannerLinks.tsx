import type { PlannerHead } from '@/generated/props';
import TextLink from '@/ui/TextLink';

/** Planners that a job may need, each opened with what the job knows. */
export default function PlannerLinks({ job, planners }: { job: string; planners: PlannerHead[] }) {
    return planners.map((planner) => (
        <TextLink key={planner.key} href={`/planners/${planner.key}?job=${job}`}>
            {planner.name}
        </TextLink>
    ));
}

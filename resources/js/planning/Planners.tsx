import { usePage } from '@inertiajs/react';
import type { PlannerHead, PlannersPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

type Props = PlannersPage & Shared;

function Entry({ planner }: { planner: PlannerHead }) {
    return (
        <li className="border-t border-rule py-3">
            <TextLink className="text-lg font-semibold" href={`/planners/${planner.key}`}>
                {planner.name}
            </TextLink>
            <p>{planner.summary}</p>
        </li>
    );
}

/** What can be worked out before anything is moved or switched on. */
export default function Planners() {
    const { planners } = usePage<Props>().props;
    return (
        <Frame title="Planners">
            <div className="mx-auto max-w-[900px] px-5 py-6">
                <h1 className="text-[1.8rem] leading-none font-semibold">Planners</h1>
                <p className="mt-2 text-soft">
                    Worked out before anything is moved or switched on. What you enter stands in the address: keep it,
                    or send it.
                </p>
                <ul className="mt-5 border-b border-rule">
                    {planners
                        .filter((planner) => !planner.measures)
                        .map((planner) => (
                            <Entry key={planner.key} planner={planner} />
                        ))}
                    <li className="border-t border-rule py-3">
                        <TextLink className="text-lg font-semibold" href="/bench-runs">
                            Bench runs of five-wire motors
                        </TextLink>
                        <p>
                            What a motor did alone on the bench supply, whether it is good, and the reference curve of
                            each model.
                        </p>
                    </li>
                </ul>
                <h2 className="mt-8 text-[1.3rem] font-semibold">Worksheets</h2>
                <p className="text-soft">
                    Several readings make one value. Opened from the bench, the value goes into the job.
                </p>
                <ul className="mt-3 border-b border-rule">
                    {planners
                        .filter((planner) => planner.measures)
                        .map((planner) => (
                            <Entry key={planner.key} planner={planner} />
                        ))}
                </ul>
            </div>
        </Frame>
    );
}

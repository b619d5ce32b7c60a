import { usePage } from '@inertiajs/react';
import { day } from '@/lib/format';
import type { PlannerHead, PlannersPage, PlannerUsed } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';
import PlannerSign from './PlannerSign';

type Props = PlannersPage & Shared;

function Entry({ planner, used }: { planner: PlannerHead; used: PlannerUsed | undefined }) {
    return (
        <li className="flex gap-4 border-t border-rule py-3">
            <PlannerSign planner={planner.key} />
            <div className="min-w-0">
                <TextLink className="text-lg font-semibold" href={`/planners/${planner.key}`}>
                    {planner.name}
                </TextLink>
                <p>{planner.summary}</p>
                {used && (
                    <p className="text-[0.92rem] text-soft">
                        Last: <TextLink href={used.last.href}>{used.job}</TextLink>
                        {used.last.at && `, ${day(used.last.at)}`}. {used.last.said[0]}
                        {used.jobs > 1 && ` Kept in ${used.jobs} jobs.`}
                    </p>
                )}
            </div>
        </li>
    );
}

/** What can be worked out before anything is moved or switched on. */
export default function Planners() {
    const { planners, used } = usePage<Props>().props;
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
                            <Entry key={planner.key} planner={planner} used={used[planner.key]} />
                        ))}
                    <li className="flex gap-4 border-t border-rule py-3">
                        <PlannerSign planner="bench-runs" />
                        <div className="min-w-0">
                            <TextLink className="text-lg font-semibold" href="/bench-runs">
                                Bench runs of five-wire motors
                            </TextLink>
                            <p>
                                What a motor did alone on the bench supply, whether it is good, and the reference curve
                                of each model.
                            </p>
                        </div>
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
                            <Entry key={planner.key} planner={planner} used={used[planner.key]} />
                        ))}
                </ul>
            </div>
        </Frame>
    );
}

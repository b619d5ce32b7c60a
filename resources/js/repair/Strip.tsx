import { usePage } from '@inertiajs/react';
import type { StripPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import AsFound from '@/repair/AsFound';
import Dismantle from '@/repair/Dismantle';
import KitList from '@/repair/KitList';
import PutBack from '@/repair/PutBack';
import RepairNav from '@/repair/RepairNav';
import Tray from '@/repair/Tray';
import Frame from '@/ui/Frame';

type Props = StripPage & Shared;

export default function Strip() {
    const { job, open, found, kit, down, steps, leftOver, missingBefore, minutes, route, tray } =
        usePage<Props>().props;
    const up = [...steps].reverse();
    const next = up.find((step) => !step.done);
    return (
        <Frame title={`Strip-down ${job.number}`} job={job} here="remedy">
            <RepairNav job={job.id} here="strip" />
            <div className="mx-auto max-w-[1240px] px-5 py-5">
                <p className="mb-4 border-l-4 border-warn bg-caution px-3 py-1.5 font-medium">
                    Before a hand goes in: isolated, locked off and proved dead; stored charge measured; fans cannot
                    start. Near airbags the battery is off, with the maker's wait.
                </p>
                {route && (
                    <p className="mb-4 border-l-4 border-lake pl-3">
                        The route that worked on this model: {route.job}, {route.steps.length} steps
                        {route.minutes !== null && `, ${Math.round(route.minutes)} min`}
                        {route.jobs > 1 &&
                            route.mean !== null &&
                            `; ${route.jobs} jobs took ${Math.round(route.mean)} min on average`}
                        . It may not be possible here.
                    </p>
                )}
                <div className="grid gap-10 lg:grid-cols-2">
                    <AsFound job={job.id} open={open} found={found} />
                    <KitList job={job.id} open={open} kit={kit} route={route} />
                </div>
                <div className="mt-8 grid gap-10 lg:grid-cols-[1.35fr_1fr]">
                    <Dismantle job={job.id} open={open} down={down} steps={steps} route={route} />
                    <section aria-label="Back together">
                        <h2 className="text-lg font-semibold">Back together, in reverse</h2>
                        <p className="text-soft">
                            {leftOver === 0
                                ? down.length === 0
                                    ? 'The list turns round once something is off.'
                                    : 'Nothing is left over.'
                                : `${leftOver} still to go back.`}
                            {missingBefore > 0 &&
                                ` ${missingBefore} ${missingBefore === 1 ? 'was' : 'were'} missing before, and ${missingBefore === 1 ? 'belongs' : 'belong'} there too.`}
                            {minutes !== null && ` Taken apart in ${Math.round(minutes)} min.`}
                        </p>
                        <ol className="border-b border-rule">
                            {up.map((step) => (
                                <PutBack
                                    key={`${step.id}-${step.left}-${String(step.done)}`}
                                    job={job.id}
                                    open={open}
                                    step={step}
                                    next={step.id === next?.id}
                                />
                            ))}
                        </ol>
                        <Tray places={tray} />
                    </section>
                </div>
            </div>
        </Frame>
    );
}

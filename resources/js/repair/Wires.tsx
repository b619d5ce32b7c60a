import { usePage } from '@inertiajs/react';
import type { WiresPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Plugs from '@/repair/Plugs';
import RepairNav from '@/repair/RepairNav';
import SwitchSettings from '@/repair/SwitchSettings';
import WireTransfer from '@/repair/WireTransfer';
import Frame from '@/ui/Frame';

type Props = WiresPage & Shared;

export default function Wires() {
    const { job, undone } = usePage<Props>().props;
    return (
        <Frame title={`Wires ${job.number}`} job={job} here="remedy">
            <RepairNav job={job.id} here="wires" />
            <div className="mx-auto flex max-w-[1240px] flex-col gap-9 px-5 py-5">
                <p className="border-l-4 border-warn bg-caution px-3 py-1.5 font-medium">
                    Power off and proved dead before a wire moves. A splice is rated for the fuse in front of it: the
                    planner "Wire, splice and fuse" says so or refuses.
                </p>
                <WireTransfer />
                <SwitchSettings />
                <Plugs />
                {undone.length > 0 && <p role="status">Still to be done: {undone.join('; ')}.</p>}
            </div>
        </Frame>
    );
}

import { usePage } from '@inertiajs/react';
import { useEffect, useState } from 'react';
import type { JobHead } from '@/generated/props';
import { clock, day } from '@/lib/format';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import { leaveHere, takeAlong } from './along';
import { kept } from './kept';

type State = { is: 'unknown' } | { is: 'here' } | { is: 'taking'; words: string } | { is: 'along'; at: string };

/** Takes a job to where there is no signal: its drawing, its tests, and the engine that weighs them. */
export default function TakeAlong({ job }: { job: JobHead }) {
    const { user } = usePage<Shared>().props;
    const [state, setState] = useState<State>({ is: 'unknown' });
    const [failed, setFailed] = useState<string | null>(null);
    useEffect(() => {
        let gone = false;
        void kept(job.id).then((found) => {
            if (!gone) setState(found ? { is: 'along', at: found.at } : { is: 'here' });
        });
        return () => {
            gone = true;
        };
    }, [job.id]);
    const take = async () => {
        setFailed(null);
        try {
            await takeAlong(job, user, (words) => setState({ is: 'taking', words }));
            setState({ is: 'along', at: new Date().toISOString() });
        } catch (error) {
            setFailed(`It could not be taken along. ${error instanceof Error ? error.message : ''} Try once more.`);
            setState({ is: 'here' });
        }
    };
    const leave = async () => {
        await leaveHere(job.id);
        setState({ is: 'here' });
    };
    return (
        <div className="flex flex-wrap items-center gap-x-3" aria-live="polite">
            {state.is === 'here' && (
                <Button kind="quiet" onClick={() => void take()}>
                    Take this job along
                </Button>
            )}
            {state.is === 'taking' && <p className="flex min-h-11 items-center">{state.words}, one moment</p>}
            {state.is === 'along' && (
                <>
                    <span className="text-soft">
                        Taken along, {day(state.at)} {clock(state.at)}: it goes on with no signal.
                    </span>
                    <Button kind="quiet" onClick={() => void leave()}>
                        Leave it here
                    </Button>
                </>
            )}
            {failed && (
                <p role="alert" className="font-medium text-warn">
                    {failed}
                </p>
            )}
        </div>
    );
}

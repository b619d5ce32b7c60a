import { router } from '@inertiajs/react';
import { useEffect, useRef, useState } from 'react';
import type { ReadingShown } from '@/generated/props';

const EVERY = 2000;

/** Looks every other second whether somebody else works on the job, and takes over what they did. */
export function useOthers(
    jobId: string,
    pulse: string,
    readings: ReadingShown[],
    me: string,
    hold: boolean,
): string | null {
    const [said, setSaid] = useState<string | null>(null);
    const known = useRef({ pulse, newest: readings[0]?.id });
    useEffect(() => {
        const before = known.current;
        known.current = { pulse, newest: readings[0]?.id };
        const [newest] = readings;
        if (newest && before.newest !== undefined && newest.id !== before.newest && newest.by !== me)
            setSaid(`${newest.by} recorded ${newest.value}: ${newest.title}.`);
    }, [pulse, readings, me]);
    useEffect(() => {
        const look = async () => {
            // A message at the field stays until it is answered.
            if (hold || document.hidden || !navigator.onLine) return;
            const answer = await fetch(`/jobs/${jobId}/pulse`, { headers: { Accept: 'application/json' } }).catch(
                () => null,
            );
            if (!answer?.ok) return;
            const now = (await answer.json()) as { pulse: string };
            if (now.pulse !== known.current.pulse) {
                known.current.pulse = now.pulse;
                router.reload();
            }
        };
        const timer = setInterval(() => void look(), EVERY);
        return () => clearInterval(timer);
    }, [jobId, hold]);
    return said;
}

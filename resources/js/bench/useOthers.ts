import { router } from '@inertiajs/react';
import { useEffect, useRef, useState } from 'react';
import type { ReadingShown } from '@/generated/props';

const EVERY = 2000;

/** How many steps of one's own were begun, and how many run now. */
function useVisits() {
    const visits = useRef({ begun: 0, running: 0 });
    useEffect(() => {
        const off = [
            router.on('start', (event) => {
                if (event.detail.visit.async) return;
                visits.current.begun += 1;
                visits.current.running += 1;
            }),
            router.on('finish', (event) => {
                // The step that led here was begun before anybody counted.
                if (!event.detail.visit.async && visits.current.running > 0) visits.current.running -= 1;
            }),
        ];
        return () => off.forEach((stop) => stop());
    }, []);
    return visits;
}

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
    const visits = useVisits();
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
            if (hold || document.hidden || !navigator.onLine || visits.current.running > 0) return;
            const { begun } = visits.current;
            const answer = await fetch(`/jobs/${jobId}/pulse`, { headers: { Accept: 'application/json' } }).catch(
                () => null,
            );
            if (!answer?.ok) return;
            const now = (await answer.json()) as { pulse: string };
            // What was asked before one's own step may be older than that step's answer.
            if (visits.current.begun !== begun) return;
            if (now.pulse !== known.current.pulse) {
                known.current.pulse = now.pulse;
                router.reload();
            }
        };
        const timer = setInterval(() => void look(), EVERY);
        return () => clearInterval(timer);
    }, [jobId, hold, visits]);
    return said;
}

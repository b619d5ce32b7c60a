import { useEffect, useState } from 'react';

export interface Live {
    trouble: string | null;
    value: string;
    number: number | null;
    state: 'settling' | 'held' | 'wanders';
}

const LOOK_EVERY = 400;
const LOOK_AGAIN_AFTER_TROUBLE = 1500;

/** Looks at a meter of the workshop again and again while a test is on the bench. */
export default function useLiveMeter(jobId: string, test: string, meter: string): Live | null {
    const [live, setLive] = useState<{ of: string; now: Live } | null>(null);
    const of = `${meter} ${test}`;
    useEffect(() => {
        if (meter === '') return;
        const leaving = new AbortController();
        let timer = 0;
        const look = async () => {
            let now: Live;
            try {
                const answer = await fetch(`/jobs/${jobId}/live/${meter}?test=${encodeURIComponent(test)}`, {
                    signal: leaving.signal,
                    headers: { Accept: 'application/json' },
                });
                if (!answer.ok) throw new Error(String(answer.status));
                now = (await answer.json()) as Live;
            } catch {
                if (leaving.signal.aborted) return;
                now = {
                    trouble: 'No connection to Ispira. What is recorded is kept.',
                    value: '',
                    number: null,
                    state: 'settling',
                };
            }
            setLive({ of: `${meter} ${test}`, now });
            timer = window.setTimeout(() => void look(), now.trouble === null ? LOOK_EVERY : LOOK_AGAIN_AFTER_TROUBLE);
        };
        void look();
        return () => {
            leaving.abort();
            window.clearTimeout(timer);
        };
    }, [jobId, test, meter]);
    return live?.of === of ? live.now : null;
}

/** Lets go of the value that is held, so that the next one can come to rest. */
export async function letGo(jobId: string, test: string, meter: string): Promise<void> {
    const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '');
    await fetch(`/jobs/${jobId}/live/${meter}?test=${encodeURIComponent(test)}`, {
        method: 'DELETE',
        headers: { Accept: 'application/json', 'X-XSRF-TOKEN': token },
    }).catch(() => undefined);
}

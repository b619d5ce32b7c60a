import { router } from '@inertiajs/react';
import { useEffect, useState } from 'react';

const AFTER = 400;

const words: [RegExp, string][] = [
    [/\/(bench|readings|verdict|remedy|hook-up)/, 'Weighing the readings against every fault'],
    [/\/(circuit|maps|proof|swap)/, 'Working out what each fault would show'],
    [/\/(captures|log)/, 'Reading the file'],
    [/\/planners/, 'Working it out'],
];

/** What takes longer than a blink says what it does. */
export default function Waiting() {
    const [said, setSaid] = useState<string | null>(null);
    useEffect(() => {
        let timer: ReturnType<typeof setTimeout> | undefined;
        const stop = [
            router.on('start', (event) => {
                const path = event.detail.visit.url.pathname;
                clearTimeout(timer);
                timer = setTimeout(
                    () => setSaid(words.find(([one]) => one.test(path))?.[1] ?? 'Fetching the page'),
                    AFTER,
                );
            }),
            router.on('finish', () => {
                clearTimeout(timer);
                setSaid(null);
            }),
        ];
        return () => {
            clearTimeout(timer);
            stop.forEach((off) => off());
        };
    }, []);
    return (
        <p
            aria-live="polite"
            className={`fixed top-0 left-1/2 z-50 -translate-x-1/2 rounded-b-[5px] bg-lake px-4 py-1 text-paper ${said ? '' : 'sr-only'}`}
        >
            {said ? `${said}, one moment` : ''}
        </p>
    );
}

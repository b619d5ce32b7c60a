import { lazy, Suspense, useState } from 'react';

// What few open is not loaded with every page.
const WordsPanel = lazy(() => import('./WordsPanel'));

/** The way to the words of the trade, on every page. */
export default function WordsButton({ className = '' }: { className?: string }) {
    const [said, setSaid] = useState<string | null>(null);
    return (
        <>
            <button
                type="button"
                aria-label="Words of the trade"
                onClick={() => setSaid(document.getElementById('main')?.innerText ?? '')}
                className={`min-h-11 px-2 text-soft underline decoration-dotted underline-offset-4 hover:text-ink ${className}`}
            >
                words
            </button>
            {said !== null && (
                <Suspense fallback={null}>
                    <WordsPanel said={said} onClose={() => setSaid(null)} />
                </Suspense>
            )}
        </>
    );
}

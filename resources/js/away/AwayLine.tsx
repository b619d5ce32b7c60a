import { lazy, Suspense, useEffect, useState } from 'react';
import { useOutbox } from './useOutbox';

// It is fetched while there is a signal, and not before the page stands.
const load = () => import('./WaitingPanel');
const WaitingPanel = lazy(load);

/** Says in one line what waits on this device; nothing where nothing does. */
export default function AwayLine({ dock = false }: { dock?: boolean }) {
    const { entries, away, signedOut } = useOutbox();
    const [open, setOpen] = useState(false);
    useEffect(() => void load().catch(() => undefined), []);
    const waits = entries.filter((entry) => entry.state === 'waiting').length;
    const refused = entries.filter((entry) => entry.state === 'refused').length;
    const said = [
        away && 'No connection',
        waits > 0 && `kept here: ${waits} waiting`,
        refused > 0 && `${refused} refused`,
        signedOut && waits > 0 && 'sign in to send',
    ].filter((one) => one !== false);
    // Under a thumb there is room for two words: the rest is one press away.
    const short = refused > 0 ? `${refused} refused` : waits > 0 ? `${waits} kept` : 'no signal';
    return (
        <>
            <div
                role="group"
                aria-live="polite"
                aria-label="Outbox"
                className={
                    said.length === 0
                        ? 'sr-only'
                        : dock
                          ? 'on-dock ml-auto shrink-0 bg-dock px-1 text-dock-ink'
                          : 'border-l-4 border-warn bg-caution px-2'
                }
            >
                {said.length > 0 && (
                    <button
                        type="button"
                        onClick={() => setOpen(true)}
                        className={`min-h-11 underline decoration-dotted underline-offset-4 ${refused > 0 ? 'font-semibold' : ''}`}
                    >
                        {dock ? short : said.join(', ')}
                        {dock && <span className="sr-only">: {said.join(', ')}</span>}
                    </button>
                )}
            </div>
            {open && (
                <Suspense>
                    <WaitingPanel open onOpenChange={setOpen} />
                </Suspense>
            )}
        </>
    );
}

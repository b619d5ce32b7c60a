import { useState } from 'react';
import { clock } from '@/lib/format';
import Button from '@/ui/Button';
import Panel from '@/ui/Panel';
import { remove } from './outbox';
import type { Entry } from './store';
import { flush } from './transport';
import { useOutbox } from './useOutbox';
import { entryWords } from './words';
import TextLink from '@/ui/TextLink';

/** What this device keeps until the server has it, and what the server refused, with what can be done. */
export default function WaitingPanel({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
    const { entries, away, signedOut } = useOutbox();
    const [sending, setSending] = useState(false);
    const waits = entries.filter((entry) => entry.state === 'waiting');
    const refused = entries.filter((entry) => entry.state === 'refused');
    const send = () => {
        setSending(true);
        void flush().finally(() => setSending(false));
    };
    const why = signedOut
        ? 'Nobody is signed in any more: sign in again, and it goes on.'
        : away
          ? 'The server is out of reach. It is tried again by itself.'
          : 'It is sent in the order in which it was entered.';
    return (
        <Panel open={open} onOpenChange={onOpenChange} title="Kept on this device" description={why}>
            {waits.length > 0 && (
                <>
                    <ol aria-label="Waiting" className="space-y-1">
                        {waits.map((entry) => (
                            <Row key={entry.seq} entry={entry} />
                        ))}
                    </ol>
                    <div className="mt-3 flex flex-wrap gap-2">
                        {signedOut ? (
                            <TextLink apart plain href="/sign-in">
                                Sign in
                            </TextLink>
                        ) : (
                            <Button kind="act" onClick={send} disabled={sending}>
                                {sending ? 'Sending' : 'Try now'}
                            </Button>
                        )}
                        <Button onClick={() => save(entries)}>Save as a file</Button>
                    </div>
                </>
            )}
            {refused.length > 0 && (
                <section aria-label="Refused" className="mt-5">
                    <h3 className="font-semibold">Refused by the server</h3>
                    <p className="text-soft">
                        It was not taken, and is sent no more. Look at the job as it stands now; enter it again where it
                        still belongs.
                    </p>
                    <ol className="mt-2 space-y-3">
                        {refused.map((entry) => (
                            <li key={entry.seq} className="border-l-4 border-warn pl-3">
                                <Row entry={entry} />
                                <p className="font-medium">{entry.why}</p>
                                <div className="flex flex-wrap gap-2">
                                    {entry.job !== null && (
                                        <TextLink plain href={`/jobs/${entry.job}`}>
                                            See the job
                                        </TextLink>
                                    )}
                                    <Button kind="quiet" onClick={() => save([entry])}>
                                        Save as a file
                                    </Button>
                                    <Button kind="quiet" onClick={() => void remove(entry.seq)}>
                                        Let it go
                                    </Button>
                                </div>
                            </li>
                        ))}
                    </ol>
                </section>
            )}
            {waits.length === 0 && refused.length === 0 && <p>Nothing waits: the server has everything.</p>}
        </Panel>
    );
}

function Row({ entry }: { entry: Entry }) {
    return (
        <div className="flex flex-wrap gap-x-3">
            <time dateTime={entry.at} className="figure text-soft">
                {clock(entry.at)}
            </time>
            <span>{entryWords(entry)}</span>
        </div>
    );
}

/** A way out when a device has to be cleared: all that was entered, as it would have been sent. */
function save(entries: Entry[]): void {
    const rows = entries.map(({ at, method, url, body, why }) => ({
        at,
        method,
        url,
        fields:
            typeof body === 'string' ? (body === '' ? {} : (JSON.parse(body) as unknown)) : body.map(([name]) => name),
        why,
    }));
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([JSON.stringify(rows, null, 2)], { type: 'application/json' }));
    link.download = 'ispira-kept.json';
    link.click();
    URL.revokeObjectURL(link.href);
}

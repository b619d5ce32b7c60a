import { useState } from 'react';
import type { CannotShown, CardShown } from '@/generated/props';
import { useEntry } from '@/repair/useEntry';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import Panel from '@/ui/Panel';
import { becauseOf, reasons } from './cannot';

interface Props {
    jobId: string;
    card: CardShown;
    cannot: CannotShown[];
    open: boolean;
    onOpenChange: (open: boolean) => void;
    onAnother: () => void;
}

/** A test that cannot be done here: why, kept with the job, so that it is not proposed again. */
export default function CannotPanel({ jobId, card, cannot, open, onOpenChange, onAnother }: Props) {
    const { note: enter, sending } = useEntry(jobId);
    const [more, setMore] = useState('');
    return (
        <Panel
            open={open}
            onOpenChange={onOpenChange}
            title="Cannot be done here"
            description="It is kept with the job, and something else is proposed in its place."
        >
            <p className="font-medium">{card.title}</p>
            <div className="mt-2 flex flex-wrap gap-2">
                {reasons.map((reason) => (
                    <Button
                        key={reason.value}
                        disabled={sending}
                        onClick={() =>
                            enter('cannot', { test: card.key, because: reason.value, note: more }, () =>
                                onOpenChange(false),
                            )
                        }
                    >
                        {reason.label}
                    </Button>
                ))}
            </div>
            <TextField
                label="In more words, if it matters"
                value={more}
                onChange={(event) => setMore(event.target.value)}
                className="mt-3"
            />
            <Button kind="quiet" className="mt-2" onClick={onAnother}>
                Only show me another one
            </Button>
            {cannot.length > 0 && (
                <section aria-label="Left out on this job" className="mt-4">
                    <h3 className="font-medium">Left out on this job</h3>
                    <ul>
                        {cannot.map((one) => (
                            <li key={one.id} className="flex items-center gap-3 border-t border-rule py-1">
                                <span className="min-w-0 flex-1 leading-snug">
                                    {one.title}: {becauseOf(one.because)}
                                    {one.note ? `, ${one.note}` : ''}
                                </span>
                                <Button
                                    kind="quiet"
                                    disabled={sending}
                                    aria-label={`Can be done now: ${one.title}`}
                                    onClick={() => enter('removed', { of: one.id, reason: 'it can be done now' })}
                                >
                                    Can be done now
                                </Button>
                            </li>
                        ))}
                    </ul>
                </section>
            )}
        </Panel>
    );
}

import { router } from '@inertiajs/react';
import { useState } from 'react';
import { clock, day } from '@/lib/format';
import type { ReadingShown } from '@/generated/props';

interface Props {
    jobId: string;
    readings: ReadingShown[];
    open: boolean;
    spoiling?: string[];
    onWhatIf?: (reading: string, showed: string) => void;
    onStruck?: (reading: string) => void;
}

const why = ['wrong pin', 'wrong range or unit', 'the lead was off', 'taken again'];

/** Everything that was observed, newest first. Struck readings stay, crossed out. */
export default function ReadingLog({ jobId, readings, open, spoiling = [], onWhatIf, onStruck }: Props) {
    const [asked, setAsked] = useState<Record<string, string>>({});
    const [striking, setStriking] = useState('');
    const strike = (id: string, reason: string) =>
        router.post(
            `/jobs/${jobId}/readings/${id}/strike`,
            { reason },
            {
                preserveScroll: true,
                preserveState: true,
                onSuccess: () => {
                    setStriking('');
                    onStruck?.(id);
                },
            },
        );
    const keep = (id: string) =>
        router.post(`/jobs/${jobId}/readings/${id}/keep`, {}, { preserveScroll: true, preserveState: true });
    if (readings.length === 0) return <p className="text-soft">No reading yet.</p>;
    return (
        <ul className="flex flex-col">
            {readings.map((reading) => (
                <li
                    key={reading.id}
                    className={`flex flex-wrap items-center gap-3 border-t border-rule py-1 ${spoiling.includes(reading.id) ? 'bg-caution' : ''}`}
                >
                    <span
                        className={`figure w-24 shrink-0 text-right text-[0.92rem] font-medium ${reading.struck ? 'line-through opacity-70' : ''}`}
                    >
                        {reading.value}
                    </span>
                    <span className="min-w-0 flex-1 leading-snug">
                        <span className={reading.struck ? 'line-through opacity-70' : ''}>{reading.title}</span>
                        <span className="text-[0.86rem] text-soft">
                            {' '}
                            {reading.seenBefore ? `seen on ${day(reading.takenAt)}` : clock(reading.takenAt)}
                            {reading.steady ? '' : ', wandered'}
                            {reading.misbehaved === null
                                ? ''
                                : reading.misbehaved
                                  ? ', while it misbehaved'
                                  : ', while it worked'}
                            {reading.map ? ', map' : ''}
                            {reading.instrument ? `, by ${reading.instrument}` : ''}
                            {reading.leads ? `, leads of ${reading.leads} taken off` : ''}
                            {reading.kept ? ', doubted and kept' : ''}
                            {reading.by ? `, ${reading.by}` : ''}
                            {reading.struck
                                ? `, struck out${reading.struckBecause ? `: ${reading.struckBecause}` : ''}`
                                : ''}
                        </span>
                        {!reading.struck &&
                            !reading.kept &&
                            reading.doubts.map((doubt) => (
                                <span key={doubt} className="block text-[0.9rem] text-warn">
                                    {doubt}
                                </span>
                            ))}
                    </span>
                    {onWhatIf && !reading.struck && (
                        <form
                            className="flex shrink-0 items-center"
                            onSubmit={(event) => {
                                event.preventDefault();
                                onWhatIf(reading.id, asked[reading.id] ?? '');
                            }}
                        >
                            <input
                                aria-label={`What if: ${reading.title}`}
                                placeholder="what if"
                                inputMode="decimal"
                                value={asked[reading.id] ?? ''}
                                onChange={(event) => setAsked({ ...asked, [reading.id]: event.target.value })}
                                className="figure min-h-11 w-20 rounded-[4px] border border-soft/60 bg-sheet px-2"
                            />
                            <button type="submit" className="min-h-11 px-2 text-lake underline underline-offset-4">
                                {asked[reading.id] ? 'see' : 'leave out'}
                                <span className="sr-only">: {reading.title}</span>
                            </button>
                        </form>
                    )}
                    {open && !reading.struck && !reading.kept && reading.doubts.length > 0 && (
                        <button
                            type="button"
                            onClick={() => keep(reading.id)}
                            className="min-h-11 shrink-0 px-2 text-lake underline underline-offset-4"
                            aria-label={`Keep: ${reading.title}, ${reading.value}`}
                        >
                            Keep
                        </button>
                    )}
                    {open && !reading.struck && (
                        <button
                            type="button"
                            aria-expanded={striking === reading.id}
                            onClick={() => setStriking(striking === reading.id ? '' : reading.id)}
                            className="min-h-11 shrink-0 px-2 text-lake underline underline-offset-4"
                            aria-label={`Strike out: ${reading.title}, ${reading.value}`}
                        >
                            Strike out
                        </button>
                    )}
                    {striking === reading.id && (
                        <span
                            role="group"
                            aria-label="Why it is struck out"
                            className="flex basis-full flex-wrap gap-2 pb-1"
                        >
                            {why.map((reason) => (
                                <button
                                    key={reason}
                                    type="button"
                                    onClick={() => strike(reading.id, reason)}
                                    className="min-h-11 rounded-[4px] border border-soft/60 bg-sheet px-3"
                                >
                                    {reason}
                                </button>
                            ))}
                        </span>
                    )}
                </li>
            ))}
        </ul>
    );
}

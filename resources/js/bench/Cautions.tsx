import { useState } from 'react';
import type { CardShown } from '@/generated/props';

const keyOf = (jobId: string) => `ispira-read-${jobId}`;

function readBefore(jobId: string): string[] {
    try {
        const kept: unknown = JSON.parse(localStorage.getItem(keyOf(jobId)) ?? '[]');
        return Array.isArray(kept) ? kept.filter((one): one is string => typeof one === 'string') : [];
    } catch {
        return [];
    }
}

/** What stood above a test that was done counts as read. */
export function markRead(jobId: string, cautions: string[]): void {
    localStorage.setItem(keyOf(jobId), JSON.stringify([...new Set([...readBefore(jobId), ...cautions])]));
}

function firstWords(caution: string): string {
    return /^[^.:;,]*/.exec(caution)?.[0] ?? caution;
}

/** What can hurt, before the step. What was read on this job folds to its first words; new and deadly ones stay open. */
export default function Cautions({ jobId, card }: { jobId: string; card: CardShown }) {
    const [read] = useState(() => readBefore(jobId));
    const [open, setOpen] = useState(false);
    const known = card.deadly ? [] : card.cautions.filter((one) => read.includes(one));
    const fresh = card.cautions.filter((one) => !known.includes(one));
    const shown = open ? card.cautions : fresh;
    return (
        <div className="flex flex-col gap-0.5">
            <p className="leading-snug font-medium" data-danger>
                {card.danger}.
            </p>
            {shown.length > 0 && (
                <ul
                    className={`border-l-4 border-warn bg-caution px-3 py-0.5 leading-[1.2] font-medium ${shown.length > 3 ? 'text-[0.92rem]' : 'text-[0.96rem]'}`}
                >
                    {shown.map((caution) => (
                        <li key={caution} className="py-0.5">
                            {caution}
                        </li>
                    ))}
                </ul>
            )}
            {known.length > 0 && (
                <button
                    type="button"
                    aria-expanded={open}
                    onClick={() => setOpen(!open)}
                    className="flex min-h-11 w-full items-center gap-3 border-l-4 border-warn bg-caution px-3 text-left leading-snug sm:min-h-9"
                >
                    <span className="min-w-0 flex-1 truncate">{known.map(firstWords).join(' · ')}</span>
                    <span className="text-lake">{open ? 'fold' : 'read'}</span>
                </button>
            )}
        </div>
    );
}

import { money, percent } from '@/lib/format';
import type { SuspectShown } from '@/generated/props';
import { namesParts } from '@/bench/remedies';

interface Props {
    suspects: SuspectShown[];
    currency: string;
    most: number;
    all: boolean;
    onSuppose?: (remedy: string) => void;
}

/** A short ladder of what may have to be replaced, with odds and the reasons for them. */
export default function Suspects({ suspects, currency, most, all, onSuppose }: Props) {
    const shown = suspects.filter((suspect, n) => n === 0 || suspect.probability > 0.004).slice(0, most);
    const rest = suspects.slice(shown.length).reduce((sum, suspect) => sum + suspect.probability, 0);
    return (
        <ol className="flex flex-col gap-2.5">
            {shown.map((suspect, rank) => {
                // What the leading suspect shares with the others is said once.
                const reasons = all
                    ? suspect.reasons
                    : rank === 0
                      ? suspect.reasons.slice(0, 2)
                      : suspect.reasons.filter((reason) => reason.speaks === 'against').slice(0, 1);
                return (
                    <li key={suspect.remedy}>
                        <p className="flex items-baseline justify-between gap-2">
                            <span className="leading-tight font-semibold">{suspect.label}</span>
                            <span className="figure text-[1.1rem] font-medium whitespace-nowrap">
                                {percent(suspect.probability)}
                            </span>
                        </p>
                        <span className="my-1 block h-2 bg-rule" aria-hidden="true">
                            <span
                                className="settles block h-2 bg-lake"
                                style={{ width: `${Math.max(0.5, suspect.probability * 100)}%` }}
                            />
                        </span>
                        <p className="text-[0.9rem] leading-snug text-soft">
                            {suspect.faults[0]?.label}
                            {suspect.faults[0]?.degree && ` (${suspect.faults[0].degree})`}
                            {namesParts(suspect.remedy) && `, ${money(suspect.cost, currency)}`}
                            {suspect.origins[0] &&
                                suspect.origins[0].origin !== 'cured' &&
                                ` (${suspect.origins[0].label})`}
                        </p>
                        {reasons.map((reason) => (
                            <p key={reason.sentence} className="text-[0.9rem] leading-snug">
                                <span
                                    className="font-semibold"
                                    style={{ color: reason.speaks === 'for' ? 'var(--good)' : 'var(--bad)' }}
                                >
                                    {reason.speaks === 'for' ? 'For: ' : 'Against: '}
                                </span>
                                {reason.sentence}
                            </p>
                        ))}
                        {onSuppose && (
                            <button
                                type="button"
                                onClick={() => onSuppose(suspect.remedy)}
                                className="min-h-11 text-lake underline underline-offset-4"
                            >
                                Suppose it is this
                            </button>
                        )}
                    </li>
                );
            })}
            {rest > 0.005 && (
                <li className="text-soft">
                    all others together <span className="figure">{percent(rest)}</span>
                </li>
            )}
        </ol>
    );
}

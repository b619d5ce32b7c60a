import type { OutcomeShown } from '@/generated/props';

/** Chance under which an outcome is not worth a line. */
const WORTH_A_LINE = 0.003;

/** The likeliest outcomes of a test where there is no room for all, in the order in which they stand. */
export function likeliest(outcomes: OutcomeShown[], most: number): OutcomeShown[] {
    const kept = outcomes
        .filter((outcome) => outcome.probability > WORTH_A_LINE)
        .sort((one, other) => other.probability - one.probability)
        .slice(0, most);

    return outcomes.filter((outcome) => kept.includes(outcome));
}

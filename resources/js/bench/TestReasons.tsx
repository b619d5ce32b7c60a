import type { CardShown, OutcomeShown, TestChoiceShown } from '@/generated/props';
import { minutes, money, percent } from '@/lib/format';
import NumberLine from './NumberLine';

interface Props {
    card: CardShown;
    choice: TestChoiceShown | undefined;
    currency: string;
    typed: number | null;
}

/** Why a test is proposed: which suspects it splits, what each would show, what it costs, what the next best was. */
export default function TestReasons({ card, choice, currency, typed }: Props) {
    const outcomes = card.outcomes.filter((one) => one.probability >= 0.005);
    return (
        <div className="flex flex-col gap-4">
            <section aria-label="What it splits">
                <h3 className="font-semibold">What it splits</h3>
                <p className="leading-snug">
                    {card.why}. {card.settles}
                </p>
            </section>
            <section aria-label="What it may show">
                <h3 className="mb-1 font-semibold">What it may show, and what that would mean</h3>
                <ul className="flex flex-col">
                    {outcomes.map((one) => (
                        <Outcome key={one.label} outcome={one} />
                    ))}
                </ul>
            </section>
            {card.marks.length > 0 && (
                <section aria-label="What each suspect shows">
                    <h3 className="mb-1 font-semibold">What each suspect would show</h3>
                    <NumberLine card={card} typed={typed} />
                </section>
            )}
            <section aria-label="What it costs">
                <h3 className="font-semibold">What it costs</h3>
                <p className="leading-snug">
                    {choice
                        ? `It takes ${minutes(choice.minutes)}, with what must be reached first: ${money(choice.cost, currency)}.${
                              choice.saves > 0.5
                                  ? ` It saves ${money(choice.saves, currency)} of what guessing would waste.`
                                  : ''
                          }`
                        : 'It is not weighed against others: it was done before, or it looks for the cause and not for the part.'}
                </p>
            </section>
            {card.nextBest && (
                <section aria-label="The next best">
                    <h3 className="font-semibold">Beside it</h3>
                    <p className="leading-snug">{card.nextBest}</p>
                </section>
            )}
        </div>
    );
}

function Outcome({ outcome }: { outcome: OutcomeShown }) {
    return (
        <li className="grid grid-cols-[minmax(7rem,0.9fr)_5rem_minmax(0,2fr)] items-center gap-x-3 border-t border-rule py-1.5">
            <span className="font-medium">{outcome.label}</span>
            <span>
                <span className="figure text-[0.95rem]">{percent(outcome.probability)}</span>
                <span className="block h-1.5 bg-rule" aria-hidden="true">
                    <span className="block h-1.5 bg-lake" style={{ width: `${outcome.probability * 100}%` }} />
                </span>
            </span>
            <span className="leading-snug">
                {outcome.remedies.length === 0
                    ? 'any of them'
                    : outcome.remedies.map((one) => `${one.label} ${percent(one.probability)}`).join(', ')}
            </span>
        </li>
    );
}

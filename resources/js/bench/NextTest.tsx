import { Link } from '@inertiajs/react';
import type { CardShown, OutcomeShown, TestChoiceShown } from '@/generated/props';
import { minutes, percent } from '@/lib/format';
import NumberLine from './NumberLine';

function Means({ outcome }: { outcome: OutcomeShown }) {
    const [first, ...others] = outcome.remedies;
    if (!first) return <>unlikely</>;
    return (
        <>
            <strong className="font-semibold">{first.label}</strong>{' '}
            <span className="figure">{percent(first.probability)}</span>
            <span className="text-soft">, {first.fault}</span>
            {outcome.probability < 0.03 && <span className="text-soft">; unlikely to come</span>}
            {others[0] && (
                <span className="text-soft">
                    ; or {others[0].label.toLowerCase()}{' '}
                    <span className="figure">{percent(others[0].probability)}</span>
                </span>
            )}
        </>
    );
}

interface Props {
    card: CardShown;
    choice: TestChoiceShown | undefined;
    proposed: boolean;
    typed: number | null;
}

/** What to do, where, with what, the caution first, and what each outcome would mean. */
export default function NextTest({ card, choice, proposed, typed }: Props) {
    return (
        <div className="flex flex-col gap-2" data-test={card.key}>
            <p className="text-soft">
                {proposed ? 'Do this next' : 'Chosen by you'}
                {choice ? `, ${minutes(choice.minutes)}` : ''}
            </p>
            <p className="font-medium" data-danger>
                {card.danger}.
            </p>
            {card.cautions.map((caution) => (
                <p key={caution} className="border-l-4 border-warn bg-caution px-3 py-1.5 font-medium">
                    {caution}
                </p>
            ))}
            <h1 className="text-[1.4rem] leading-tight font-semibold">{card.title}</h1>
            {card.again && <p>{card.again}</p>}
            {card.onTheWay.length > 0 && (
                <p>
                    <span className="text-soft">With power off, while it is open: </span>
                    {card.onTheWay.map((look, n) => (
                        <span key={look.key}>
                            {n > 0 && '; '}
                            <Link href={`?test=${look.key}`} className="text-lake underline underline-offset-4">
                                {look.title.charAt(0).toLowerCase() + look.title.slice(1)}
                            </Link>
                        </span>
                    ))}
                </p>
            )}
            <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-0.5">
                {card.red && (
                    <>
                        <dt
                            className="flex h-6 w-6 items-center justify-center rounded-full bg-[#a12d22] text-sm font-semibold text-white"
                            aria-label="Red lead, A"
                        >
                            A
                        </dt>
                        <dd>{card.red}</dd>
                    </>
                )}
                {card.black && (
                    <>
                        <dt
                            className="flex h-6 w-6 items-center justify-center rounded-full border border-dock-rule bg-[#14181b] text-sm font-semibold text-white"
                            aria-label="Black lead, B"
                        >
                            B
                        </dt>
                        <dd>{card.black}</dd>
                    </>
                )}
                <dt className="sr-only">With</dt>
                <dd className="col-span-2 text-soft">
                    {card.setUp}. {card.meter}
                    {card.tools.length > 1
                        ? `; ${card.tools
                              .slice(1)
                              .map((tool) => tool.charAt(0).toLowerCase() + tool.slice(1))
                              .join(', ')}`
                        : ''}
                    .
                </dd>
            </dl>
            <table className="w-full border-collapse text-[0.95rem]">
                <caption className="sr-only">What each outcome would mean</caption>
                <tbody>
                    {card.outcomes
                        .filter((outcome) => outcome.probability > 0.003)
                        .slice(0, 6)
                        .map((outcome) => (
                            <tr key={`${outcome.value ?? ''}${outcome.label}`} className="border-t border-rule">
                                <th
                                    scope="row"
                                    className={`py-1 pr-3 text-left align-top font-medium whitespace-nowrap ${card.unit ? 'figure text-[0.88rem]' : ''}`}
                                >
                                    {outcome.label}
                                </th>
                                <td className="py-1">
                                    <Means outcome={outcome} />
                                </td>
                            </tr>
                        ))}
                </tbody>
            </table>
            <NumberLine card={card} typed={typed} />
        </div>
    );
}

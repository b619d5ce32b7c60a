import { Link } from '@inertiajs/react';
import type { CannotShown, CardShown, DiagnosisShown, OutcomeShown, TestChoiceShown } from '@/generated/props';
import { inline, minutes, money, percent } from '@/lib/format';
import PlugFace, { order } from '@/ui/PlugFace';
import Cautions from './Cautions';
import NumberLine from './NumberLine';
import { becauseOf } from './cannot';
import { likeliest } from './outcomes';

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

/** How far it is, and how long this takes. */
export function StepLine({
    diagnosis,
    choice,
    proposed,
    done,
}: {
    diagnosis: DiagnosisShown;
    choice: TestChoiceShown | undefined;
    proposed: boolean;
    done: number;
}) {
    return (
        <p className="flex items-baseline justify-between gap-3 text-soft">
            <span>
                {proposed ? 'Do this next' : 'Chosen by you'}
                {choice ? `, ${minutes(choice.minutes)}` : ''}
            </span>
            {proposed && diagnosis.left > 0 && (
                <span className="whitespace-nowrap">
                    {done + 1} of about {done + diagnosis.left}
                </span>
            )}
        </p>
    );
}

/** Why this test, in one sentence with its numbers. */
export function WhyThis({
    card,
    choice,
    currency,
    onReasons,
}: {
    card: CardShown;
    choice: TestChoiceShown | undefined;
    currency: string;
    onReasons: () => void;
}) {
    // Who works in his own way is not told what a test is worth.
    if (card.why === '') return null;
    return (
        <p className="leading-snug" data-why>
            <strong className="font-semibold">Why:</strong> {card.why}
            {choice && choice.saves > 0.5
                ? `; saves ${money(choice.saves, currency)}, costs ${money(choice.cost, currency)}`
                : choice
                  ? `; costs ${money(choice.cost, currency)}`
                  : ''}
            .{' '}
            <button
                type="button"
                onClick={onReasons}
                className="text-lake underline underline-offset-4 max-lg:min-h-11"
            >
                Reasons
            </button>
        </p>
    );
}

/** What was proposed before, where this stands in its place. */
export function InsteadOf({ cannot }: { cannot: CannotShown | undefined }) {
    return cannot ? (
        <p className="leading-snug text-soft">
            In place of “{cannot.title}”: {becauseOf(cannot.because)}.
        </p>
    ) : null;
}

/** The places of the two leads; near the keys of a phone side by side where they fit, and without the faces. */
export function LeadPlaces({ card, near = false }: { card: CardShown; near?: boolean }) {
    const places = [
        { name: 'A', label: 'Red lead, A', place: card.red, look: 'bg-[#a12d22]' },
        { name: 'B', label: 'Black lead, B', place: card.black, look: 'border border-dock-rule bg-[#14181b]' },
    ].filter((one) => one.place !== null);
    if (near && places.length === 0) return null;
    const across = card.plugs.length > 0 ? '' : 'lg:grid-cols-[auto_1fr_auto_1fr]';
    const list = (
        <dl
            className={`gap-x-3 gap-y-0.5 leading-snug ${near ? 'flex flex-wrap' : `grid grid-cols-[auto_1fr] content-start ${across}`}`}
        >
            {places.map((one) => (
                <div key={one.name} className={near ? 'flex gap-2' : 'contents'}>
                    <dt
                        className={`flex h-6 w-6 shrink-0 items-center justify-center rounded-full text-sm font-semibold text-white ${one.look}`}
                        aria-label={one.label}
                    >
                        {one.name}
                    </dt>
                    <dd>{one.place}</dd>
                </div>
            ))}
        </dl>
    );
    if (near || card.plugs.length === 0) return list;
    return (
        <div className="grid grid-cols-[minmax(0,1fr)_auto] items-start gap-x-4">
            {list}
            <div className="flex flex-col gap-1 max-sm:hidden">
                {card.plugs.map((face) => (
                    <figure key={face.title} title={order(face)}>
                        <PlugFace face={face} />
                    </figure>
                ))}
            </div>
        </div>
    );
}

/** What each outcome would mean, one line each. */
export function Outcomes({ card, most }: { card: CardShown; most: number }) {
    if (card.outcomes.length === 0) return null;
    return (
        <table className={`w-full border-collapse text-[0.95rem] ${card.unit ? '' : 'table-fixed'}`}>
            <caption className="sr-only">What each outcome would mean</caption>
            <colgroup>
                <col className={card.unit ? 'min-w-[8.2rem]' : 'w-[38%]'} />
                <col />
            </colgroup>
            <tbody>
                {likeliest(card.outcomes, most).map((outcome) => (
                    <tr key={`${outcome.value ?? ''}${outcome.label}`} className="border-t border-rule">
                        <th
                            scope="row"
                            className={`py-0.5 pr-3 text-left align-top font-medium ${card.unit ? 'figure text-[0.86rem] whitespace-nowrap' : 'leading-snug'}`}
                        >
                            {outcome.label}
                        </th>
                        <td
                            className={`truncate py-0.5 ${card.unit ? 'w-full max-w-0' : ''}`}
                            title={outcome.remedies.map((one) => `${one.label}: ${one.fault}`).join('; ')}
                        >
                            <Means outcome={outcome} />
                        </td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}

interface Props {
    jobId: string;
    card: CardShown;
    diagnosis: DiagnosisShown;
    proposed: boolean;
    typed: number | null;
    currency: string;
    done: number;
    cannot: CannotShown | undefined;
    onReasons: () => void;
}

/** What to do, where, with what, the caution first, why, and what each outcome would mean. */
export default function NextTest({
    jobId,
    card,
    diagnosis,
    proposed,
    typed,
    currency,
    done,
    cannot,
    onReasons,
}: Props) {
    const choice = diagnosis.tests.find((test) => test.key === card.key);
    // With many cautions the rest moves closer together, so that all of it still stands above the dock.
    const gap = card.cautions.length > 3 ? 'gap-0.5' : 'gap-1';
    return (
        <div className={`flex flex-col ${gap}`} data-test={card.key}>
            <StepLine diagnosis={diagnosis} choice={choice} proposed={proposed} done={done} />
            <Cautions key={card.key} jobId={jobId} card={card} />
            <h1 className="text-[1.3rem] leading-tight font-semibold">{card.title}</h1>
            {proposed && <InsteadOf cannot={cannot} />}
            {card.again && <p className="leading-snug">{card.again}</p>}
            {card.onTheWay.length > 0 && (
                <p className="leading-snug">
                    <span className="text-soft">With power off, while it is open: </span>
                    {card.onTheWay.map((look, n) => (
                        <span key={look.key}>
                            {n > 0 && '; '}
                            <Link href={`?test=${look.key}`} className="text-lake underline underline-offset-4">
                                {inline(look.title)}
                            </Link>
                        </span>
                    ))}
                </p>
            )}
            <LeadPlaces card={card} />
            <p className="leading-snug text-soft">
                <span className="lg:hidden">{card.setUp}. </span>
                {card.meter}
                {card.tools.length > 1 ? `; ${card.tools.slice(1).map(inline).join(', ')}` : ''}.
            </p>
            <WhyThis card={card} choice={choice} currency={currency} onReasons={onReasons} />
            <Outcomes card={card} most={card.marks.length > 0 ? 3 : 6} />
            <NumberLine card={card} typed={typed} />
        </div>
    );
}

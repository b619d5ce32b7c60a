import { inline, money, percent } from '@/lib/format';
import type { OutlookShown, TestWorth } from '@/generated/props';

/** What repairing on these odds would cost, in the best order, and what one more test would save. */
export default function Outlook({ outlook, currency }: { outlook: OutlookShown; currency: string }) {
    if (outlook.attempts.length === 0) return null;
    return (
        <section aria-label="Order of trial">
            <h2 className="mt-4 font-semibold">From here to a machine that runs</h2>
            <ol>
                {outlook.attempts.map((one, n) => (
                    <li
                        key={one.remedy}
                        className="grid grid-cols-[1.5rem_minmax(0,1fr)_auto] gap-x-3 border-t border-rule py-1.5"
                    >
                        <span className="figure text-soft">{n + 1}</span>
                        <span>
                            {one.label}
                            {n > 0 && <span className="text-soft">, if it comes to that: {percent(one.reached)}</span>}
                        </span>
                        <span className="figure text-right">
                            {money(one.money, currency)}, cures {percent(one.fixes)}
                        </span>
                    </li>
                ))}
            </ol>
            <p className="border-t border-rule pt-1.5">
                Expected: <strong className="figure font-semibold">{money(outlook.money, currency)}</strong> with parts,
                labour and coming back.
                {outlook.test && ` ${oneMore(outlook.test, currency)}`}
            </p>
        </section>
    );
}

function oneMore(test: TestWorth, currency: string): string {
    const costs = `One more test (${inline(test.title)}) costs ${money(test.costs, currency)}`;
    if (test.saves < 0.5 && test.makesSure) return `${costs} and makes sure before anything is bought.`;
    return `${costs} and saves ${money(test.saves, currency)} of it.`;
}

import type { Again as Replaced } from '@/generated/props';
import { day } from '@/lib/format';

/** What was replaced on the unit, or again and again on its model, not long before. */
export default function Again({ again }: { again: Replaced[] }) {
    if (again.length === 0) return null;
    return (
        <section aria-label="Again" className="my-3 border-l-4 border-warn bg-caution px-3 py-2">
            <p className="font-semibold">Not for the first time</p>
            <ul>
                {again.map((one) => (
                    <li key={`${one.part} ${one.ofUnit ? 'unit' : 'model'}`}>
                        {one.part}: replaced {one.ofUnit ? 'on this unit' : 'on other units of this model'}
                        {one.times > 1 && `, ${one.times} times`}
                        {one.on && `, last on ${day(one.on)}`}
                        {one.job && ` (${one.job})`}
                    </li>
                ))}
            </ul>
            <p>
                Whatever fails once more is destroyed by something: what lies upstream of it is suspected more, and
                should be looked at before another one is fitted.
            </p>
        </section>
    );
}

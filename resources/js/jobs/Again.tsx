import type { Again as Replaced } from '@/generated/props';
import { day, inline } from '@/lib/format';

/** What was replaced on the unit, or again and again on its model, not long before. */
export default function Again({ again }: { again: Replaced[] }) {
    if (again.length === 0) return null;
    const ofModel = again.filter((one) => !one.ofUnit);
    return (
        <section aria-label="Again" className="my-3 border-l-4 border-warn bg-caution px-3 py-2">
            <p className="font-semibold">Not for the first time</p>
            <ul>
                {again
                    .filter((one) => one.ofUnit)
                    .map((one) => (
                        <li key={one.part}>
                            {one.part}: replaced on this unit
                            {one.times > 1 && `, ${one.times} times`}
                            {one.on && `, last on ${day(one.on)}`}
                            {one.job && ` (${one.job})`}
                        </li>
                    ))}
            </ul>
            {ofModel.length > 0 && (
                <p>
                    On other units of this model, again and again:{' '}
                    {ofModel.map((one) => `${inline(one.part)} ${one.times} times`).join(', ')}.
                </p>
            )}
            <p>
                Whatever fails once more is destroyed by something: what lies upstream of it is suspected more, and
                should be looked at before another one is fitted.
            </p>
        </section>
    );
}

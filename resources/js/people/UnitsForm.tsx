import { router } from '@inertiajs/react';
import type { UnitChoice } from '@/generated/props';
import Choices from '@/ui/Choices';
import Select from '@/ui/Select';

/** In which units numbers are read and typed: each change holds at once. */
export default function UnitsForm({ system, quantities }: { system: string; quantities: UnitChoice[] }) {
    const send = (change: Record<string, string>) => router.post('/units', change, { preserveScroll: true });
    return (
        <section aria-labelledby="units" className="mt-8 border-t border-rule pt-4">
            <h2 id="units" className="text-lg font-semibold">
                Units
            </h2>
            <p className="mb-3 text-soft">
                In which numbers are shown to you, and a bare number is taken. Any other unit can be typed behind the
                number: 1.2 inwc, 54 °F, 0.42k, OL.
            </p>
            <Choices
                label="System"
                value={system}
                choices={[
                    { value: 'metric', label: 'Metric' },
                    { value: 'us', label: 'US' },
                ]}
                onChange={(next) => send({ system: next })}
            />
            <div className="mt-4 grid gap-4 sm:grid-cols-3">
                {quantities.map((one) => (
                    <Select
                        key={one.base}
                        label={one.label}
                        value={one.unit}
                        choices={one.choices.map((unit) => ({ value: unit, label: unit }))}
                        onChange={(event) => send({ base: one.base, unit: event.target.value })}
                    />
                ))}
            </div>
        </section>
    );
}

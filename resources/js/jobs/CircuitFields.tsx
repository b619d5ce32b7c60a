import type { FieldShown, LearnedShown } from '@/generated/props';
import type { Parameters } from '@/lib/page';
import Choices from '@/ui/Choices';
import { TextArea, TextField } from '@/ui/Field';

interface Props {
    fields: FieldShown[];
    values: Parameters;
    errors: Record<string, string | undefined>;
    onChange: (values: Parameters) => void;
    disabled?: boolean;
    learned?: LearnedShown[];
}

/** The values that describe a circuit, as its family declares them. What stays empty stays unknown. */
export default function CircuitFields({ fields, values, errors, onChange, disabled = false, learned = [] }: Props) {
    const set = (key: string, value: Parameters[string]) => onChange({ ...values, [key]: value });
    const valueOf = (key: string) => String(values[key] ?? fields.find((field) => field.key === key)?.default ?? '');
    const asked = ({ onlyWith }: FieldShown) => onlyWith === null || onlyWith.values.includes(valueOf(onlyWith.key));
    const taught = (key: string) => {
        const after = learned.find((value) => value.key === key)?.after;
        return after ? `Learned from the readings: ${after}.` : '';
    };
    const hint = (field: FieldShown) => [field.hint, taught(field.key)].filter(Boolean).join(' ') || undefined;
    return (
        <div className="grid grid-cols-1 gap-x-8 gap-y-4 md:grid-cols-2">
            {fields.filter(asked).map((field) => {
                if (field.kind === 'choice') {
                    return (
                        <Choices
                            key={field.key}
                            label={field.label}
                            value={valueOf(field.key)}
                            choices={field.choices}
                            hint={field.hint}
                            disabled={disabled}
                            onChange={(value) => set(field.key, value)}
                        />
                    );
                }
                if (field.kind === 'number') {
                    return (
                        <TextField
                            key={field.key}
                            label={field.unit === '' ? field.label : `${field.label}, ${field.unit}`}
                            hint={hint(field)}
                            error={errors[field.key]}
                            inputMode="decimal"
                            disabled={disabled}
                            value={String(values[field.key] ?? field.default ?? '')}
                            onChange={(event) => set(field.key, event.target.value)}
                        />
                    );
                }
                if (field.kind === 'text') {
                    const shown = String(values[field.key] ?? field.default ?? '');
                    const lines = String(field.default ?? '').split('\n').length;
                    return lines > 1 ? (
                        <TextArea
                            key={field.key}
                            label={field.label}
                            hint={field.hint}
                            error={errors[field.key]}
                            disabled={disabled}
                            rows={lines + 1}
                            value={shown}
                            onChange={(event) => set(field.key, event.target.value)}
                            mono
                            className="md:col-span-2"
                            spellCheck={false}
                        />
                    ) : (
                        <TextField
                            key={field.key}
                            label={field.label}
                            hint={field.hint}
                            error={errors[field.key]}
                            disabled={disabled}
                            value={shown}
                            onChange={(event) => set(field.key, event.target.value)}
                        />
                    );
                }
                const count = Number(values[field.countOf ?? ''] ?? 0) - 1;
                const list = Array.isArray(values[field.key]) ? (values[field.key] as (string | number)[]) : [];
                return (
                    <fieldset key={field.key} className="md:col-span-2">
                        <legend className="mb-1 font-medium">
                            {field.label}, {field.unit}
                        </legend>
                        <div className="flex flex-wrap gap-2">
                            {Array.from({ length: Math.max(0, count) }, (_, n) => (
                                <input
                                    key={n}
                                    aria-label={`${field.label}, number ${n + 1}`}
                                    inputMode="decimal"
                                    disabled={disabled}
                                    placeholder={String(n + 1)}
                                    value={String(list[n] ?? '')}
                                    onChange={(event) => {
                                        const next = Array.from({ length: count }, (_unused, m) =>
                                            String(m === n ? event.target.value : (list[m] ?? '')),
                                        );
                                        set(field.key, next.every((one) => one === '') ? null : next);
                                    }}
                                    className="figure min-h-11 w-24 rounded-[4px] border border-soft/60 bg-sheet px-2"
                                />
                            ))}
                        </div>
                        {hint(field) && <p className="mt-1 text-[0.9rem] text-soft">{hint(field)}</p>}
                        {errors[field.key] && (
                            <p role="alert" className="mt-1 font-medium text-bad">
                                {errors[field.key]}
                            </p>
                        )}
                    </fieldset>
                );
            })}
        </div>
    );
}

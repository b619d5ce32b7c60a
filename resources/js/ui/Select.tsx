import { useId, type SelectHTMLAttributes } from 'react';

interface Props extends SelectHTMLAttributes<HTMLSelectElement> {
    label: string;
    choices: { value: string; label: string }[];
    error?: string | undefined;
    hint?: string | null;
    empty?: string;
    bare?: boolean;
}

/** One of many, from a list. */
export default function Select({
    label,
    choices,
    error,
    hint = null,
    empty,
    bare = false,
    className = '',
    ...rest
}: Props) {
    const id = useId();
    return (
        <div className={className}>
            <label htmlFor={id} className={bare ? 'sr-only' : 'mb-1 block font-medium'}>
                {label}
            </label>
            <select
                id={id}
                aria-invalid={error ? true : undefined}
                aria-describedby={error ? `${id}-error` : undefined}
                className={`min-h-11 w-full rounded-[4px] border bg-sheet px-3 py-2 text-ink ${error ? 'border-bad' : 'border-soft/60'}`}
                {...rest}
            >
                {empty !== undefined && <option value="">{empty}</option>}
                {choices.map((choice) => (
                    <option key={choice.value} value={choice.value}>
                        {choice.label}
                    </option>
                ))}
            </select>
            {hint && <p className="mt-1 text-[0.9rem] text-soft">{hint}</p>}
            {error && (
                <p id={`${id}-error`} role="alert" className="mt-1 font-medium text-bad">
                    {error}
                </p>
            )}
        </div>
    );
}

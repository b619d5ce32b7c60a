import { useId, type InputHTMLAttributes, type TextareaHTMLAttributes } from 'react';

interface Common {
    label: string;
    hint?: string | null | undefined;
    error?: string | undefined;
}

const box = 'w-full min-h-11 rounded-[4px] border bg-sheet px-3 py-2 text-ink';

function Notes({ id, hint, error }: { id: string; hint?: string | null | undefined; error?: string | undefined }) {
    return (
        <>
            {hint && (
                <p id={`${id}-hint`} className="mt-1 text-[0.9rem] text-soft">
                    {hint}
                </p>
            )}
            {error && (
                <p id={`${id}-error`} role="alert" className="mt-1 font-medium text-bad">
                    {error}
                </p>
            )}
        </>
    );
}

function describedBy(id: string, hint?: string | null, error?: string): string | undefined {
    const ids = [hint ? `${id}-hint` : '', error ? `${id}-error` : ''].filter(Boolean).join(' ');
    return ids === '' ? undefined : ids;
}

export function TextField({
    label,
    hint,
    error,
    className = '',
    ...rest
}: Common & InputHTMLAttributes<HTMLInputElement>) {
    const id = useId();
    return (
        <div className={className}>
            <label htmlFor={id} className="mb-1 block font-medium">
                {label}
            </label>
            <input
                id={id}
                aria-invalid={error ? true : undefined}
                aria-describedby={describedBy(id, hint, error)}
                className={`${box} ${error ? 'border-bad' : 'border-soft/60'}`}
                {...rest}
            />
            <Notes id={id} hint={hint} error={error} />
        </div>
    );
}

export function TextArea({
    label,
    hint,
    error,
    className = '',
    mono = false,
    ...rest
}: Common & { mono?: boolean } & TextareaHTMLAttributes<HTMLTextAreaElement>) {
    const id = useId();
    return (
        <div className={className}>
            <label htmlFor={id} className="mb-1 block font-medium">
                {label}
            </label>
            <textarea
                id={id}
                aria-invalid={error ? true : undefined}
                aria-describedby={describedBy(id, hint, error)}
                className={`${box} ${mono ? 'figure' : ''} ${error ? 'border-bad' : 'border-soft/60'}`}
                {...rest}
            />
            <Notes id={id} hint={hint} error={error} />
        </div>
    );
}

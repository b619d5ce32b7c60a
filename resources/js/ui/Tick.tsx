import type { ReactNode } from 'react';

interface Props {
    checked: boolean;
    onChange: (checked: boolean) => void;
    disabled?: boolean;
    children: ReactNode;
}

/** Something that is so or not. */
export default function Tick({ checked, onChange, disabled = false, children }: Props) {
    return (
        <label className="flex min-h-11 items-center gap-2.5">
            <input
                type="checkbox"
                checked={checked}
                disabled={disabled}
                onChange={(event) => onChange(event.target.checked)}
                className="h-5 w-5 shrink-0 accent-[var(--lake)]"
            />
            <span>{children}</span>
        </label>
    );
}

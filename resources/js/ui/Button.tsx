import type { ButtonHTMLAttributes, ReactNode } from 'react';

type Kind = 'act' | 'plain' | 'quiet' | 'dock';

const looks: Record<Kind, string> = {
    act: 'bg-act text-act-ink font-semibold px-5 border border-transparent hover:brightness-105',
    plain: 'bg-sheet text-ink font-medium px-4 border border-ink/50 hover:border-ink',
    quiet: 'bg-transparent text-lake font-medium px-2 underline decoration-1 underline-offset-4 hover:decoration-2',
    dock: 'bg-transparent text-dock-ink font-medium px-4 border border-dock-rule hover:border-dock-ink aria-pressed:bg-dock-ink aria-pressed:text-dock',
};

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
    kind?: Kind;
    children: ReactNode;
}

export default function Button({ kind = 'plain', className = '', type = 'button', children, ...rest }: Props) {
    return (
        <button
            type={type}
            className={`min-h-11 rounded-[5px] text-base disabled:opacity-45 ${looks[kind]} ${className}`}
            {...rest}
        >
            {children}
        </button>
    );
}

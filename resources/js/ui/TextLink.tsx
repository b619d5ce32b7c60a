import { Link } from '@inertiajs/react';
import type { ReactNode } from 'react';

interface Props {
    href: string;
    children: ReactNode;
    /** Room at its sides, where links stand beside each other. */
    apart?: boolean;
    /** A file, or a page that is loaded anew. */
    plain?: boolean;
    className?: string;
    'aria-label'?: string;
    'aria-current'?: 'page' | undefined;
    target?: string;
    download?: boolean | string;
    preserveState?: boolean;
    preserveScroll?: boolean;
}

/** A link among words, as high as a finger. */
export default function TextLink({
    href,
    children,
    apart = false,
    plain = false,
    className = '',
    preserveState,
    preserveScroll,
    ...rest
}: Props) {
    const look = `inline-flex min-h-11 items-center text-lake underline underline-offset-4 ${apart ? 'px-2' : ''} ${className}`;
    return plain ? (
        <a href={href} className={look} {...rest}>
            {children}
        </a>
    ) : (
        <Link
            href={href}
            className={look}
            {...(preserveState === undefined ? {} : { preserveState })}
            {...(preserveScroll === undefined ? {} : { preserveScroll })}
            {...rest}
        >
            {children}
        </Link>
    );
}

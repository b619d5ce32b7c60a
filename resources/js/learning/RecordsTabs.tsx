import { useMay } from '@/lib/may';
import TextLink from '@/ui/TextLink';

/** Ways between the pages that the closed jobs make. */
export default function RecordsTabs({ here }: { here: 'experience' | 'terms' | 'results' | 'lessons' }) {
    const lead = useMay('results');
    const pages = [
        { key: 'experience', label: 'What our jobs say', href: '/experience' },
        { key: 'terms', label: 'What things take', href: '/terms' },
        { key: 'lessons', label: 'Lessons', href: '/lessons' },
        ...(lead ? [{ key: 'results', label: 'Results', href: '/results' }] : []),
    ];
    return (
        <nav aria-label="Records" className="flex flex-wrap gap-x-5 border-b border-rule">
            {pages.map((page) => (
                <TextLink
                    key={page.key}
                    href={page.href}
                    aria-current={page.key === here ? 'page' : undefined}
                    className={page.key === here ? 'font-semibold text-ink no-underline' : ''}
                >
                    {page.label}
                </TextLink>
            ))}
        </nav>
    );
}

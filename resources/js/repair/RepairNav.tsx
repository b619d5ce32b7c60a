import { Link } from '@inertiajs/react';

const pages = [
    { key: 'remedy', label: 'Remedy' },
    { key: 'fit', label: 'Fit check' },
    { key: 'order', label: 'Order' },
    { key: 'strip', label: 'Strip-down' },
    { key: 'wires', label: 'Wires' },
    { key: 'swap', label: 'Swap' },
];

/** The pages of a repair, in the order of the work; none of them has to be filled in. */
export default function RepairNav({ job, here }: { job: string; here: string }) {
    return (
        <nav aria-label="Repair" className="border-b border-rule bg-sheet px-5 max-sm:px-3">
            <ol className="mx-auto flex max-w-[1240px] flex-wrap">
                {pages.map((page, n) => (
                    <li key={page.key}>
                        <Link
                            href={`/jobs/${job}/${page.key}`}
                            aria-current={page.key === here ? 'page' : undefined}
                            className={`flex min-h-11 items-center gap-1.5 border-b-[3px] px-3 max-sm:px-2 ${page.key === here ? 'border-lake font-semibold' : 'border-transparent text-soft hover:text-ink'}`}
                        >
                            <span className="figure text-[0.82rem] text-soft">{n + 1}</span>
                            {page.label}
                        </Link>
                    </li>
                ))}
            </ol>
        </nav>
    );
}

import { Link } from '@inertiajs/react';
import { day } from '@/lib/format';
import type { FittedPart } from '@/generated/props';

/** What was fitted, when, by whom, and until when it is warranted. */
export default function FittedList({ parts }: { parts: FittedPart[] }) {
    return (
        <ul className="border-b border-rule">
            {parts.map((part) => (
                <li
                    key={part.id}
                    className="grid gap-x-4 border-t border-rule py-2 sm:grid-cols-[8rem_minmax(0,1fr)_auto]"
                >
                    <span className="text-soft">{day(part.on)}</span>
                    <span>
                        <strong className="font-semibold">{part.label}</strong>
                        {part.partNumber && <span className="figure"> {part.partNumber}</span>}
                        <span className="text-soft">
                            {part.by && `, by ${part.by}`}
                            {part.temporary && ', for now only'}
                            {part.held === false && ', did not hold'}
                        </span>{' '}
                        <Link
                            href={`/jobs/${part.jobId}/proof`}
                            className="figure text-lake underline underline-offset-4"
                        >
                            {part.job}
                        </Link>
                    </span>
                    <span className={part.underWarranty ? 'font-medium text-good' : 'text-soft'}>
                        {part.warrantyUntil
                            ? part.underWarranty
                                ? `warranty until ${day(part.warrantyUntil)}`
                                : `warranty ended ${day(part.warrantyUntil)}`
                            : ''}
                    </span>
                </li>
            ))}
        </ul>
    );
}

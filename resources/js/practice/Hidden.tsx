import { useState } from 'react';
import type { JobHead, PracticeShown } from '@/generated/props';
import Button from '@/ui/Button';

/** Says that the unit is made up, and what is hidden in it when somebody asks. */
export default function Hidden({ job, practice }: { job: JobHead; practice: PracticeShown | null }) {
    const [told, setTold] = useState(false);
    if (!job.practice) return null;
    if (practice === null)
        return (
            <p
                role="note"
                aria-label="Practice"
                className="my-2 border-l-4 border-lake bg-sheet px-3 py-1 leading-snug"
            >
                A make-believe unit. Its circuit was changed to another one, so it answers no more.
            </p>
        );
    return (
        <div role="note" aria-label="Practice" className="my-2 border-l-4 border-lake bg-sheet px-3 py-1 leading-snug">
            <strong className="font-semibold">A make-believe unit:</strong> nothing stands on the bench, and it answers
            by itself.{' '}
            {practice.hidden === '' ? null : told ? (
                <span role="status">
                    Hidden in it: <strong className="font-semibold">{practice.hidden}</strong>.
                </span>
            ) : (
                <Button kind="quiet" onClick={() => setTold(true)}>
                    Show what is hidden in it
                </Button>
            )}
        </div>
    );
}

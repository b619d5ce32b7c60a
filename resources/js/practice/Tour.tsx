import { usePage } from '@inertiajs/react';
import type { JobHead } from '@/generated/props';
import TextLink from '@/ui/TextLink';

const steps: Record<string, [number, string]> = {
    bench: [
        1,
        'The strip on top is what the machine does, beside what it should. In the middle is the test that tells most for its minutes, with its caution first. Press “let it answer”, then “Record”, and watch the odds on the right; do so until a verdict stands here, then go to it.',
    ],
    verdict: [2, 'What is wrong, how sure that is, and the readings that say so. Go on to the repair.'],
    remedy: [
        3,
        'What the repair may be, with its money and minutes. Take the one that is put first, and on to the swap.',
    ],
    swap: [4, 'Note what was replaced. Cautions stand before the steps.'],
    proof: [
        5,
        'A repair is proved, not believed: listen to every position, and read once more what condemned the part. “Let it answer” works here, too. Then close the job.',
    ],
};

/** The whole way once: what the page is for, on the job of a newcomer. */
export default function Tour({ job }: { job: JobHead }) {
    // Several pages of the repair stand under one stage: the address tells them apart.
    const here =
        usePage()
            .url.replace(/[?#].*/, '')
            .split('/')
            .pop() ?? '';
    const step = steps[here];
    if (job.practice && job.stage === 'closed' && here !== 'score')
        return (
            <p role="note" aria-label="Practice" className="border-b border-lake/40 bg-sheet px-5 py-2">
                Done.{' '}
                <TextLink href={`/jobs/${job.id}/score`}>
                    See what each step told, and what would have told more
                </TextLink>
            </p>
        );
    if (!job.tour || step === undefined) return null;
    return (
        <p role="note" aria-label="The whole way" className="border-b border-lake/40 bg-sheet px-5 py-2 leading-snug">
            <strong className="font-semibold">{step[0]} of 5.</strong> {step[1]}
        </p>
    );
}

import type { LessonShown } from '@/generated/props';
import TextLink from '@/ui/TextLink';

/** What was noted for next time, after verdicts that did not hold. */
export default function LessonList({ lessons }: { lessons: LessonShown[] }) {
    if (lessons.length === 0) return null;
    return (
        <section aria-label="Lessons" className="mt-6 border-l-4 border-warn pl-3">
            <h2 className="font-semibold">Learned the hard way</h2>
            <ul>
                {lessons.map((one) => (
                    <li key={one.jobId} className="flex flex-wrap items-center gap-x-3">
                        <span className="max-w-[75ch]">{one.lesson}</span>
                        <TextLink href={`/jobs/${one.jobId}/replay`} aria-label={`How it went: ${one.lesson}`}>
                            How it went
                        </TextLink>
                    </li>
                ))}
            </ul>
        </section>
    );
}

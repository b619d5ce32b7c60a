import { router } from '@inertiajs/react';
import type { ReadingShown } from '@/generated/props';
import Button from '@/ui/Button';

interface Props {
    jobId: string;
    reading: ReadingShown;
}

/** What is doubtful about the last reading, asked once: take it again, keep it, or strike it out. */
export default function Doubts({ jobId, reading }: Props) {
    const post = (answer: string, data: Record<string, string | boolean | null> = {}) =>
        router.post(`/jobs/${jobId}/readings/${reading.id}/${answer}`, data, { preserveScroll: true });
    return (
        <section
            role="alert"
            aria-label="Doubt about the last reading"
            className="flex flex-wrap items-center gap-x-4 gap-y-2 border-t-2 border-warn bg-caution px-5 py-2 max-sm:px-3"
        >
            <div className="min-w-[240px] flex-1 leading-snug">
                {reading.doubts.map((doubt) => (
                    <p key={doubt}>{doubt}</p>
                ))}
                <p className="text-[0.9rem] text-soft">
                    {reading.title}. Until you answer, this reading counts for less.
                </p>
            </div>
            <div className="flex flex-wrap gap-2">
                <Button kind="act" onClick={() => post('strike', { reason: 'taken again', again: true })}>
                    Take it again
                </Button>
                <Button onClick={() => post('keep')}>It is right, keep it</Button>
                <Button onClick={() => post('strike', { reason: 'doubted' })}>Strike it out</Button>
            </div>
        </section>
    );
}

import { Link, router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { ulid } from 'ulid';
import ReadingLog from '@/features/ReadingLog';
import SpeedMapEntry from '@/features/SpeedMapEntry';
import SpeedStrip from '@/features/SpeedStrip';
import { day } from '@/lib/format';
import type { JobHead, ReadingShown, ReplacementShown, Shared, State, Strip } from '@/lib/types';
import Button from '@/ui/Button';
import Frame from '@/ui/Frame';

interface Props extends Shared {
    job: JobHead;
    strip: Strip;
    replacements: ReplacementShown[];
    readings: ReadingShown[];
    open: boolean;
}

export default function Proof() {
    const { job, strip, replacements, readings, open, errors } = usePage<Props>().props;
    const [id] = useState(ulid);
    const [states, setStates] = useState<Record<string, State | undefined>>({});
    const [sending, setSending] = useState(false);
    const submit = (event: React.FormEvent) => {
        event.preventDefault();
        setSending(true);
        router.post(`/jobs/${job.id}/proof`, { id, states: Object.fromEntries(strip.cells.map((cell) => [cell.key, states[cell.key] ?? null])) }, { preserveState: true, onFinish: () => setSending(false) });
    };
    return (
        <Frame title={`Proof ${job.number}`} job={job} here="proof">
            <SpeedStrip strip={strip} />
            <div className="mx-auto max-w-[1180px] px-5 py-5">
                {open ? (
                    <form onSubmit={submit}>
                        <h1 className="text-[1.6rem] leading-tight font-semibold">The same map again</h1>
                        <p className="border-l-4 border-warn bg-caution my-3 px-3 py-1.5 font-medium">The blower runs during the proof. Hands, sleeves and tools out of the wheel; bare ends insulated first.</p>
                        <p className="mb-3 max-w-[60em]">Before closing up, run every position. A lowest speed that barely turns is no pass. The job closes only when all of them are right; otherwise it goes back to the bench with this map as readings.</p>
                        <SpeedMapEntry legend="What it does now" cells={strip.cells} states={states} onChange={setStates} error={errors.states ?? errors.id} />
                        <Button kind="act" type="submit" disabled={sending} className="mt-4">Record the proof</Button>
                    </form>
                ) : (
                    <>
                        <p className="text-soft">Closed {job.closedAt ? day(job.closedAt) : ''}</p>
                        <h1 className="text-[1.8rem] leading-tight font-semibold">{job.temporaryUntil ? 'Temporary. Every position is right for now.' : 'Repaired. Every position is right.'}</h1>
                        {job.temporaryUntil && <p className="mt-2 border-l-4 border-warn bg-caution px-3 py-2 font-medium">Not repaired: the part is due on {day(job.temporaryUntil)}.</p>}
                    </>
                )}
                <div className="mt-8 grid gap-10 lg:grid-cols-2">
                    <section aria-label="What was done">
                        <h2 className="mb-1 text-lg font-semibold">What was done</h2>
                        {replacements.map((past) => (
                            <div key={past.at} className="border-t border-rule py-2">
                                <p><strong className="font-semibold">{past.label}</strong>{past.partNumber && <span className="figure text-soft"> {past.partNumber}</span>} <span className="text-soft">{day(past.at)}</span></p>
                                {past.note && <p>{past.note}</p>}
                            </div>
                        ))}
                        <p className="mt-3 flex flex-wrap gap-4">
                            <a href={`/jobs/${job.id}/file`} className="inline-flex min-h-11 items-center text-lake underline underline-offset-4" download>Export the job file</a>
                            <Link href="/" className="inline-flex min-h-11 items-center text-lake underline underline-offset-4">All jobs</Link>
                        </p>
                    </section>
                    <section aria-label="Readings">
                        <h2 className="mb-1 text-lg font-semibold">Readings</h2>
                        <ReadingLog jobId={job.id} readings={readings.filter((reading) => reading.map === null)} open={false} />
                    </section>
                </div>
            </div>
        </Frame>
    );
}

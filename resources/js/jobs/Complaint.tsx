import { Link, useForm, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { ulid } from 'ulid';
import Again from '@/jobs/Again';
import Care, { Past } from '@/jobs/Care';
import SpeedMapEntry from '@/jobs/SpeedMapEntry';
import SpeedStrip from '@/jobs/SpeedStrip';
import { day } from '@/lib/format';
import { wordFor } from '@/jobs/states';
import { word } from '@/lib/payload';
import type { ComplaintPage, SpeedState } from '@/generated/props';
import type { Shared } from '@/lib/page';
import { useEntryForm } from '@/repair/useEntryForm';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

type Props = ComplaintPage & Shared;
type States = Record<string, SpeedState | undefined>;

export default function Complaint() {
    const { job, strip, history, also, open, openedBy, unitId } = usePage<Props>().props;
    const [id, setId] = useState(ulid);
    const second = useEntryForm(job.id, 'also', { what: '' });
    const form = useForm<{ notedFor: string; states: States }>({ notedFor: '', states: {} });
    const errors: Record<string, string | undefined> = form.errors;
    const whole = [job.unit, job.place, job.model].filter(Boolean).join(', ');
    const remembered = strip.maps.filter((map) => map.kind === 'remembered');
    const add = (event: React.FormEvent) => {
        event.preventDefault();
        form.transform((data) => ({
            id,
            notedFor: data.notedFor,
            states: Object.fromEntries(Object.entries(data.states).map(([key, state]) => [key, state ?? null])),
        }));
        form.post(`/jobs/${job.id}/maps`, {
            preserveState: true,
            preserveScroll: true,
            onSuccess: () => {
                setId(ulid());
                form.reset();
            },
        });
    };
    return (
        <Frame title={`Complaint ${job.number}`} job={job} here="complaint">
            <SpeedStrip strip={strip} />
            <div className="mx-auto grid max-w-[1180px] gap-10 px-5 py-6 lg:grid-cols-[1fr_1.5fr]">
                <section aria-label="Complaint">
                    <h1 className="text-[1.6rem] leading-tight font-semibold">{job.complaint}</h1>
                    <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
                        <dt className="text-soft">Unit</dt>
                        <dd>
                            {unitId === null ? (
                                whole
                            ) : (
                                <Link href={`/units/${unitId}`} className="text-lake underline underline-offset-4">
                                    {whole}
                                </Link>
                            )}
                        </dd>
                        <dt className="text-soft">Opened</dt>
                        <dd>
                            {day(job.openedAt)}, by {openedBy}
                        </dd>
                        <dt className="text-soft">Whose job</dt>
                        <dd>{job.owner ?? 'nobody’s'}</dd>
                        <dt className="text-soft">Since</dt>
                        <dd>{job.since ?? 'not said'}</dd>
                        <dt className="text-soft">Shows</dt>
                        <dd>{job.intermittent ? 'comes and goes' : 'always'}</dd>
                        <dt className="text-soft">Replaced before</dt>
                        <dd>{job.replacedBefore ?? 'nothing known'}</dd>
                    </dl>
                    <Again again={job.again} />
                    {also.map((one) => (
                        <p key={one.id} className="mt-2 border-l-4 border-warn pl-3">
                            <span className="text-soft">Also:</span> {word(one.what)}
                        </p>
                    ))}
                    {open && (
                        <form className="mt-3 flex flex-wrap items-start gap-3" onSubmit={second.send}>
                            <TextField
                                label="A second thing that is wrong"
                                hint="It stays open until somebody settles it by name."
                                {...second.field('what')}
                                className="min-w-64 flex-1"
                            />
                            <Button
                                type="submit"
                                disabled={second.sending || second.draft.what.trim() === ''}
                                className="beside-field"
                            >
                                Note it
                            </Button>
                        </form>
                    )}
                    {history.length > 0 && (
                        <>
                            <h2 className="mt-5 font-semibold">Other jobs on this unit</h2>
                            <ul>
                                {history.map((other) => (
                                    <li key={other.id}>
                                        <Link
                                            href={`/jobs/${other.id}`}
                                            className="inline-flex min-h-11 items-center gap-2 text-lake underline underline-offset-4"
                                        >
                                            <span className="figure">{other.number}</span> {other.complaint}
                                        </Link>
                                    </li>
                                ))}
                            </ul>
                        </>
                    )}
                    <Past />
                    <Care />
                    <p className="mt-5">
                        <TextLink plain href={`/jobs/${job.id}/file`} download>
                            Export the job file
                        </TextLink>
                    </p>
                </section>
                <section aria-label="Earlier behaviour">
                    <h2 className="text-lg font-semibold">How it behaved before</h2>
                    <p className="mb-3 text-soft">
                        What is remembered counts less than what was heard today, but the order in which positions died
                        is evidence.
                    </p>
                    {remembered.map((map) => (
                        <p key={map.id} className="border-t border-rule py-1.5">
                            <strong className="font-semibold">{map.notedFor}:</strong>{' '}
                            {strip.cells
                                .filter((cell) => map.states[cell.key])
                                .map((cell) => `${cell.label} ${wordFor(map.states[cell.key] as SpeedState, cell)}`)
                                .join(', ')}
                        </p>
                    ))}
                    {open && (
                        <form onSubmit={add} className="mt-3 flex flex-col gap-3">
                            <TextField
                                label="When"
                                value={form.data.notedFor}
                                onChange={(event) => form.setData('notedFor', event.target.value)}
                                error={errors['notedFor']}
                                hint="For example: last winter, two weeks ago."
                            />
                            <SpeedMapEntry
                                legend="What it did then"
                                cells={strip.cells}
                                states={form.data.states}
                                onChange={(next) => form.setData('states', next)}
                                error={errors['states']}
                            />
                            <Button type="submit" className="self-start">
                                Add what is remembered
                            </Button>
                        </form>
                    )}
                </section>
            </div>
        </Frame>
    );
}

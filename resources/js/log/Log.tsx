import { router, useForm, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { ulid } from 'ulid';
import TimePlot, { type Logged } from '@/captures/TimePlot';
import { clock, day } from '@/lib/format';
import type { LogPage, PhotoShown } from '@/generated/props';
import { useMay } from '@/lib/may';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

type Props = LogPage & Shared;

const select = 'min-h-11 w-full min-w-0 rounded-[4px] border border-soft/60 bg-sheet px-2';

function Filter({
    label,
    value,
    values,
    onChange,
}: {
    label: string;
    value: string;
    values: string[];
    onChange: (value: string) => void;
}) {
    return (
        <label className="block min-w-0 flex-1">
            <span className="mb-1 block font-medium">{label}</span>
            <select value={value} onChange={(event) => onChange(event.target.value)} className={select}>
                <option value="">all</option>
                {[...new Set(values)].sort().map((one) => (
                    <option key={one}>{one}</option>
                ))}
            </select>
        </label>
    );
}

function Photos({ jobId, photos }: { jobId: string; photos: PhotoShown[] }) {
    const removes = useMay('remove');
    return (
        <ul className="flex flex-wrap gap-2 py-1">
            {photos.map((photo) => (
                <li key={photo.id} className="flex flex-col">
                    <a href={`/jobs/${jobId}/photos/${photo.id}`} target="_blank" rel="noreferrer">
                        <img
                            src={`/jobs/${jobId}/photos/${photo.id}`}
                            alt={photo.caption ?? `Photo of ${clock(photo.takenAt)}`}
                            width={photo.width}
                            height={photo.height}
                            loading="lazy"
                            className="h-24 w-auto border border-rule"
                        />
                    </a>
                    {removes && (
                        <button
                            type="button"
                            onClick={() => router.delete(`/jobs/${jobId}/photos/${photo.id}`, { preserveScroll: true })}
                            className="min-h-11 self-start text-[0.88rem] text-lake underline underline-offset-4"
                        >
                            Remove<span className="sr-only"> photo {photo.caption}</span>
                        </button>
                    )}
                </li>
            ))}
        </ul>
    );
}

function AddPhoto({ jobId, reading, title }: { jobId: string; reading: string | null; title: string }) {
    const form = useForm<{ id: string; photo: File | null; reading: string | null; caption: string }>({
        id: ulid(),
        photo: null,
        reading,
        caption: '',
    });
    return (
        <form
            className="flex flex-wrap items-center gap-2 py-1"
            onSubmit={(event) => {
                event.preventDefault();
                form.post(`/jobs/${jobId}/photos`, {
                    preserveScroll: true,
                    onSuccess: () => form.setData((data) => ({ ...data, id: ulid(), photo: null, caption: '' })),
                });
            }}
        >
            <input
                key={form.data.id}
                type="file"
                aria-label={`Photo of: ${title}`}
                accept="image/jpeg,image/png,image/webp"
                onChange={(event) => form.setData('photo', event.target.files?.[0] ?? null)}
                className="min-h-11 max-w-[15rem] text-[0.9rem]"
            />
            <input
                aria-label={`What the photo shows: ${title}`}
                placeholder="what it shows"
                value={form.data.caption}
                maxLength={200}
                onChange={(event) => form.setData('caption', event.target.value)}
                className="min-h-11 min-w-[9rem] flex-1 rounded-[4px] border border-soft/60 bg-sheet px-2"
            />
            <Button type="submit" disabled={form.processing || form.data.photo === null}>
                Add photo
            </Button>
            {form.errors.photo && (
                <p role="alert" className="w-full font-medium text-bad">
                    {form.errors.photo}
                </p>
            )}
        </form>
    );
}

function Entry({ jobId, reading, photos }: { jobId: string; reading: Logged; photos: PhotoShown[] }) {
    const [adding, setAdding] = useState(false);
    const notes = [
        reading.steady ? '' : 'wandered',
        reading.misbehaved === null ? '' : reading.misbehaved ? 'while it misbehaved' : 'while it worked',
        reading.instrument ? `by ${reading.instrument}` : '',
        reading.leads ? `leads of ${reading.leads} taken off` : '',
        reading.kept ? 'doubted and kept' : '',
        reading.struck ? `struck out${reading.struckBecause ? `: ${reading.struckBecause}` : ''}` : '',
    ]
        .filter(Boolean)
        .join(', ');
    return (
        <li className="grid grid-cols-[8rem_minmax(0,1fr)_auto] gap-x-3 border-t border-rule py-1.5 max-sm:grid-cols-[6rem_minmax(0,1fr)]">
            <span
                className={`text-right font-medium ${reading.unit ? 'figure' : 'leading-snug'} ${reading.struck ? 'line-through opacity-70' : ''}`}
            >
                {reading.value}
            </span>
            <span className="leading-snug">
                <span className={reading.struck ? 'line-through opacity-70' : ''}>{reading.title}</span>
                <span className="block text-[0.88rem] text-soft">
                    {clock(reading.takenAt)}, {reading.setUp}
                    {notes ? `; ${notes}` : ''}
                </span>
                {!reading.struck &&
                    !reading.kept &&
                    reading.doubts.map((doubt) => (
                        <span key={doubt} className="block text-[0.9rem] text-warn">
                            {doubt}
                        </span>
                    ))}
                {photos.length > 0 && <Photos jobId={jobId} photos={photos} />}
                {adding && <AddPhoto jobId={jobId} reading={reading.id} title={reading.title} />}
            </span>
            <button
                type="button"
                aria-expanded={adding}
                onClick={() => setAdding(!adding)}
                className="min-h-11 self-start px-1 text-lake underline underline-offset-4 max-sm:col-start-2 max-sm:justify-self-start"
            >
                {adding ? 'Not now' : 'Photo'}
                <span className="sr-only">
                    {' '}
                    of: {reading.title}, {clock(reading.takenAt)}
                </span>
            </button>
        </li>
    );
}

/** Everything that was read: by set-up and place, over time, as a table, with photos. */
export default function Log() {
    const { job, open, readings: logged, photos } = usePage<Props>().props;
    const readings: Logged[] = logged.map(({ reading, ...where }) => ({ ...reading, ...where }));
    const [setUp, setSetUp] = useState('');
    const [place, setPlace] = useState('');
    const [maps, setMaps] = useState(false);
    const form = useForm<{ table: File | null }>({ table: null });
    const shown = readings.filter(
        (reading) =>
            (maps || reading.map === null) &&
            (setUp === '' || reading.setUp === setUp) &&
            (place === '' || reading.place === place),
    );
    const listed = readings.filter((reading) => maps || reading.map === null);
    const loose = photos.filter((photo) => photo.reading === null);
    return (
        <Frame title={`Readings ${job.number}`} job={job} here="bench">
            <div className="mx-auto grid max-w-[1240px] grid-cols-1 gap-8 px-5 py-5 lg:grid-cols-[minmax(0,1fr)_380px]">
                <div className="min-w-0">
                    <div className="flex flex-wrap items-baseline gap-x-4">
                        <h1 className="text-[1.6rem] leading-none font-semibold">Readings</h1>
                        <TextLink href={`/jobs/${job.id}/bench`}>Back to the bench</TextLink>
                    </div>
                    <div className="mt-2 flex flex-wrap gap-3">
                        <Filter
                            label="Set-up"
                            value={setUp}
                            values={listed.map((reading) => reading.setUp)}
                            onChange={setSetUp}
                        />
                        <Filter
                            label="Place"
                            value={place}
                            values={listed.map((reading) => reading.place)}
                            onChange={setPlace}
                        />
                        <label className="flex min-h-11 items-center gap-2 self-end">
                            <input
                                type="checkbox"
                                checked={maps}
                                onChange={(event) => setMaps(event.target.checked)}
                                className="h-5 w-5"
                            />{' '}
                            speed maps too
                        </label>
                    </div>
                    <p role="status" className="mt-3 text-soft">
                        {shown.length === 0
                            ? 'No reading here. Take one on the bench, or choose another set-up or place.'
                            : shown.length === 1
                              ? '1 reading'
                              : `${shown.length} readings`}
                        {shown[0] ? `, newest of ${day(shown[0].takenAt)} first` : ''}
                    </p>
                    <ul className="mt-1 border-b border-rule">
                        {shown.map((reading) => (
                            <Entry
                                key={reading.id}
                                jobId={job.id}
                                reading={reading}
                                photos={photos.filter((photo) => photo.reading === reading.id)}
                            />
                        ))}
                    </ul>
                </div>
                <aside className="flex min-w-0 flex-col gap-6">
                    <TimePlot readings={shown} />
                    <section aria-labelledby="as-found">
                        <h2 id="as-found" className="text-lg font-semibold">
                            Photos of the job
                        </h2>
                        {loose.length > 0 ? (
                            <Photos jobId={job.id} photos={loose} />
                        ) : (
                            <p className="text-soft">
                                As found, labels, damage. What belongs to a reading is added there.
                            </p>
                        )}
                        <AddPhoto jobId={job.id} reading={null} title="the job" />
                    </section>
                    <section aria-labelledby="table">
                        <h2 id="table" className="text-lg font-semibold">
                            As a table
                        </h2>
                        <p>
                            <TextLink plain href={`/jobs/${job.id}/log.csv`}>
                                Readings as CSV
                            </TextLink>
                        </p>
                        {open && (
                            <form
                                onSubmit={(event) => {
                                    event.preventDefault();
                                    form.post(`/jobs/${job.id}/log`, { preserveScroll: true, forceFormData: true });
                                }}
                            >
                                <label className="block">
                                    <span className="mb-1 block font-medium">Import a table of readings</span>
                                    <input
                                        type="file"
                                        accept=".csv,text/csv"
                                        onChange={(event) => form.setData('table', event.target.files?.[0] ?? null)}
                                        aria-describedby="table-hint"
                                        className="block min-h-11 w-full rounded-[4px] border border-soft/60 bg-sheet p-2"
                                    />
                                </label>
                                <p id="table-hint" className="mt-1 text-[0.9rem] text-soft">
                                    Columns test and value; time, unit, steady and supply where they are known. What is
                                    here already is not doubled.
                                </p>
                                {form.errors.table && (
                                    <p role="alert" className="mt-1 font-medium text-bad">
                                        {form.errors.table}
                                    </p>
                                )}
                                <Button
                                    type="submit"
                                    className="mt-2"
                                    disabled={form.processing || form.data.table === null}
                                >
                                    Take it in
                                </Button>
                            </form>
                        )}
                    </section>
                </aside>
            </div>
        </Frame>
    );
}

import { Link, router, useForm, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { ulid } from 'ulid';
import StepBars from '@/captures/StepBars';
import Trace from '@/captures/Trace';
import { clock, figure } from '@/lib/format';
import type { CaptureShown, CapturesPage, ChannelShown } from '@/generated/props';
import { useMay } from '@/lib/may';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

type Props = CapturesPage & Shared;

function ImportForm({ jobId, positions }: { jobId: string; positions: Props['positions'] }) {
    const form = useForm<{
        id: string;
        file: File | null;
        position: string;
        rate: string;
        volts: string;
        probe: string;
    }>({ id: ulid(), file: null, position: positions[0]?.key ?? '', rate: '', volts: '', probe: '1' });
    const [more, setMore] = useState(false);
    const select = 'min-h-11 w-full rounded-[4px] border border-soft/60 bg-sheet px-2';
    return (
        <form
            aria-label="Import a capture"
            className="flex flex-col gap-3"
            onSubmit={(event) => {
                event.preventDefault();
                form.post(`/jobs/${jobId}/captures`, {
                    preserveScroll: true,
                    onSuccess: () => form.setData((data) => ({ ...data, id: ulid(), file: null })),
                });
            }}
        >
            <label className="block">
                <span className="mb-1 block font-medium">File of the scope</span>
                <input
                    key={form.data.id}
                    type="file"
                    accept=".csv,.txt,.tsv,.vcd,.wav"
                    onChange={(event) => form.setData('file', event.target.files?.[0] ?? null)}
                    aria-describedby="file-hint"
                    className="block min-h-11 w-full rounded-[4px] border border-soft/60 bg-sheet p-2"
                />
                <span id="file-hint" className="mt-1 block text-[0.9rem] text-soft">
                    CSV, VCD or WAV, up to 20 million samples.
                </span>
                {form.errors.file && (
                    <span role="alert" className="mt-1 block font-medium text-bad">
                        {form.errors.file}
                    </span>
                )}
            </label>
            <label className="block">
                <span className="mb-1 block font-medium">Selector at</span>
                <select
                    value={form.data.position}
                    onChange={(event) => form.setData('position', event.target.value)}
                    className={select}
                >
                    {positions.map((position) => (
                        <option key={position.key} value={position.key}>
                            {position.label}
                        </option>
                    ))}
                    <option value="">not noted</option>
                </select>
            </label>
            {more || form.errors.rate || form.errors.volts ? (
                <>
                    <TextField
                        label="Samples a second"
                        hint="Only for a file without times, such as 20k."
                        value={form.data.rate}
                        onChange={(event) => form.setData('rate', event.target.value)}
                        error={form.errors.rate}
                        inputMode="decimal"
                    />
                    <TextField
                        label="Volts at full scale"
                        hint="Only for a sound file."
                        value={form.data.volts}
                        onChange={(event) => form.setData('volts', event.target.value)}
                        error={form.errors.volts}
                        inputMode="decimal"
                    />
                    <label className="block">
                        <span className="mb-1 block font-medium">Probe not set on the scope</span>
                        <select
                            value={form.data.probe}
                            onChange={(event) => form.setData('probe', event.target.value)}
                            className={select}
                        >
                            {['1', '10', '100'].map((factor) => (
                                <option key={factor} value={factor}>
                                    {factor} : 1
                                </option>
                            ))}
                        </select>
                    </label>
                </>
            ) : (
                <Button kind="quiet" className="self-start" onClick={() => setMore(true)}>
                    What the file does not say
                </Button>
            )}
            <Button kind="act" type="submit" disabled={form.processing || form.data.file === null}>
                {form.processing
                    ? `Taking it in${form.progress?.percentage ? `, ${Math.round(form.progress.percentage)} %` : ''}`
                    : 'Import'}
            </Button>
        </form>
    );
}

function Measured({ channel }: { channel: ChannelShown }) {
    const pulses = channel.pulses;
    if (pulses === null) return null;
    const parts =
        pulses.frequency === null
            ? [`no pulses, ${figure(pulses.mean, 2)} ${channel.unit || 'level'} on average`]
            : [
                  `${figure(pulses.frequency, 2)} Hz`,
                  `duty ${figure(pulses.duty ?? 0, 1)} %`,
                  `from ${figure(pulses.low, 1)} to ${figure(pulses.high, 1)} ${channel.unit || 'levels'}`,
                  `jitter ${figure(pulses.jitter ?? 0, 2)} %`,
                  pulses.missing > 0 ? `${pulses.missing} pulses missing` : 'none missing',
                  ...(pulses.bounces > 0 ? [`${pulses.bounces} edges of bouncing contacts`] : []),
                  ...(pulses.activeHigh === null ? [] : [pulses.activeHigh ? 'active high' : 'active low']),
              ];
    return <p className="figure text-[0.92rem]">{parts.join(' · ')}</p>;
}

function Capture({
    jobId,
    capture,
    open,
    wanted,
}: {
    jobId: string;
    capture: CaptureShown;
    open: boolean;
    wanted: string;
}) {
    const removes = useMay('remove');
    const [channel, setChannel] = useState(0);
    const shown = capture.channels[channel];
    const record = (test: string) =>
        router.post(`/jobs/${jobId}/captures/${capture.id}/reading`, { id: ulid(), test, channel });
    if (!shown) return null;
    const best = shown.readings.find((reading) => reading.test === wanted) ?? shown.readings[0];
    const others = shown.readings.filter((reading) => reading !== best);
    return (
        <article className="border-t border-rule py-4">
            <div className="flex flex-wrap items-baseline gap-x-3">
                <h3 className="font-semibold">
                    {capture.positionLabel === null ? 'Position not noted' : `Position ${capture.positionLabel}`}
                </h3>
                <span className="text-soft">
                    {capture.name}, {clock(capture.takenAt)}, {capture.count.toLocaleString('en-GB')} samples
                </span>
                {capture.channels.length > 1 && (
                    <label className="ml-auto">
                        channel{' '}
                        <select
                            value={channel}
                            onChange={(event) => setChannel(Number(event.target.value))}
                            className="min-h-11 rounded-[4px] border border-soft/60 bg-sheet px-2"
                        >
                            {capture.channels.map((one, n) => (
                                <option key={n} value={n}>
                                    {one.name}
                                </option>
                            ))}
                        </select>
                    </label>
                )}
            </div>
            <Measured channel={shown} />
            {capture.repairs.map((repair) => (
                <p key={repair} className="text-warn">
                    {repair}
                </p>
            ))}
            <div className="mt-2">
                <Trace key={channel} jobId={jobId} capture={capture} channel={channel} />
            </div>
            <p className="flex flex-wrap items-center gap-x-3">
                {open && best && (
                    <Button onClick={() => record(best.test)}>
                        Take {best.value} as: {best.title}
                    </Button>
                )}
                {open && others.length > 0 && (
                    <select
                        aria-label="Take it as another test"
                        value=""
                        onChange={(event) => record(event.target.value)}
                        className="min-h-11 max-w-[16rem] rounded-[4px] border border-soft/60 bg-sheet px-2"
                    >
                        <option value="">or as another test</option>
                        {others.map((reading) => (
                            <option key={reading.test} value={reading.test}>
                                {reading.title}: {reading.value}
                            </option>
                        ))}
                    </select>
                )}
                <TextLink plain href={`/jobs/${jobId}/captures/${capture.id}/file.csv`}>
                    CSV
                </TextLink>
                <TextLink plain href={`/jobs/${jobId}/captures/${capture.id}/file.vcd`}>
                    VCD
                </TextLink>
                {open && removes && (
                    <Button
                        kind="quiet"
                        onClick={() => router.delete(`/jobs/${jobId}/captures/${capture.id}`, { preserveScroll: true })}
                    >
                        Remove<span className="sr-only"> {capture.name}</span>
                    </Button>
                )}
            </p>
        </article>
    );
}

/** What a scope saved: measured, drawn, step by step, and taken down as readings. */
export default function Captures() {
    const { job, open, positions, captures, steps, wanted, errors } = usePage<Props>().props;
    return (
        <Frame title={`Captures ${job.number}`} job={job} here="bench">
            <div className="mx-auto grid max-w-[1240px] grid-cols-1 gap-8 px-5 py-5 lg:grid-cols-[minmax(0,1fr)_320px]">
                <div className="min-w-0">
                    <div className="flex flex-wrap items-baseline gap-x-4">
                        <h1 className="text-[1.6rem] leading-none font-semibold">Captures</h1>
                        <Link
                            href={`/jobs/${job.id}/bench${wanted ? `?test=${wanted}` : ''}`}
                            className="inline-flex min-h-11 items-center text-lake underline underline-offset-4"
                        >
                            Back to the bench
                        </Link>
                    </div>
                    {errors.test && (
                        <p role="alert" className="font-medium text-bad">
                            {errors.test}
                        </p>
                    )}
                    {captures.length === 0 && (
                        <p className="mt-4 max-w-[60ch]">
                            No capture yet. Save the signal of each position on the scope, ten periods and more, and
                            import the files here: they are measured, drawn and laid beside each other.
                        </p>
                    )}
                    <div className="mt-3">
                        {[...captures].reverse().map((capture) => (
                            <Capture key={capture.id} jobId={job.id} capture={capture} open={open} wanted={wanted} />
                        ))}
                    </div>
                </div>
                <aside className="flex min-w-0 flex-col gap-6 max-lg:order-first">
                    {open && <ImportForm jobId={job.id} positions={positions} />}
                    {steps.rows.length > 0 && <StepBars rows={steps.rows} findings={steps.findings} />}
                </aside>
            </div>
        </Frame>
    );
}

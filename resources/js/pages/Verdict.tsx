import { Link, router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { ulid } from 'ulid';
import CircuitSheet from '@/features/CircuitSheet';
import ReadingLog from '@/features/ReadingLog';
import SpeedStrip from '@/features/SpeedStrip';
import { day, money, percent } from '@/lib/format';
import type { Diagnosis, JobHead, OutlookShown, ReadingShown, ReplacementShown, Shared, Sheet, Strip } from '@/lib/types';
import Button from '@/ui/Button';
import { TextArea, TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';

interface Props extends Shared {
    job: JobHead;
    strip: Strip;
    sheet: Sheet;
    readings: ReadingShown[];
    replacements: ReplacementShown[];
    parts: { key: string; label: string; price: number; minutes: number }[];
    diagnosis: Diagnosis;
    guessedOnTheMap: number;
    outlook: OutlookShown;
    open: boolean;
    repairCaution: string;
    temporary: { part: string; name: string; days: string; latest: string; objection: string | null; cautions: string[]; steps: string[] } | null;
}

/** What repairing on these odds would cost, in the best order, and what one more test would save. */
function Outlook({ outlook, currency }: { outlook: OutlookShown; currency: string }) {
    if (outlook.attempts.length === 0) return null;
    return (
        <>
            <h2 className="mt-4 font-semibold">From here to a machine that runs</h2>
            <ol>
                {outlook.attempts.map((one, n) => (
                    <li key={one.remedy} className="grid grid-cols-[1.5rem_minmax(0,1fr)_auto] gap-x-3 border-t border-rule py-1.5">
                        <span className="figure text-soft">{n + 1}</span>
                        <span>{one.label}{n > 0 && <span className="text-soft">, if it comes to that: {percent(one.reached)}</span>}</span>
                        <span className="figure text-right">{money(one.money, currency)}, cures {percent(one.fixes)}</span>
                    </li>
                ))}
            </ol>
            <p className="border-t border-rule pt-1.5">Expected: <strong className="figure font-semibold">{money(outlook.money, currency)}</strong> with parts, labour and coming back.{outlook.test && ` One more test (${outlook.test.title.charAt(0).toLowerCase()}${outlook.test.title.slice(1)}) costs ${money(outlook.test.costs, currency)} and saves ${money(outlook.test.saves, currency)} of it.`}</p>
        </>
    );
}

export default function Verdict() {
    const { job, strip, sheet, readings, replacements, parts, diagnosis, guessedOnTheMap, outlook, open, repairCaution, temporary, user, errors } = usePage<Props>().props;
    const currency = user?.currency ?? 'EUR';
    const { verdict, misfit, suspects } = diagnosis;
    const leading = suspects[0];
    const [id] = useState(ulid);
    const [chosen, setChosen] = useState<string[]>(leading && leading.remedy !== 'none' ? leading.remedy.split('+') : []);
    const [partNumber, setPartNumber] = useState('');
    const [note, setNote] = useState('');
    const [bridged, setBridged] = useState(false);
    const [until, setUntil] = useState('');
    const canBridge = temporary !== null && chosen.length === 1 && chosen[0] === temporary.part;
    const [sending, setSending] = useState(false);
    const submit = (event: React.FormEvent) => {
        event.preventDefault();
        setSending(true);
        router.post(`/jobs/${job.id}/replacements`, { id, parts: chosen, partNumber, note, temporaryUntil: canBridge && bridged ? until : null }, { preserveState: true, onFinish: () => setSending(false) });
    };
    const ordered = [...parts].sort((a, b) => Number(chosen.includes(b.key)) - Number(chosen.includes(a.key)));
    return (
        <Frame title={`Verdict ${job.number}`} job={job} here="verdict">
            <SpeedStrip strip={strip} />
            <div className="mx-auto grid max-w-[1240px] gap-10 px-5 py-5 lg:grid-cols-[1.25fr_1fr]">
                <section aria-label="Verdict">
                    {open && leading ? (
                        <>
                            <p className="text-soft">{misfit ? 'No verdict: the readings do not fit together' : verdict ? (verdict.byElimination ? 'Verdict by elimination' : 'Verdict') : 'No verdict yet: these are the odds as they stand'}</p>
                            <h1 className="text-[1.9rem] leading-tight font-semibold">{leading.label} <span className="figure">{percent(leading.probability)}</span></h1>
                            <p className="text-lg">{leading.faults[0]?.label}.</p>
                            {misfit && <div role="alert" className="mt-3 border-l-4 border-bad bg-caution px-3 py-2">{misfit.map((one) => <p key={one.reading}><strong className="font-semibold">{one.sentence}</strong> {one.hint}</p>)}</div>}
                            <h2 className="mt-4 font-semibold">For and against</h2>
                            <ul>
                                {leading.reasons.map((reason) => (
                                    <li key={reason.sentence} className="border-t border-rule py-1.5"><strong className="font-semibold" style={{ color: reason.speaks === 'for' ? 'var(--good)' : 'var(--bad)' }}>{reason.speaks === 'for' ? 'For.' : 'Against.'}</strong> {reason.sentence}</li>
                                ))}
                                {leading.reasons.length === 0 && <li className="text-soft">Nothing speaks for it yet but its ordinary odds.</li>}
                            </ul>
                            {suspects.length > 1 && <p className="mt-3"><strong className="font-semibold">Still in question:</strong> {suspects.slice(1, 4).filter((one) => one.probability > 0.003).map((one) => `${one.label.toLowerCase()} ${percent(one.probability)}`).join(', ') || 'nothing worth naming'}.</p>}
                            <p className="mt-3 border-l-4 border-lake pl-3"><strong className="font-semibold">Price of guessing.</strong> Buying on the speed map alone would have wasted {money(guessedOnTheMap, currency)} on average: wrong parts, their labour, and coming back. On the odds as they stand now it is {money(diagnosis.guessing, currency)}.</p>
                            <Outlook outlook={outlook} currency={currency} />
                            {verdict && (
                                <>
                                    <h2 className="mt-4 font-semibold">The cause behind it</h2>
                                    {verdict.causes.length === 0 ? <p>Looked for: nothing is left to check.</p> : (
                                        <ul>
                                            {verdict.causes.map((cause) => (
                                                <li key={cause.test} className="border-t border-rule py-1">{cause.question} <Link href={`/jobs/${job.id}/bench?test=${cause.test}`} className="inline-flex min-h-11 items-center text-lake underline underline-offset-4">{cause.title}</Link></li>
                                            ))}
                                        </ul>
                                    )}
                                </>
                            )}
                        </>
                    ) : (
                        replacements.map((past) => (
                            <div key={past.at} className="mb-4">
                                <p className="text-soft">{day(past.at)}</p>
                                <h1 className="text-[1.7rem] leading-tight font-semibold">{past.label}</h1>
                                {past.verdict?.verdict && <p>The verdict was {past.verdict.verdict.label.toLowerCase()}, {percent(past.verdict.verdict.probability)}. Guessing on the map would have wasted {money(past.verdict.guessing, currency)} on average.</p>}
                                {past.verdict?.suspects[0]?.reasons.map((reason) => <p key={reason.sentence} className="border-t border-rule py-1.5">{reason.sentence}</p>)}
                                {past.note && <p>{past.note}</p>}
                            </div>
                        ))
                    )}
                    <details className="mt-5 border-t border-rule pt-2">
                        <summary className="min-h-11 cursor-pointer content-center font-medium">All readings</summary>
                        <ReadingLog jobId={job.id} readings={readings} open={open} spoiling={misfit?.map((one) => one.reading) ?? []} />
                    </details>
                </section>
                <div className="flex flex-col gap-6">
                    <div className="min-h-[240px]"><CircuitSheet sheet={sheet} title="Circuit with the suspects marked" suspects={open ? suspects : []} /></div>
                    {open && (
                        <form onSubmit={submit} className="border-t-2 border-ink pt-3">
                            <h2 className="text-lg font-semibold">What was replaced or repaired</h2>
                            <p className="mb-2 border-l-4 border-warn bg-caution px-3 py-1.5">{repairCaution}</p>
                            <p className="mb-1"><Link href={`/procedures?job=${job.id}`} className="inline-flex min-h-11 items-center text-lake underline underline-offset-4">Procedures for this unit, step by step</Link></p>
                            <p className="mb-2 text-soft">Measure the new part with the test that condemned the old one before it goes in.</p>
                            <fieldset className="mb-3">
                                <legend className="sr-only">Parts</legend>
                                <div className="flex flex-wrap gap-1.5">
                                    {ordered.map((part) => (
                                        <label key={part.key} className="flex min-h-11 items-center gap-2 rounded-[4px] border border-soft/50 bg-sheet px-3 has-checked:border-lake has-checked:bg-lake has-checked:text-sheet">
                                            <input type="checkbox" checked={chosen.includes(part.key)} onChange={(event) => setChosen(event.target.checked ? [...chosen, part.key] : chosen.filter((key) => key !== part.key))} className="h-5 w-5 accent-[var(--ink)]" />
                                            {part.label}
                                        </label>
                                    ))}
                                </div>
                                {errors.parts && <p role="alert" className="mt-1 font-medium text-bad">{errors.parts}</p>}
                            </fieldset>
                            {canBridge && (
                                <div className="mb-3">
                                    <label className="flex min-h-11 items-center gap-2 font-medium">
                                        <input type="checkbox" checked={bridged} onChange={(event) => setBridged(event.target.checked)} className="h-5 w-5 accent-[var(--ink)]" />
                                        {temporary.name}
                                    </label>
                                    {bridged && temporary.objection && <p role="alert" className="border-l-4 border-bad bg-caution px-3 py-2 font-medium">{temporary.objection}</p>}
                                    {bridged && !temporary.objection && (
                                        <>
                                            {temporary.cautions.map((caution) => <p key={caution} className="mt-1 border-l-4 border-warn bg-caution px-3 py-1.5">{caution}</p>)}
                                            <ol className="mt-2 list-decimal space-y-1 pl-5">{temporary.steps.map((step) => <li key={step}>{step}</li>)}</ol>
                                            <TextField label="The part is due on" type="date" hint={temporary.days} max={temporary.latest} value={until} onChange={(event) => setUntil(event.target.value)} className="mt-2 max-w-64" />
                                        </>
                                    )}
                                    {errors.temporaryUntil && <p role="alert" className="mt-1 font-medium text-bad">{errors.temporaryUntil}</p>}
                                </div>
                            )}
                            <div className="grid gap-3 sm:grid-cols-2">
                                <TextField label="Part number" value={partNumber} onChange={(event) => setPartNumber(event.target.value)} error={errors.partNumber} />
                                <TextArea label="Note" rows={2} value={note} onChange={(event) => setNote(event.target.value)} error={errors.note} />
                            </div>
                            <Button kind="act" type="submit" disabled={sending || (canBridge && bridged && (temporary.objection !== null || until === ''))} className="mt-3">Done, now prove it</Button>
                        </form>
                    )}
                </div>
            </div>
        </Frame>
    );
}

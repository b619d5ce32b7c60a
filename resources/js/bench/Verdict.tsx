import { Link, usePage } from '@inertiajs/react';
import CircuitSheet from '@/sheet/CircuitSheet';
import Elsewhere from '@/bench/Elsewhere';
import LeadsOn from '@/bench/LeadsOn';
import LooseVerdict from '@/bench/LooseVerdict';
import Outlook from '@/bench/Outlook';
import ReadingLog from '@/bench/ReadingLog';
import SpeedStrip from '@/jobs/SpeedStrip';
import { day, money, percent } from '@/lib/format';
import { word } from '@/lib/payload';
import type { VerdictPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

type Props = VerdictPage & Shared;

export default function Verdict() {
    const {
        job,
        strip,
        sheet,
        readings,
        replacements,
        diagnosis,
        guessedOnTheMap,
        outlook,
        held,
        leadsOn,
        lessons,
        part,
        refit,
        open,
        user,
    } = usePage<Props>().props;
    const currency = user?.currency ?? 'EUR';
    const { verdict, misfit, suspects } = diagnosis;
    const leading = suspects[0];
    /** Of a part on the bench nothing is bought while it is good, or only hooked up wrongly. */
    const loose =
        open && part !== null && verdict && leading && ['none', 'hook-up'].includes(leading.remedy)
            ? { part, leading }
            : null;
    return (
        <Frame title={`Verdict ${job.number}`} job={job} here="verdict">
            <SpeedStrip strip={strip} />
            <div className="mx-auto grid max-w-[1240px] gap-10 px-5 py-5 lg:grid-cols-[1.25fr_1fr]">
                <section aria-label="Verdict">
                    {open && leading ? (
                        <>
                            <p className="text-soft">
                                {misfit
                                    ? 'No verdict: the readings do not fit together'
                                    : verdict
                                      ? verdict.byElimination
                                          ? 'Verdict by elimination'
                                          : 'Verdict'
                                      : 'No verdict yet: these are the odds as they stand'}
                            </p>
                            <h1 className="text-[1.9rem] leading-tight font-semibold">
                                {leading.label} <span className="figure">{percent(leading.probability)}</span>
                            </h1>
                            <p className="text-lg">
                                {leading.faults[0]?.label}
                                {leading.faults[0]?.degree && `, ${leading.faults[0].degree}`}.
                            </p>
                            {lessons.length > 0 && (
                                <div className="mt-3 border-l-4 border-warn bg-caution px-3 py-2">
                                    <p className="font-semibold">Learned on this model</p>
                                    {lessons.map((one) => (
                                        <p key={one}>{one}</p>
                                    ))}
                                </div>
                            )}
                            <LeadsOn leads={leadsOn} />
                            {diagnosis.elsewhere && <Elsewhere jobId={job.id} found={diagnosis.elsewhere} />}
                            {misfit && (
                                <div role="alert" className="mt-3 border-l-4 border-bad bg-caution px-3 py-2">
                                    {misfit.map((one) => (
                                        <p key={one.reading}>
                                            <strong className="font-semibold">{one.sentence}</strong> {one.hint}
                                        </p>
                                    ))}
                                </div>
                            )}
                            {!diagnosis.elsewhere && (
                                <>
                                    <h2 className="mt-4 font-semibold">For and against</h2>
                                    <ul>
                                        {leading.reasons.map((reason) => (
                                            <li key={reason.sentence} className="border-t border-rule py-1.5">
                                                <strong
                                                    className="font-semibold"
                                                    style={{
                                                        color: reason.speaks === 'for' ? 'var(--good)' : 'var(--bad)',
                                                    }}
                                                >
                                                    {reason.speaks === 'for' ? 'For.' : 'Against.'}
                                                </strong>{' '}
                                                {reason.sentence}
                                            </li>
                                        ))}
                                        {leading.reasons.length === 0 && (
                                            <li className="text-soft">
                                                Nothing speaks for it yet but its ordinary odds.
                                            </li>
                                        )}
                                    </ul>
                                </>
                            )}
                            {suspects.length > 1 && (
                                <p className="mt-3">
                                    <strong className="font-semibold">Still in question:</strong>{' '}
                                    {suspects
                                        .slice(1, 4)
                                        .filter((one) => one.probability > 0.003)
                                        .map((one) => `${one.label.toLowerCase()} ${percent(one.probability)}`)
                                        .join(', ') || 'nothing worth naming'}
                                    .
                                </p>
                            )}
                            {loose && <LooseVerdict job={job.id} {...loose} refit={refit} />}
                            {!loose && part === null && (
                                <p className="mt-3 border-l-4 border-lake pl-3">
                                    <strong className="font-semibold">Price of guessing.</strong> Buying on the speed
                                    map alone would have wasted {money(guessedOnTheMap, currency)} on average: wrong
                                    parts, their labour, and coming back. On the odds as they stand now it is{' '}
                                    {money(diagnosis.guessing, currency)}.
                                </p>
                            )}
                            {!loose && <Outlook outlook={outlook} currency={currency} />}
                            {verdict && !loose && (
                                <>
                                    <h2 className="mt-4 font-semibold">The cause behind it</h2>
                                    {verdict.causes.length === 0 ? (
                                        <p>Looked for: nothing is left to check.</p>
                                    ) : (
                                        <ul>
                                            {verdict.causes.map((cause) => (
                                                <li key={cause.test} className="border-t border-rule py-1">
                                                    {cause.question}{' '}
                                                    <TextLink href={`/jobs/${job.id}/bench?test=${cause.test}`}>
                                                        {cause.title}
                                                    </TextLink>
                                                </li>
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
                                {past.verdict?.label != null && (
                                    <p>
                                        The verdict was {past.verdict.label.toLowerCase()},{' '}
                                        {percent(past.verdict.probability ?? 0)}. Guessing on the map would have wasted{' '}
                                        {money(past.verdict.guessing, currency)} on average.
                                    </p>
                                )}
                                {past.verdict?.reasons.map((sentence) => (
                                    <p key={sentence} className="border-t border-rule py-1.5">
                                        {sentence}
                                    </p>
                                ))}
                                {past.note && <p>{past.note}</p>}
                            </div>
                        ))
                    )}
                    <details className="mt-5 border-t border-rule pt-2">
                        <summary className="min-h-11 cursor-pointer content-center font-medium">All readings</summary>
                        <ReadingLog
                            jobId={job.id}
                            readings={readings}
                            open={open}
                            spoiling={misfit?.map((one) => one.reading) ?? []}
                        />
                    </details>
                </section>
                <div className="flex flex-col gap-6">
                    <div className="min-h-[240px]">
                        <CircuitSheet
                            sheet={sheet}
                            title="Circuit with the suspects marked"
                            suspects={open ? suspects : []}
                        />
                    </div>
                    {open && !loose && (
                        <section aria-label="On to the repair" className="border-t-2 border-ink pt-3">
                            <p className="mb-3">
                                Ways to cure it with their money and odds, the fit of a new part, taking apart, wires,
                                and the swap by its procedure.
                            </p>
                            <Link
                                href={`/jobs/${job.id}/remedy`}
                                className="inline-flex min-h-11 items-center rounded-[5px] bg-act px-5 font-semibold text-act-ink"
                            >
                                To the repair
                            </Link>
                        </section>
                    )}
                    {held
                        .filter((one) => !one.held)
                        .map((one) => (
                            <p key={one.id} className="border-l-4 border-bad pl-3">
                                <strong className="font-semibold">A verdict of this job did not hold.</strong>{' '}
                                {word(one.because)}
                                {replacements
                                    .filter((past) => past.id === one.replacement)
                                    .map((past) => ` Replaced then: ${past.label}.`)}{' '}
                                <TextLink href={`/jobs/${job.id}/replay`}>Go through it once more</TextLink>
                            </p>
                        ))}
                </div>
            </div>
        </Frame>
    );
}

import { router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import Reach from '@/learning/Reach';
import RecordsTabs from '@/learning/RecordsTabs';
import StatedAndHeld from '@/learning/StatedAndHeld';
import type { ExperiencePage } from '@/generated/props';
import { day, percent } from '@/lib/format';
import { useMay } from '@/lib/may';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import FilePick from '@/ui/FilePick';
import Frame from '@/ui/Frame';
import Select from '@/ui/Select';
import TextLink from '@/ui/TextLink';

type Props = ExperiencePage & Shared;

const jobs = (count: number) => `${Math.round(10 * count) / 10} ${count === 1 ? 'job' : 'jobs'}`;

function Odds({ page }: { page: ExperiencePage }) {
    const [all, setAll] = useState(false);
    const most = Math.max(0.05, ...page.odds.flatMap((one) => [one.shipped, one.high]));
    const rows = all ? page.odds : page.odds.slice(0, 12);
    return (
        <>
            <ul>
                <li
                    className="hidden gap-x-5 text-[0.9rem] text-soft sm:grid sm:grid-cols-[17rem_1fr_4rem_5rem_5rem]"
                    aria-hidden="true"
                >
                    <span />
                    <span />
                    <span className="text-right">own</span>
                    <span className="text-right">shipped</span>
                    <span className="text-right">jobs</span>
                </li>
                {rows.map((one) => (
                    <li
                        key={one.remedy}
                        className="grid items-center gap-x-5 border-t border-rule py-1 max-sm:grid-cols-[1fr_auto_auto_auto] sm:grid-cols-[17rem_1fr_4rem_5rem_5rem]"
                    >
                        <span className="font-medium max-sm:col-span-4">{one.label}</span>
                        <Reach low={one.low} high={one.high} at={one.own} beside={one.shipped} to={most} />
                        <span className="figure text-right font-semibold">
                            <span className="sr-only">own </span>
                            {percent(one.own)}
                        </span>
                        <span className="figure text-right text-soft">
                            <span className="sr-only">shipped </span>
                            {percent(one.shipped)}
                        </span>
                        <span className="figure text-right text-soft">
                            {one.jobs === 0 ? '' : one.jobs}
                            <span className="sr-only">{one.jobs === 1 ? ' job' : ' jobs'}</span>
                        </span>
                    </li>
                ))}
            </ul>
            {page.odds.length > 12 && (
                <Button onClick={() => setAll(!all)}>{all ? 'Only the likeliest' : `All ${page.odds.length}`}</Button>
            )}
        </>
    );
}

function HowSure({ page }: { page: ExperiencePage }) {
    return (
        <p className="mt-1 mb-3 max-w-[70ch] text-soft">
            {page.jobs === 0
                ? 'No proven job speaks of this yet: its odds are those that ship.'
                : `${jobs(page.jobs)} counted, beside ${page.model === '' ? 'odds as shipped' : 'the odds of all models together'} that weigh as much as ${Math.round(page.strength)}. The dot is the own chance, the bar how far off it may be, the hollow mark what ships.`}
            {page.elsewhere >= 0.5 &&
                ` ${jobs(page.elsewhere)} more ended with parts that this variant does not have: they say nothing of it.`}
            {!page.used && (
                <strong className="font-semibold text-warn">
                    {' '}
                    Diagnoses begin with the odds as shipped: so it stands in the settings of the workshop.
                </strong>
            )}
        </p>
    );
}

function Choose({ page }: { page: ExperiencePage }) {
    const go = (data: Record<string, string>) => router.get('/experience', data, { preserveScroll: true });
    return (
        <div className="flex flex-wrap gap-4">
            <Select
                label="Circuit"
                value={page.family ?? ''}
                className="w-80 max-w-full"
                choices={page.families.map((one) => ({
                    value: one.value,
                    label: `${one.label} (${one.jobs})`,
                }))}
                onChange={(event) => go({ family: event.target.value })}
            />
            <Select
                label="Model"
                value={page.model}
                className="w-64 max-w-full"
                empty="All of them together"
                choices={page.models.map((one) => ({ value: one.value, label: `${one.label} (${one.jobs})` }))}
                onChange={(event) => go({ family: page.family ?? '', model: event.target.value })}
            />
        </div>
    );
}

function FromOthers({ page }: { page: ExperiencePage }) {
    const lead = useMay('settings');
    const { errors } = usePage<Props>().props;
    const [weight, setWeight] = useState('0.25');
    return (
        <section aria-label="From workshop to workshop" className="mt-9">
            <h2 className="text-lg font-semibold">From workshop to workshop</h2>
            <p className="max-w-[70ch] text-soft">
                An experience file says how many proven jobs ended with which fault of which model. No unit, customer,
                person or day of a job is in it.
            </p>
            <TextLink plain href="/experience.json" download>
                Our experience as a file
            </TextLink>
            <ul>
                {page.taken.map((one) => (
                    <li key={one.id} className="flex flex-wrap items-center gap-x-4 border-t border-rule py-1">
                        <span className="font-medium">{one.name}</span>
                        <span className="text-soft">
                            {jobs(one.jobs)}, each counting for {one.weight}, of {day(one.madeOn)}
                        </span>
                        {lead && (
                            <Button
                                onClick={() => router.delete(`/experience/${one.id}`)}
                                aria-label={`Remove the experience of ${one.name}`}
                            >
                                Remove
                            </Button>
                        )}
                    </li>
                ))}
            </ul>
            {lead && (
                <div className="mt-2 flex flex-wrap items-end gap-4">
                    <Select
                        label="Each of its jobs counts for"
                        className="w-64 max-w-full"
                        value={weight}
                        onChange={(event) => setWeight(event.target.value)}
                        choices={[
                            { value: '0.1', label: 'a tenth of an own one' },
                            { value: '0.25', label: 'a quarter of an own one' },
                            { value: '0.5', label: 'half an own one' },
                            { value: '1', label: 'as much as an own one' },
                        ]}
                    />
                    <FilePick
                        label="Experience file"
                        accept=".json,application/json"
                        to="/experience"
                        beside={{ weight }}
                    >
                        Take in a file
                    </FilePick>
                </div>
            )}
            {(errors.file ?? errors.weight) && (
                <p role="alert" className="mt-1 font-medium text-bad">
                    {errors.file ?? errors.weight}
                </p>
            )}
        </section>
    );
}

/** What the workshop's own closed and proven jobs say: odds beside those that ship, and whether verdicts hold. */
export default function Experience() {
    const page = usePage<Props>().props;
    return (
        <Frame title="What our jobs say">
            <div className="mx-auto max-w-[1000px] px-5 py-6">
                <RecordsTabs here="experience" />
                <h1 className="mt-5 text-[1.8rem] leading-none font-semibold">What our jobs say</h1>
                <p className="mt-2 mb-4 max-w-[70ch] text-soft">
                    What fails how often, as closed and proven jobs have it. Makeshifts, machines that are still
                    watched, and what did not hold do not count.
                </p>
                {page.family === null ? (
                    <p>No job is closed and proven yet: diagnoses begin with the odds as shipped.</p>
                ) : (
                    <section aria-label="Odds">
                        <Choose page={page} />
                        <HowSure page={page} />
                        <Odds page={page} />
                    </section>
                )}
                <StatedAndHeld calibration={page.calibration} />
                <FromOthers page={page} />
            </div>
        </Frame>
    );
}

import { router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import Outlook from '@/bench/Outlook';
import RemedyOption from '@/repair/RemedyOption';
import WayForm from '@/repair/WayForm';
import RepairNav from '@/repair/RepairNav';
import { day, money } from '@/lib/format';
import { word } from '@/lib/payload';
import type { RemedyPage, RemedyShown } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import Select from '@/ui/Select';
import Tick from '@/ui/Tick';

type Props = RemedyPage & Shared;

/** Chance under which a way stands apart, and how many stand open. */
const hardly = 0.05;
const most = 9;

export default function Remedy() {
    const { job, open, outlook, standing, potted, choices, tools, breakEven, user } = usePage<Props>().props;
    const currency = user?.currency ?? 'EUR';
    const [option, setOption] = useState(outlook.attempts[0]?.remedy ?? '');
    const [perDay, setPerDay] = useState(standing);
    const [tester, setTester] = useState({
        tool: breakEven?.tool ?? tools[0]?.key ?? '',
        price: breakEven?.price ?? '',
        perYear: breakEven?.perYear ?? '',
        saving: breakEven?.typed ?? '',
    });
    const ask = (event: React.FormEvent, extra: Record<string, string>) => {
        event.preventDefault();
        router.get(
            `/jobs/${job.id}/remedy`,
            { standing: perDay, potted: potted ? 1 : 0, ...extra },
            { preserveState: true, preserveScroll: true },
        );
    };
    const worth = outlook.options.filter((one) => one.fixes >= hardly);
    const likely = worth.slice(0, most);
    const others = outlook.options.filter((one) => !likely.includes(one));
    const row = (one: RemedyShown) => (
        <RemedyOption
            key={one.key}
            job={job.id}
            option={one}
            currency={currency}
            chosen={open && option === one.key}
            onChoose={() => setOption(one.key)}
            open={open}
        >
            <WayForm job={job.id} option={one} currency={currency} standing={perDay} potted={potted} />
        </RemedyOption>
    );
    return (
        <Frame title={`Remedy ${job.number}`} job={job} here="remedy">
            <RepairNav job={job.id} here="remedy" />
            <div className="mx-auto grid max-w-[1240px] gap-10 px-5 py-5 lg:grid-cols-[1.5fr_1fr]">
                <div>
                    <h1 className="text-[1.7rem] leading-tight font-semibold">What can be done</h1>
                    <p className="mb-3 max-w-[52em] text-soft">
                        Expected money: part, labour, waiting and coming back, were it the right one. What costs least
                        for its chance stands first.
                    </p>
                    {outlook.options.length === 0 ? (
                        <p className="border-t border-rule py-3">Nothing is worth buying on these odds.</p>
                    ) : (
                        <fieldset>
                            <legend className="sr-only">Ways</legend>
                            <ul className="border-b border-rule">{likely.map(row)}</ul>
                            {others.length > 0 && (
                                <details open={likely.length === 0 || others.some((one) => one.key === option)}>
                                    <summary className="min-h-11 cursor-pointer content-center font-medium">
                                        {others.some((one) => one.fixes >= hardly)
                                            ? 'Dearer for their chance, or hardly in question'
                                            : 'For what is hardly in question any more'}
                                        : {others.length === 1 ? '1 way' : `${others.length} ways`}
                                    </summary>
                                    <ul className="border-b border-rule">{others.map(row)}</ul>
                                </details>
                            )}
                        </fieldset>
                    )}
                </div>
                <div>
                    {choices.length > 0 && (
                        <section aria-label="Chosen" className="mb-5 border-l-4 border-lake pl-3">
                            {choices.map((one) => (
                                <p key={one.id}>
                                    <span className="text-soft">{one.at ? day(one.at) : ''}</span>{' '}
                                    <strong className="font-semibold">{word(one.label)}</strong>: {word(one.reason)}
                                </p>
                            ))}
                        </section>
                    )}
                    {open && <Outlook outlook={outlook} currency={currency} />}
                    {open && (
                        <Tick
                            checked={potted}
                            onChange={(checked) =>
                                router.get(
                                    `/jobs/${job.id}/remedy`,
                                    { standing: perDay, potted: checked ? 1 : 0 },
                                    { preserveState: true, preserveScroll: true },
                                )
                            }
                        >
                            Board or module is potted: no part of it can be soldered
                        </Tick>
                    )}
                    {open && (
                        <form
                            onSubmit={(event) => ask(event, {})}
                            className="mt-6 flex flex-wrap items-end gap-3 border-t border-rule pt-3"
                        >
                            <TextField
                                label={`A day without the machine costs, in ${currency}`}
                                inputMode="decimal"
                                value={perDay}
                                onChange={(event) => setPerDay(event.target.value)}
                                className="w-72"
                            />
                            <Button type="submit">Count it in</Button>
                        </form>
                    )}
                    {tools.length > 0 && (
                        <form onSubmit={(event) => ask(event, tester)} className="mt-6 border-t border-rule pt-3">
                            <h2 className="font-semibold">Does a tester pay?</h2>
                            <p className="text-soft">
                                Its price over what its best first test saves on a complaint like this one. Type another
                                saving where you know better.
                            </p>
                            <div className="mt-2 grid gap-3 sm:grid-cols-2">
                                <Select
                                    label="Tester"
                                    value={tester.tool}
                                    onChange={(event) => setTester({ ...tester, tool: event.target.value })}
                                    choices={tools.map((tool) => ({
                                        value: tool.key,
                                        label: `${tool.label}, saves ${money(tool.saving, currency)} here`,
                                    }))}
                                    className="sm:col-span-2"
                                />
                                <TextField
                                    label={`Price in ${currency}`}
                                    inputMode="decimal"
                                    value={tester.price}
                                    onChange={(event) => setTester({ ...tester, price: event.target.value })}
                                />
                                <TextField
                                    label="Such jobs a year"
                                    inputMode="decimal"
                                    value={tester.perYear}
                                    onChange={(event) => setTester({ ...tester, perYear: event.target.value })}
                                />
                                <TextField
                                    label={`Saves on each, in ${currency}`}
                                    inputMode="decimal"
                                    value={tester.saving}
                                    onChange={(event) => setTester({ ...tester, saving: event.target.value })}
                                />
                            </div>
                            <Button type="submit" className="mt-3">
                                Work it out
                            </Button>
                            {breakEven && (
                                <p role="status" className="mt-2">
                                    {breakEven.jobs === null
                                        ? `${breakEven.label}: on such a job it saves nothing, so it never pays for itself by them.`
                                        : `${breakEven.label}: saves ${money(breakEven.saving, currency)} each time, paid for after ${breakEven.jobs} such jobs${breakEven.months === null ? '' : `, ${Math.round(breakEven.months)} months`}.`}
                                </p>
                            )}
                        </form>
                    )}
                </div>
            </div>
        </Frame>
    );
}

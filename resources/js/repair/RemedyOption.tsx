import type { ReactNode } from 'react';
import { money, percent, years } from '@/lib/format';
import type { RemedyShown } from '@/generated/props';
import { useEntryForm } from '@/repair/useEntryForm';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import Tick from '@/ui/Tick';

function waits(days: number | null): string {
    if (days === null) return 'no stock, no date';
    return days === 0 ? 'here' : `${days} ${days === 1 ? 'day' : 'days'}`;
}

function warranty(months: number): string {
    return months === 0 ? 'none' : months < 12 ? `${months} ${months === 1 ? 'month' : 'months'}` : years(months / 12);
}

/** Share of the chance that an option covers, as a bar that needs no colour to be read. */
function Cures({ share }: { share: number }) {
    return (
        <span className="flex items-center gap-2">
            <span aria-hidden="true" className="h-2.5 w-16 border border-soft/70">
                <span className="block h-full bg-lake" style={{ width: `${Math.round(share * 100)}%` }} />
            </span>
            <span className="figure">{percent(share)}</span>
        </span>
    );
}

/** Price and time as they were told for this job, or that it is not to be had. */
function OwnQuote({ job, option, currency }: { job: string; option: RemedyShown; currency: string }) {
    const none = { price: '', minutes: '', leadDays: '', source: '', notToBeHad: false };
    const form = useEntryForm(job, 'quote', none, ['price', 'minutes', 'leadDays', 'source', 'notToBeHad']);
    return (
        <details className="pl-8">
            <summary className="min-h-11 cursor-pointer content-center text-lake underline underline-offset-4">
                Own quote<span className="sr-only"> for {option.label}</span>
            </summary>
            <div className="grid gap-3 pb-2 sm:grid-cols-4">
                <TextField label={`Quoted price in ${currency}`} inputMode="decimal" {...form.field('price')} />
                <TextField label="Days until it is here" inputMode="decimal" {...form.field('leadDays')} />
                <TextField label="Minutes of work" inputMode="decimal" {...form.field('minutes')} />
                <TextField label="From whom" {...form.field('source')} />
            </div>
            <div className="flex flex-wrap items-center gap-4 pb-2">
                <Tick {...form.tick('notToBeHad')}>Not to be had</Tick>
                <Button disabled={form.sending} onClick={(event) => form.send(event, { option: option.key })}>
                    Count with it
                </Button>
            </div>
        </details>
    );
}

/** One way with its money, and what was quoted for it on the spot. */
export default function RemedyOption({
    job,
    option,
    currency,
    chosen,
    onChoose,
    open,
    children,
}: {
    job: string;
    option: RemedyShown;
    currency: string;
    chosen: boolean;
    onChoose: () => void;
    open: boolean;
    /** Where it is chosen: what else is asked then. */
    children: ReactNode;
}) {
    const facts: [string, string][] = [
        ['part', money(option.price, currency)],
        ['labour', money(option.labour, currency)],
        ['waits', waits(option.leadDays)],
        ['warranty', warranty(option.warrantyMonths)],
        ['lasts', years(option.lifeYears)],
        ['comes back', percent(option.comeBackChance)],
        ['if wrong, lost', money(option.lost, currency)],
        ['a year', money(option.perYear, currency)],
    ];
    return (
        <li
            className={`border-t border-rule py-2.5 pl-3 ${chosen ? 'border-l-4 border-l-lake bg-sheet' : 'border-l-4 border-l-transparent'}`}
        >
            <label className="grid cursor-pointer grid-cols-[auto_minmax(0,1fr)_auto] items-baseline gap-x-3">
                <input
                    type="radio"
                    name="option"
                    checked={chosen}
                    disabled={!open || option.leadDays === null}
                    onChange={onChoose}
                    className="h-5 w-5 self-center accent-[var(--lake)]"
                />
                <span className="min-w-0">
                    <span className="font-semibold">{option.label}</span>{' '}
                    <span className="text-soft">{option.kind}</span>
                </span>
                <span className="figure text-lg font-medium">{money(option.expected, currency)}</span>
            </label>
            <div className="mt-1 flex flex-wrap items-baseline gap-x-5 gap-y-0.5 pl-8">
                <span className="flex items-baseline gap-2">
                    <span className="text-soft">cures this job</span>
                    <Cures share={option.fixes} />
                </span>
                {facts.map(([name, value]) => (
                    <span key={name}>
                        <span className="text-soft">{name}</span> <span className="figure">{value}</span>
                    </span>
                ))}
            </div>
            <p className="mt-0.5 max-w-[70em] pl-8">
                <span className="font-medium">For:</span> {option.why} <span className="font-medium">Against:</span>{' '}
                {option.whyNot}
            </p>
            {option.left.map((cause) => (
                <p key={cause.test} className="mt-1 max-w-[70em] border-l-4 border-l-warn pl-7">
                    <span className="font-semibold">Left in the machine:</span> {cause.test}, {cause.shown};{' '}
                    {cause.ordinary} is right. {cause.question}
                </p>
            ))}
            {option.quotedBy !== null && (
                <p className="pl-8 font-medium">
                    As quoted for this job{option.quotedBy !== '' && ` by ${option.quotedBy}`}.
                </p>
            )}
            {chosen && children}
            {open && <OwnQuote job={job} option={option} currency={currency} />}
        </li>
    );
}

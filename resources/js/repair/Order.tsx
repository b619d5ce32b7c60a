import { router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { ulid } from 'ulid';
import { day } from '@/lib/format';
import { word } from '@/lib/payload';
import RepairNav from '@/repair/RepairNav';
import { useEntryForm } from '@/repair/useEntryForm';
import type { OrderPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';

type Props = OrderPage & Shared;

/** The day after so many days. */
function later(today: string, days: number): string {
    const day = new Date(`${today}T12:00:00Z`);
    day.setUTCDate(day.getUTCDate() + days);
    return day.toISOString().slice(0, 10);
}

function ArrivedButton({ job, of, what }: { job: string; of: string; what: string }) {
    const [id] = useState(ulid);
    return (
        <Button
            onClick={() =>
                router.post(`/jobs/${job}/entries`, { id, kind: 'arrived', data: { of } }, { preserveScroll: true })
            }
        >
            It is here<span className="sr-only">: {what}</span>
        </Button>
    );
}

function OrderForm() {
    const { job, today, chosen, number, leadDays } = usePage<Props>().props;
    const form = useEntryForm(job.id, 'ordered', {
        what: chosen ?? '',
        partNumber: number ?? '',
        source: '',
        price: '',
        expectedOn: later(today, leadDays ?? 3),
    });
    return (
        <form onSubmit={form.send} className="mt-3 grid items-start gap-3 sm:grid-cols-6">
            <TextField label="What is ordered" {...form.field('what')} className="sm:col-span-3" />
            <TextField label="Part number" {...form.field('partNumber')} className="sm:col-span-3" />
            <TextField label="From" {...form.field('source')} className="sm:col-span-2" />
            <TextField label="Price" inputMode="decimal" {...form.field('price')} />
            <TextField label="Expected on" type="date" {...form.field('expectedOn')} className="sm:col-span-2" />
            <Button type="submit" disabled={form.sending} className="beside-field">
                Ordered
            </Button>
        </form>
    );
}

/** Parts that the job waits for: ordered, expected, arrived. */
export default function Order() {
    const { job, open, onOrder, ordered, arrived, today } = usePage<Props>().props;
    const here = arrived.map((one) => ({ ...one, part: ordered.find((part) => part.id === one.of) }));
    return (
        <Frame title={`Order ${job.number}`} job={job} here="remedy">
            <RepairNav job={job.id} here="order" />
            <div className="mx-auto max-w-[900px] px-5 py-6">
                <h1 className="text-[1.6rem] leading-none font-semibold">Parts on order</h1>
                {onOrder.length === 0 && <p className="mt-3 text-soft">This job waits for no part.</p>}
                <ul className="mt-3" aria-label="Parts on order">
                    {onOrder.map((one) => (
                        <li key={one.id} className="flex flex-wrap items-center gap-x-4 border-t border-rule py-2">
                            <p className="min-w-0 flex-1">
                                <strong className="font-semibold">{word(one.what)}</strong>{' '}
                                <span className="figure">{word(one.partNumber)}</span>
                                <span className="block text-soft">
                                    ordered{one.by && ` by ${one.by}`}
                                    {one.at && ` on ${day(one.at)}`}
                                    {word(one.source) !== '' && ` from ${word(one.source)}`}
                                </span>
                            </p>
                            <p className={word(one.expectedOn) < today ? 'font-semibold text-bad' : ''}>
                                expected {day(word(one.expectedOn))}
                                {word(one.expectedOn) < today && ', overdue'}
                            </p>
                            <ArrivedButton job={job.id} of={one.id} what={word(one.what)} />
                        </li>
                    ))}
                    {here.map((one) => (
                        <li key={one.id} className="border-t border-rule py-2">
                            <strong className="font-semibold">{word(one.part?.what)}</strong>{' '}
                            <span className="figure">{word(one.part?.partNumber)}</span>{' '}
                            <span className="text-soft">
                                arrived{one.at && ` on ${day(one.at)}`}
                                {one.by && `, taken in by ${one.by}`}
                            </span>
                        </li>
                    ))}
                </ul>
                {open && (
                    <section aria-labelledby="order" className="mt-6 border-t border-rule pt-3">
                        <h2 id="order" className="text-lg font-semibold">
                            Order a part
                        </h2>
                        <OrderForm key={ordered.length} />
                    </section>
                )}
            </div>
        </Frame>
    );
}

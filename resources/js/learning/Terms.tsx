import { router, useForm, usePage } from '@inertiajs/react';
import { useState } from 'react';
import RecordsTabs from '@/learning/RecordsTabs';
import Sources from '@/learning/Sources';
import type { TermShown, TermsPage } from '@/generated/props';
import { figure, money } from '@/lib/format';
import { useMay } from '@/lib/may';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import Choices from '@/ui/Choices';
import { TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import Select from '@/ui/Select';
import Tick from '@/ui/Tick';

type Props = TermsPage & Shared;

const groups: { kind: TermShown['kind']; title: string; head: string }[] = [
    { kind: 'test', title: 'Tests', head: 'Minutes of a test' },
    { kind: 'access', title: 'Getting there', head: 'Minutes to get there' },
    { kind: 'fitting', title: 'Fitting', head: 'Minutes to fit a part' },
    { kind: 'price', title: 'Prices', head: 'Purchase price' },
    { kind: 'lead', title: 'Waiting', head: 'Days until a part is here' },
    { kind: 'come-back', title: 'Coming back', head: 'Comes back within a year' },
    { kind: 'life', title: 'Lasting', head: 'Years that a part lasts' },
];

function said(term: TermShown, value: number, currency: string): string {
    if (term.kind === 'price') return money(value, currency);
    if (term.kind === 'come-back') return `${figure(100 * value, 1)} %`;
    const digits = value < 10 ? 1 : 0;
    return figure(value, digits);
}

/** As it is typed: a chance as so many of a hundred. */
const typed = (term: TermShown) =>
    term.pinned === null ? '' : String(term.kind === 'come-back' ? 100 * term.pinned : term.pinned);

function Pin({ term, family, done }: { term: TermShown; family: string; done: () => void }) {
    const form = useForm({ value: typed(term) });
    const send = (value: string) => {
        form.transform(() => ({ family, kind: term.kind, key: term.key, value }));
        form.put('/terms', { preserveScroll: true, onSuccess: done });
    };
    return (
        <form
            className="flex flex-wrap items-end gap-3 col-span-full pb-2"
            onSubmit={(event) => {
                event.preventDefault();
                send(form.data.value);
            }}
        >
            <TextField
                label={`${term.label}: stays at`}
                inputMode="decimal"
                className="w-64"
                value={form.data.value}
                onChange={(event) => form.setData('value', event.target.value)}
                error={form.errors.value}
            />
            <Button type="submit" disabled={form.processing || form.data.value.trim() === ''}>
                Pin it
            </Button>
            {term.pinned !== null && (
                <Button onClick={() => send('')} disabled={form.processing}>
                    Release it
                </Button>
            )}
            <Button onClick={done}>Leave it</Button>
        </form>
    );
}

function Term({ term, family, lead }: { term: TermShown; family: string; lead: boolean }) {
    const currency = usePage<Props>().props.user?.currency ?? 'EUR';
    const [open, setOpen] = useState(false);
    const own = term.noted === 0 && term.pinned === null ? '' : said(term, term.pinned ?? term.own, currency);
    return (
        <li className="grid items-center gap-x-4 border-t border-rule max-sm:grid-cols-[3.5rem_3.5rem_1fr_auto] sm:grid-cols-[minmax(0,1fr)_5rem_5rem_7rem_6rem]">
            <span className="py-1 font-medium max-sm:col-span-4">{term.label}</span>
            <span className="figure text-right font-semibold">
                <span className="sr-only">here </span>
                {own}
            </span>
            <span className="figure text-right text-soft">
                <span className="sr-only">shipped </span>
                {said(term, term.shipped, currency)}
            </span>
            <span className="text-right text-soft">
                {term.pinned !== null
                    ? 'pinned'
                    : term.noted === 0
                      ? ''
                      : term.noted === 1
                        ? 'once'
                        : `${term.noted} times`}
            </span>
            {lead && !open ? (
                <Button onClick={() => setOpen(true)} kind="quiet" aria-label={`Pin: ${term.label}`}>
                    {term.pinned === null ? 'Pin' : 'Change'}
                </Button>
            ) : (
                <span />
            )}
            {open && <Pin term={term} family={family} done={() => setOpen(false)} />}
        </li>
    );
}

/** What tests, parts and waiting take here, learned from closed jobs. */
export default function Terms() {
    const { families, family, terms, sources } = usePage<Props>().props;
    const lead = useMay('settings');
    const [all, setAll] = useState(false);
    const [kind, setKind] = useState<TermShown['kind']>('test');
    const group = groups.find((one) => one.kind === kind) ?? { title: '', head: '' };
    const shown = terms.filter((term) => term.kind === kind && (all || term.noted > 0 || term.pinned !== null));
    return (
        <Frame title="What things take">
            <div className="mx-auto max-w-[1000px] px-5 py-6">
                <RecordsTabs here="terms" />
                <h1 className="mt-5 text-[1.8rem] leading-none font-semibold">What things take</h1>
                <p className="mt-2 mb-4 max-w-[70ch] text-soft">
                    Learned from closed jobs: minutes from reading to reading without breaks, orders and their arrival,
                    what came back. A few jobs move what ships by a little, many by a lot. Tests and ways to cure are
                    weighed with it.
                </p>
                <div className="flex flex-wrap items-end gap-5">
                    <Select
                        label="Circuit"
                        className="w-80 max-w-full"
                        value={family}
                        choices={families}
                        onChange={(event) =>
                            router.get(
                                '/terms',
                                { family: event.target.value },
                                { preserveState: true, preserveScroll: true },
                            )
                        }
                    />
                    <Tick checked={all} onChange={setAll}>
                        Also what nobody has noted yet
                    </Tick>
                </div>
                {shown.length === 0 && (
                    <p className="mt-5">Nothing is noted for this circuit yet: all is as shipped.</p>
                )}
                <div className="mt-4">
                    <Choices
                        label="What"
                        value={kind}
                        choices={groups.map((one) => ({ value: one.kind, label: one.title }))}
                        onChange={(next) => setKind(next as TermShown['kind'])}
                    />
                </div>
                <section aria-label={group.title} className="mt-5">
                    <h2 className="grid items-baseline gap-x-4 text-lg font-semibold sm:grid-cols-[minmax(0,1fr)_5rem_5rem_7rem_6rem]">
                        {group.head}
                        <span className="text-right text-[0.9rem] font-normal text-soft max-sm:hidden">here</span>
                        <span className="text-right text-[0.9rem] font-normal text-soft max-sm:hidden">shipped</span>
                    </h2>
                    {shown.length === 0 && <p>Nothing is noted of this yet: all is as shipped.</p>}
                    <ul>
                        {shown.map((term) => (
                            <Term key={`${family} ${kind} ${term.key}`} term={term} family={family} lead={lead} />
                        ))}
                    </ul>
                </section>
                <Sources sources={sources} />
            </div>
        </Frame>
    );
}

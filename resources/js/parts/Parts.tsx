import { router, useForm, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { money } from '@/lib/format';
import { payload } from '@/lib/payload';
import type { PartShown, PartsPage } from '@/generated/props';
import { useMay } from '@/lib/may';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import FilePick from '@/ui/FilePick';
import Frame from '@/ui/Frame';
import Panel from '@/ui/Panel';
import Select from '@/ui/Select';
import TextLink from '@/ui/TextLink';

type Props = PartsPage & Shared;

type Terms = 'price' | 'freight' | 'selling' | 'leadDays' | 'warrantyMonths' | 'lifeYears' | 'comeBack' | 'lost';

const terms: { key: Terms; label: string; hint?: string }[] = [
    { key: 'price', label: 'Purchase price' },
    { key: 'freight', label: 'Freight and tax' },
    { key: 'selling', label: 'Selling price' },
    { key: 'leadDays', label: 'Days until it is here', hint: 'Empty: no stock, no date.' },
    { key: 'warrantyMonths', label: 'Warranty in months' },
    { key: 'lifeYears', label: 'Years it lasts' },
    { key: 'comeBack', label: 'Comes back in its first year', hint: 'As a share: 0.05 is one in twenty.' },
    { key: 'lost', label: 'Lost if it was wrong', hint: 'Restocking, deposit, freight back.' },
];

interface Draft {
    number: string;
    name: string;
    type: string;
    make: string;
    fits: string[];
    supersedes: string;
    terms: Record<Terms, string>;
    attributes: Record<string, string | undefined>;
}

const text = (value: number | null) => (value === null ? '' : String(value));

function draftOf(part: PartShown | null): Draft {
    return {
        number: part?.number ?? '',
        name: part?.name ?? '',
        type: part?.type ?? 'motor',
        make: part?.make ?? 'aftermarket',
        fits: part?.fits ?? [],
        supersedes: (part?.supersedes ?? []).join('; '),
        terms: {
            price: text(part?.price ?? null),
            freight: text(part?.freight ?? null),
            selling: text(part?.selling ?? null),
            leadDays: text(part?.leadDays ?? null),
            warrantyMonths: text(part?.warrantyMonths ?? null),
            lifeYears: text(part?.lifeYears ?? null),
            comeBack: text(part?.comeBack ?? null),
            lost: text(part?.lost ?? null),
        },
        attributes: part?.attributes ?? {},
    };
}

function PartForm({ part, onDone }: { part: PartShown | null; onDone: () => void }) {
    const { types, makes, fits } = usePage<Props>().props;
    const form = useForm<Draft>(draftOf(part));
    const draft = form.data;
    const setDraft = (next: Draft) => form.setData(next);
    const errors: Record<string, string | undefined> = form.errors;
    const [adding, setAdding] = useState('');
    const attributes = types.find((one) => one.value === draft.type)?.attributes ?? [];
    const submit = (event: React.FormEvent) => {
        event.preventDefault();
        const known: Record<string, string> = Object.fromEntries(
            attributes
                .map((one): [string, string] => [one.key, draft.attributes[one.key] ?? ''])
                .filter(([, value]) => value !== ''),
        );
        form.transform((given) =>
            payload({
                number: given.number,
                name: given.name,
                type: given.type,
                make: given.make,
                fits: given.fits,
                supersedes: given.supersedes
                    .split(';')
                    .map((one) => one.trim())
                    .filter(Boolean),
                ...given.terms,
                attributes: known,
            }),
        );
        form.post('/parts', { preserveState: true, onSuccess: onDone });
    };
    const set = (key: string, value: string) =>
        setDraft({ ...draft, attributes: { ...draft.attributes, [key]: value } });
    return (
        <form onSubmit={submit} className="flex flex-col gap-4">
            <div className="grid items-start gap-3 sm:grid-cols-2">
                <TextField
                    label="Part number"
                    value={draft.number}
                    onChange={(event) => setDraft({ ...draft, number: event.target.value })}
                    error={errors['number']}
                    disabled={part !== null}
                />
                <TextField
                    label="What it is"
                    placeholder="coil pack, electronic module"
                    value={draft.name}
                    onChange={(event) => setDraft({ ...draft, name: event.target.value })}
                    error={errors['name']}
                />
                <Select
                    label="Kind"
                    choices={types.map((one) => ({ value: one.value, label: one.label }))}
                    value={draft.type}
                    onChange={(event) => setDraft({ ...draft, type: event.target.value })}
                />
                <Select
                    label="Make"
                    choices={makes.map((one) => ({ value: one, label: one }))}
                    value={draft.make}
                    onChange={(event) => setDraft({ ...draft, make: event.target.value })}
                />
                <TextField
                    label="Replaces older numbers"
                    hint="With semicolons between."
                    value={draft.supersedes}
                    onChange={(event) => setDraft({ ...draft, supersedes: event.target.value })}
                    className="sm:col-span-2"
                />
            </div>
            <div>
                <p className="font-medium">Offered for</p>
                <ul>
                    {draft.fits.map((one) => (
                        <li key={one} className="flex items-center justify-between border-t border-rule">
                            {fits.find((fit) => fit.value === one)?.label ?? one}
                            <Button
                                kind="quiet"
                                onClick={() =>
                                    setDraft({ ...draft, fits: draft.fits.filter((other) => other !== one) })
                                }
                            >
                                Not for this
                            </Button>
                        </li>
                    ))}
                </ul>
                <div className="flex items-end gap-2">
                    <Select
                        bare
                        label="Circuit and part"
                        choices={fits.filter((fit) => !draft.fits.includes(fit.value))}
                        empty="choose circuit and part"
                        value={adding}
                        onChange={(event) => setAdding(event.target.value)}
                        className="flex-1"
                    />
                    <Button
                        disabled={adding === ''}
                        onClick={() => {
                            setDraft({ ...draft, fits: [...draft.fits, adding] });
                            setAdding('');
                        }}
                    >
                        Add
                    </Button>
                </div>
                {errors['fits'] && (
                    <p role="alert" className="mt-1 font-medium text-bad">
                        {errors['fits']}
                    </p>
                )}
            </div>
            <div className="grid items-start gap-3 sm:grid-cols-2">
                {terms.map((one) => (
                    <TextField
                        key={one.key}
                        label={one.label}
                        inputMode="decimal"
                        hint={one.hint ?? null}
                        value={draft.terms[one.key]}
                        onChange={(event) =>
                            setDraft({ ...draft, terms: { ...draft.terms, [one.key]: event.target.value } })
                        }
                        error={errors[one.key]}
                    />
                ))}
            </div>
            <div className="grid items-start gap-3 border-t border-rule pt-3 sm:grid-cols-2">
                {attributes.map((one) =>
                    one.choices.length > 0 ? (
                        <Select
                            key={one.key}
                            label={one.label}
                            choices={one.choices}
                            empty="not known"
                            value={draft.attributes[one.key] ?? ''}
                            onChange={(event) => set(one.key, event.target.value)}
                            hint={one.hint === '' ? null : one.hint}
                        />
                    ) : (
                        <TextField
                            key={one.key}
                            label={`${one.label}${one.unit ? `, in ${one.unit}` : ''}`}
                            hint={one.hint === '' ? null : one.hint}
                            value={draft.attributes[one.key] ?? ''}
                            onChange={(event) => set(one.key, event.target.value)}
                        />
                    ),
                )}
            </div>
            <div className="flex gap-3">
                <Button kind="act" type="submit" disabled={form.processing}>
                    Keep the part
                </Button>
                {part && (
                    <Button
                        onClick={() => router.post('/parts/remove', { number: part.number }, { onSuccess: onDone })}
                    >
                        Take it out
                    </Button>
                )}
            </div>
        </form>
    );
}

export default function Parts() {
    const { parts, types, user, errors } = usePage<Props>().props;
    const currency = user?.currency ?? 'EUR';
    const changes = useMay('catalogue');
    const [shown, setShown] = useState<PartShown | 'new' | null>(null);
    return (
        <Frame title="Parts">
            <div className="mx-auto max-w-[1180px] px-5 py-6">
                <div className="flex flex-wrap items-end gap-3">
                    <h1 className="mr-auto text-[1.8rem] leading-none font-semibold">Parts</h1>
                    {changes && (
                        <FilePick label="Catalogue" accept=".json,.csv,application/json,text/csv" to="/parts/import">
                            Take in a catalogue
                        </FilePick>
                    )}
                    <TextLink apart plain href="/parts.csv" download>
                        As a table
                    </TextLink>
                    <TextLink apart plain href="/parts.json" download>
                        As JSON
                    </TextLink>
                    {changes && (
                        <Button kind="act" onClick={() => setShown('new')}>
                            New part
                        </Button>
                    )}
                </div>
                <p className="mt-2 max-w-[60em] text-soft">
                    What this workshop buys, with what the fit check compares and what the remedies cost. Its parts
                    stand among the ways to cure a job.
                </p>
                {errors.file && (
                    <p role="alert" className="mt-3 border-l-4 border-bad bg-caution px-3 py-2 font-medium">
                        {errors.file}
                    </p>
                )}
                {parts.length === 0 ? (
                    <p className="mt-8 text-lg">No part yet. Add the ones you buy often, or take in a table.</p>
                ) : (
                    <div className="relative mt-5 overflow-x-auto">
                        <table className="w-full min-w-[46rem] border-b border-rule">
                            <thead>
                                <tr className="text-left">
                                    <th className="py-1.5 pr-4 font-semibold">Number</th>
                                    <th className="pr-4 font-semibold">What it is</th>
                                    <th className="pr-4 font-semibold">Kind</th>
                                    <th className="pr-4 font-semibold">Make</th>
                                    <th className="pr-4 text-right font-semibold">Price</th>
                                    <th className="pr-4 font-semibold">Here in</th>
                                    <th className="font-semibold">Known of it</th>
                                </tr>
                            </thead>
                            <tbody>
                                {parts.map((part) => (
                                    <tr key={part.number} className="border-t border-rule">
                                        <td className="pr-4">
                                            {changes ? (
                                                <Button
                                                    kind="quiet"
                                                    className="figure -ml-2"
                                                    onClick={() => setShown(part)}
                                                >
                                                    {part.number}
                                                </Button>
                                            ) : (
                                                <span className="figure">{part.number}</span>
                                            )}
                                        </td>
                                        <td className="pr-4 font-semibold">{part.name}</td>
                                        <td className="pr-4">{types.find((one) => one.value === part.type)?.label}</td>
                                        <td className="pr-4">{part.make}</td>
                                        <td className="figure pr-4 text-right">
                                            {money(part.price + part.freight, currency)}
                                        </td>
                                        <td className="pr-4">
                                            {part.leadDays === null ? (
                                                <span className="text-warn">no stock, no date</span>
                                            ) : part.leadDays === 0 ? (
                                                'here'
                                            ) : (
                                                `${part.leadDays} ${part.leadDays === 1 ? 'day' : 'days'}`
                                            )}
                                        </td>
                                        <td className="text-soft">
                                            {Object.keys(part.attributes).length} of{' '}
                                            {types.find((one) => one.value === part.type)?.attributes.length} attributes
                                        </td>
                                    </tr>
                                ))}
                            </tbody>
                        </table>
                    </div>
                )}
                <Panel
                    open={shown !== null}
                    onOpenChange={(open) => {
                        if (!open) setShown(null);
                    }}
                    title={shown === 'new' ? 'New part' : shown === null ? '' : shown.number}
                    description="Empty means not known: the fit check says so."
                >
                    {shown !== null && <PartForm part={shown === 'new' ? null : shown} onDone={() => setShown(null)} />}
                </Panel>
            </div>
        </Frame>
    );
}

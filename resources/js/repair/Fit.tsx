import { router, useForm, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { ulid } from 'ulid';
import RepairNav from '@/repair/RepairNav';
import { day } from '@/lib/format';
import { payload, word } from '@/lib/payload';
import type { AttributeShown, Cell, FitPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import Choices from '@/ui/Choices';
import { TextArea, TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import PlugFace, { order } from '@/ui/PlugFace';
import Select from '@/ui/Select';
import Tick from '@/ui/Tick';

type Verdict = 'same' | 'compatible' | 'adapt' | 'unknown' | 'wrong';
type Values = Record<string, string | undefined>;

type Props = FitPage & Shared;

const looks: Record<Verdict, { mark: string; word: string; colour: string }> = {
    same: { mark: '=', word: 'same', colour: 'var(--good)' },
    compatible: { mark: '≈', word: 'compatible', colour: 'var(--good)' },
    adapt: { mark: '±', word: 'adapt', colour: 'var(--warn)' },
    unknown: { mark: '?', word: 'not known', colour: 'var(--soft)' },
    wrong: { mark: '×', word: 'wrong', colour: 'var(--bad)' },
};

function Cell({
    attribute,
    side,
    value,
    onChange,
    disabled,
}: {
    attribute: AttributeShown;
    side: string;
    value: string;
    onChange: (value: string) => void;
    disabled: boolean;
}) {
    const label = `${attribute.label}, ${side}`;
    if (attribute.choices.length > 0)
        return (
            <Select
                bare
                label={label}
                choices={attribute.choices}
                empty="not known"
                value={value}
                disabled={disabled}
                onChange={(event) => onChange(event.target.value)}
            />
        );
    return (
        <span className="flex items-center gap-1.5">
            <input
                aria-label={label}
                value={value}
                disabled={disabled}
                onChange={(event) => onChange(event.target.value)}
                className="min-h-11 w-full min-w-0 rounded-[4px] border border-soft/60 bg-sheet px-2.5 py-1.5"
            />
            {attribute.unit && <span className="w-7 shrink-0 text-soft">{attribute.unit}</span>}
        </span>
    );
}

export default function Fit() {
    const page = usePage<Props>().props;
    const { job, open, type, types, attributes, findings, worst, faces, chosen, checks, catalogue } = page;
    const [id, setId] = useState(ulid);
    const [old, setOld] = useState<Values>(page.old);
    const [next, setNext] = useState<Values>(page.new);
    const [candidate, setCandidate] = useState(page.candidate);
    const { data, setData, ...form } = useForm({
        when: checks.length === 0 ? 'purchase' : 'beside',
        accepted: true,
        reason: '',
    });
    const errors: Record<string, string | undefined> = form.errors;
    const compare = (extra: Record<string, unknown> = {}) =>
        router.get(`/jobs/${job.id}/fit`, payload({ type, candidate, old, new: next, ...extra }), {
            preserveState: true,
            preserveScroll: true,
            replace: true,
        });
    const take = (number: string) => {
        const part = catalogue.find((one) => one.number === number);
        if (!part) return;
        setCandidate(part.number);
        setNext(part.attributes);
        compare({ type: part.type, candidate: part.number, new: part.attributes });
    };
    const submit = (event: React.FormEvent) => {
        event.preventDefault();
        form.transform((given) => payload({ ...given, id, type, candidate, old, new: next }));
        form.post(`/jobs/${job.id}/fit`, {
            preserveState: true,
            preserveScroll: true,
            onSuccess: () => {
                setId(ulid());
                setData('reason', '');
            },
        });
    };
    const plugs = [faces?.old, faces?.new].filter((face) => face !== undefined && face !== null);
    const fitting = catalogue.filter((part) => part.type === type);
    return (
        <Frame title={`Fit check ${job.number}`} job={job} here="remedy">
            <RepairNav job={job.id} here="fit" />
            <div className="mx-auto max-w-[1240px] px-5 py-5">
                <h1 className="text-[1.7rem] leading-tight font-semibold">Old part against its candidate</h1>
                <p className="mb-3 max-w-[60em] text-soft">
                    Before anything is taken apart, as far as it can be known, and again with both side by side.{' '}
                    {chosen && <>Chosen: {chosen}.</>}
                </p>
                <div className="flex flex-wrap items-end gap-4">
                    <Select
                        label="Kind of part"
                        choices={types}
                        value={type}
                        onChange={(event) => compare({ type: event.target.value })}
                        disabled={!open}
                        className="w-64 max-sm:w-full"
                    />
                    <Select
                        label="Candidate from the catalogue"
                        choices={fitting.map((part) => ({ value: part.number, label: `${part.number}, ${part.name}` }))}
                        empty={fitting.length === 0 ? 'none of this kind' : 'choose, or type below'}
                        value={fitting.some((part) => part.number === candidate) ? candidate : ''}
                        onChange={(event) => take(event.target.value)}
                        disabled={!open || fitting.length === 0}
                        className="w-72 max-sm:w-full"
                    />
                    <TextField
                        label="Candidate"
                        value={candidate}
                        onChange={(event) => setCandidate(event.target.value)}
                        error={errors['candidate']}
                        disabled={!open}
                        className="w-64 max-sm:w-full"
                    />
                </div>
                <div className="relative mt-4 overflow-x-auto">
                    <table className="w-full border-b border-rule max-sm:block sm:min-w-[44rem]">
                        <thead className="max-sm:sr-only">
                            <tr className="text-left">
                                <th className="w-[17rem] py-1.5 pr-3 font-semibold">Attribute</th>
                                <th className="w-[15rem] pr-3 font-semibold">Old part</th>
                                <th className="w-[15rem] pr-3 font-semibold">Candidate</th>
                                <th className="font-semibold">Fits</th>
                            </tr>
                        </thead>
                        <tbody className="max-sm:block">
                            {attributes.map((attribute) => {
                                const finding = findings.find((one) => one.key === attribute.key);
                                const look = looks[finding?.verdict ?? 'unknown'];
                                return (
                                    <tr
                                        key={attribute.key}
                                        className="border-t border-rule align-top max-sm:grid max-sm:grid-cols-2"
                                    >
                                        <th
                                            scope="row"
                                            className="py-2 pr-3 text-left font-normal max-sm:col-span-2 max-sm:pb-0"
                                        >
                                            <span className="font-medium">{attribute.label}</span>
                                            {attribute.hint && (
                                                <span className="block text-[0.88rem] text-soft">{attribute.hint}</span>
                                            )}
                                        </th>
                                        <td className="py-1.5 pr-3">
                                            <span aria-hidden="true" className="text-[0.85rem] text-soft sm:hidden">
                                                old
                                            </span>
                                            <Cell
                                                attribute={attribute}
                                                side="old part"
                                                value={old[attribute.key] ?? ''}
                                                onChange={(value) => setOld({ ...old, [attribute.key]: value })}
                                                disabled={!open}
                                            />
                                        </td>
                                        <td className="py-1.5 pr-3">
                                            <span aria-hidden="true" className="text-[0.85rem] text-soft sm:hidden">
                                                candidate
                                            </span>
                                            <Cell
                                                attribute={attribute}
                                                side="candidate"
                                                value={next[attribute.key] ?? ''}
                                                onChange={(value) => setNext({ ...next, [attribute.key]: value })}
                                                disabled={!open}
                                            />
                                        </td>
                                        <td className="py-2 max-sm:col-span-2 max-sm:pt-0">
                                            <span
                                                className="figure mr-2 inline-block w-5 text-center text-lg leading-none font-medium"
                                                style={{ color: look.colour }}
                                                aria-hidden="true"
                                            >
                                                {look.mark}
                                            </span>
                                            <span className="font-semibold" style={{ color: look.colour }}>
                                                {look.word}
                                            </span>{' '}
                                            {finding?.how}
                                        </td>
                                    </tr>
                                );
                            })}
                        </tbody>
                    </table>
                </div>
                {plugs.length > 0 && (
                    <section aria-label="Connectors" className="mt-4">
                        <h2 className="font-semibold">Their connectors, from the front</h2>
                        <div className="mt-1 flex flex-wrap gap-x-10 gap-y-3">
                            {plugs.map((face) => (
                                <figure key={face.title}>
                                    <figcaption className="text-soft">
                                        {face.title}
                                        {face.sockets !== null && `, ${face.sockets ? 'sockets' : 'pins'}`}
                                        {face.key !== null && `, key: ${face.key}`}
                                    </figcaption>
                                    <PlugFace face={face} />
                                </figure>
                            ))}
                        </div>
                        <p className="mt-1 text-[0.9rem] text-soft">
                            {plugs.slice(0, 1).map(order)} Dashed: nobody has told what it does.
                        </p>
                    </section>
                )}
                {open && (
                    <>
                        <div className="mt-3 flex flex-wrap items-center gap-4">
                            <Button onClick={() => compare()}>Compare</Button>
                            <p role="status">
                                All in all:{' '}
                                <strong className="font-semibold" style={{ color: looks[worst].colour }}>
                                    {looks[worst].word}
                                </strong>
                            </p>
                        </div>
                        <form onSubmit={submit} className="mt-5 max-w-[46em] border-t-2 border-ink pt-3">
                            <h2 className="mb-1 text-lg font-semibold">Put the comparison on record</h2>
                            <Choices
                                label="When"
                                value={data.when}
                                onChange={(next) => setData('when', next)}
                                choices={[
                                    { value: 'purchase', label: 'Before buying' },
                                    { value: 'beside', label: 'Old and new side by side' },
                                ]}
                            />
                            <Tick checked={data.accepted} onChange={(next) => setData('accepted', next)}>
                                It is taken
                            </Tick>
                            <TextArea
                                label="Reason, or how it is adapted"
                                rows={2}
                                value={data.reason}
                                onChange={(event) => setData('reason', event.target.value)}
                                error={errors['reason'] ?? errors['type']}
                            />
                            <Button kind="act" type="submit" disabled={form.processing} className="mt-3">
                                Record the comparison
                            </Button>
                        </form>
                    </>
                )}
                {checks.length > 0 && (
                    <section aria-label="Comparisons on record" className="mt-6">
                        <h2 className="font-semibold">On record</h2>
                        <ul>
                            {checks.map((one) => (
                                <li key={one.id} className="border-t border-rule py-1.5">
                                    {one.at ? day(one.at) : ''},{' '}
                                    {one.when === 'beside' ? 'side by side' : 'before buying'}:{' '}
                                    <strong className="font-semibold">{word(one.candidate)}</strong>,{' '}
                                    {one.accepted ? 'taken' : 'not taken'}
                                    {word(one.reason) !== '' ? `: ${word(one.reason)}` : ''}
                                </li>
                            ))}
                        </ul>
                    </section>
                )}
            </div>
        </Frame>
    );
}

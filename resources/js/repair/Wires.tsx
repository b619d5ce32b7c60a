import { Link, usePage } from '@inertiajs/react';
import { useState } from 'react';
import PhotoPick from '@/log/PhotoPick';
import RepairNav from '@/repair/RepairNav';
import Switches from '@/bench/Switches';
import { word } from '@/lib/payload';
import type { SwitchRow, WiresPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import { useEntry } from '@/repair/useEntry';
import Button from '@/ui/Button';
import Choices from '@/ui/Choices';
import { TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import Tick from '@/ui/Tick';

type Props = WiresPage & Shared;

const noWire = { function: '', from: '', to: '', colour: '', label: '' };

function Transfer() {
    const { job, open, method, rows, warnings, functions, errors } = usePage<Props>().props;
    const { note, sending } = useEntry(job.id);
    const [draft, setDraft] = useState(noWire);
    const [acting, setActing] = useState('');
    return (
        <section aria-label="Transfer table">
            <h1 className="text-[1.7rem] leading-tight font-semibold">Wires, by what they do</h1>
            <p className="mb-3 max-w-[60em] text-soft">
                Terminal on the old part to terminal on the new one. Places and colours differ between makes; the
                function does not. Before one is cut:{' '}
                <Link
                    href={`/planners/wire-and-splice?job=${job.id}`}
                    className="text-lake underline underline-offset-4"
                >
                    wire, splice and fuse
                </Link>
                .
            </p>
            {open && (
                <Choices
                    label="How they are moved"
                    value={method ?? ''}
                    onChange={(value) => note('method', { method: value })}
                    choices={[
                        { value: 'one-at-a-time', label: 'One at a time, the old part hanging beside' },
                        { value: 'photo-and-tags', label: 'Photo and tags, then all off' },
                    ]}
                    hint={
                        method === 'one-at-a-time'
                            ? 'Each wire is checked before the next comes off.'
                            : method === 'photo-and-tags'
                              ? 'Every wire has its tag before the part comes off.'
                              : null
                    }
                />
            )}
            {warnings.map((warning) => (
                <p key={warning} className="mt-2 border-l-4 border-warn bg-caution px-3 py-1.5 font-medium">
                    {warning}
                </p>
            ))}
            <div className="relative mt-3 overflow-x-auto">
                <table className="w-full border-b border-rule max-sm:block sm:min-w-[40rem]">
                    <thead className="max-sm:sr-only">
                        <tr className="text-left">
                            <th className="py-1.5 pr-3 font-semibold">What it does</th>
                            <th className="pr-3 font-semibold">Colour</th>
                            <th className="pr-3 font-semibold">Tag</th>
                            <th className="pr-3 font-semibold">From, old part</th>
                            <th className="pr-3 font-semibold">To, new part</th>
                            <th className="font-semibold">Done</th>
                        </tr>
                    </thead>
                    <tbody className="max-sm:block">
                        {rows.map((row) => (
                            <tr
                                key={row.id}
                                className="border-t border-rule max-sm:flex max-sm:flex-wrap max-sm:items-baseline max-sm:gap-x-3 max-sm:py-1"
                            >
                                <th
                                    scope="row"
                                    className="py-1.5 pr-3 text-left font-semibold max-sm:basis-full max-sm:py-0"
                                >
                                    {row.function}
                                </th>
                                <td className="pr-3">{row.colour}</td>
                                <td className="figure pr-3">{row.label}</td>
                                <td className="pr-3 max-sm:pr-0">
                                    <span aria-hidden="true" className="text-soft sm:hidden">
                                        from{' '}
                                    </span>
                                    {row.from}
                                </td>
                                <td className="pr-3">
                                    <span aria-hidden="true" className="text-soft sm:hidden">
                                        to{' '}
                                    </span>
                                    {row.to}
                                </td>
                                <td className="flex flex-wrap items-center gap-2 py-1 max-sm:basis-full">
                                    {row.checked ? (
                                        <span className="font-medium text-good">moved and checked</span>
                                    ) : row.moved ? (
                                        <>
                                            {open ? (
                                                <Button
                                                    disabled={sending}
                                                    onClick={() => {
                                                        setActing(row.id);
                                                        note('wire-checked', { of: row.id });
                                                    }}
                                                >
                                                    Pulled, seen: right
                                                </Button>
                                            ) : (
                                                'moved'
                                            )}
                                        </>
                                    ) : (
                                        open && (
                                            <Button
                                                disabled={sending}
                                                onClick={() => {
                                                    setActing(row.id);
                                                    note('wire-moved', { of: row.id });
                                                }}
                                            >
                                                Moved
                                            </Button>
                                        )
                                    )}
                                    {open && !row.moved && (
                                        <Button
                                            kind="quiet"
                                            aria-label={`Take back ${row.function}`}
                                            onClick={() => note('removed', { of: row.id })}
                                        >
                                            Take back
                                        </Button>
                                    )}
                                    {acting === row.id && errors.of && (
                                        <span role="alert" className="font-medium text-bad">
                                            {errors.of}
                                        </span>
                                    )}
                                </td>
                            </tr>
                        ))}
                        {rows.length === 0 && (
                            <tr className="max-sm:block">
                                <td colSpan={6} className="border-t border-rule py-2 text-soft max-sm:block">
                                    No wire in the table yet.
                                </td>
                            </tr>
                        )}
                    </tbody>
                </table>
            </div>
            {open && (
                <form
                    onSubmit={(event) => {
                        event.preventDefault();
                        setActing('new');
                        note('wire', draft, () => setDraft(noWire));
                    }}
                    className="mt-3 grid items-start gap-3 sm:grid-cols-[1.5fr_1fr_5rem_1.2fr_1.2fr_auto]"
                >
                    <TextField
                        label="What it does"
                        list="functions"
                        value={draft.function}
                        onChange={(event) => setDraft({ ...draft, function: event.target.value })}
                        error={acting === 'new' ? (errors.function ?? errors.method) : undefined}
                    />
                    <datalist id="functions">
                        {functions.map((one) => (
                            <option key={one} value={one} />
                        ))}
                    </datalist>
                    <TextField
                        label="Colour"
                        value={draft.colour}
                        onChange={(event) => setDraft({ ...draft, colour: event.target.value })}
                        error={acting === 'new' ? errors.colour : undefined}
                    />
                    <TextField
                        label="Tag"
                        value={draft.label}
                        onChange={(event) => setDraft({ ...draft, label: event.target.value })}
                        error={acting === 'new' ? errors.label : undefined}
                    />
                    <TextField
                        label="From"
                        value={draft.from}
                        onChange={(event) => setDraft({ ...draft, from: event.target.value })}
                        error={acting === 'new' ? errors.from : undefined}
                    />
                    <TextField
                        label="To"
                        value={draft.to}
                        onChange={(event) => setDraft({ ...draft, to: event.target.value })}
                        error={acting === 'new' ? errors.to : undefined}
                    />
                    <Button type="submit" disabled={sending} className="mt-7">
                        Add the wire
                    </Button>
                </form>
            )}
        </section>
    );
}

function Copied({ row }: { row: SwitchRow }) {
    const { job, open, errors } = usePage<Props>().props;
    const { note, sending } = useEntry(job.id);
    const [pattern, setPattern] = useState(row.new ?? '0'.repeat(row.old.length));
    const [reason, setReason] = useState(row.reason);
    const [here, setHere] = useState(false);
    return (
        <li className="border-t border-rule py-3">
            <p className="mb-2 font-semibold">{row.name}</p>
            <div className="flex flex-wrap items-end gap-6">
                <div>
                    <p className="text-soft">On the old part</p>
                    <Switches pattern={row.old} label={`${row.name}, old`} />
                </div>
                <div>
                    <p className="text-soft">On the new part{row.new === null ? ', as it is to be set' : ''}</p>
                    {open ? (
                        <Switches
                            pattern={pattern}
                            label={`${row.name}, new`}
                            onChange={setPattern}
                            against={row.old}
                        />
                    ) : (
                        <Switches pattern={row.new ?? row.old} label={`${row.name}, new`} against={row.old} />
                    )}
                </div>
                {open && (
                    <form
                        onSubmit={(event) => {
                            event.preventDefault();
                            setHere(true);
                            note('switches-set', { of: row.id, new: pattern, reason }, () => setHere(false));
                        }}
                        className="flex flex-wrap items-end gap-3"
                    >
                        {pattern !== row.old && (
                            <TextField
                                label="Why it differs"
                                value={reason}
                                onChange={(event) => setReason(event.target.value)}
                                error={here ? errors.reason : undefined}
                                className="w-64"
                            />
                        )}
                        <Button type="submit" disabled={sending}>
                            Set like this
                        </Button>
                    </form>
                )}
            </div>
            {row.new !== null && (
                <p className="mt-1.5">
                    {row.new === row.old ? (
                        <span className="text-good">Set alike.</span>
                    ) : (
                        <span className="text-warn">Differs: {row.reason}</span>
                    )}
                </p>
            )}
        </li>
    );
}

function SwitchSettings() {
    const { job, open, switches, errors } = usePage<Props>().props;
    const { note, sending } = useEntry(job.id);
    const [name, setName] = useState('');
    const [pattern, setPattern] = useState('0000');
    const [photo, setPhoto] = useState('');
    const [here, setHere] = useState(false);
    const count = (n: number) => setPattern((old) => old.padEnd(n, '0').slice(0, n));
    return (
        <section aria-label="Switch settings">
            <h2 className="text-lg font-semibold">Switches, copied as a picture</h2>
            <ul className="border-b border-rule">
                {switches.map((row) => (
                    <Copied key={`${row.id}-${row.new ?? ''}`} row={row} />
                ))}
            </ul>
            {open && (
                <form
                    onSubmit={(event) => {
                        event.preventDefault();
                        setHere(true);
                        note('switches', { name, old: pattern, photo }, () => {
                            setName('');
                            setPhoto('');
                            setHere(false);
                        });
                    }}
                    className="mt-3 flex flex-wrap items-end gap-4"
                >
                    <TextField
                        label="Which switches"
                        placeholder="S1, airflow"
                        value={name}
                        onChange={(event) => setName(event.target.value)}
                        error={here ? errors.name : undefined}
                        className="w-52"
                    />
                    <TextField
                        label="How many"
                        type="number"
                        min={1}
                        max={12}
                        value={String(pattern.length)}
                        onChange={(event) => count(Math.min(12, Math.max(1, Number(event.target.value) || 1)))}
                        className="w-24"
                    />
                    <div>
                        <p className="mb-1 font-medium">As they stand on the old part</p>
                        <Switches pattern={pattern} label="Old setting" onChange={setPattern} />
                    </div>
                    <PhotoPick job={job.id} caption={name} value={photo} onChange={setPhoto} />
                    <Button type="submit" disabled={sending}>
                        Keep this setting
                    </Button>
                </form>
            )}
        </section>
    );
}

function Plugs() {
    const { job, open, plugs, errors } = usePage<Props>().props;
    const { note, sending } = useEntry(job.id);
    const none = { what: '', latched: false, locked: false, reason: '' };
    const [draft, setDraft] = useState(none);
    const [here, setHere] = useState(false);
    return (
        <section aria-label="Plugs">
            <h2 className="text-lg font-semibold">Plugs: latched and locked</h2>
            <ul className="border-b border-rule">
                {plugs.map((one) => (
                    <li key={one.id} className="border-t border-rule py-1.5">
                        <strong className="font-semibold">{word(one.what)}</strong>:{' '}
                        {one.latched ? 'latched' : 'not latched'},{' '}
                        {one.locked ? 'secondary lock in' : 'no secondary lock'}
                        {word(one.reason) !== '' ? `, ${word(one.reason)}` : ''}
                    </li>
                ))}
            </ul>
            {open && (
                <form
                    onSubmit={(event) => {
                        event.preventDefault();
                        setHere(true);
                        note('plug', draft, () => {
                            setDraft(none);
                            setHere(false);
                        });
                    }}
                    className="mt-3 flex flex-wrap items-end gap-4"
                >
                    <TextField
                        label="Plug"
                        value={draft.what}
                        onChange={(event) => setDraft({ ...draft, what: event.target.value })}
                        error={here ? errors.what : undefined}
                        className="w-56"
                    />
                    <Tick checked={draft.latched} onChange={(latched) => setDraft({ ...draft, latched })}>
                        latch heard and pulled
                    </Tick>
                    <Tick checked={draft.locked} onChange={(locked) => setDraft({ ...draft, locked })}>
                        secondary lock in
                    </Tick>
                    <TextField
                        label="If one does not hold, why it stays"
                        value={draft.reason}
                        onChange={(event) => setDraft({ ...draft, reason: event.target.value })}
                        error={here ? errors.reason : undefined}
                        className="w-72"
                    />
                    <Button type="submit" disabled={sending}>
                        Note the plug
                    </Button>
                </form>
            )}
        </section>
    );
}

export default function Wires() {
    const { job, undone } = usePage<Props>().props;
    return (
        <Frame title={`Wires ${job.number}`} job={job} here="remedy">
            <RepairNav job={job.id} here="wires" />
            <div className="mx-auto flex max-w-[1240px] flex-col gap-9 px-5 py-5">
                <p className="border-l-4 border-warn bg-caution px-3 py-1.5 font-medium">
                    Power off and proved dead before a wire moves. A splice is rated for the fuse in front of it: the
                    planner "Wire, splice and fuse" says so or refuses.
                </p>
                <Transfer />
                <SwitchSettings />
                <Plugs />
                {undone.length > 0 && <p role="status">Still to be done: {undone.join('; ')}.</p>}
            </div>
        </Frame>
    );
}

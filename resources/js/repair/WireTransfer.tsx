import { Link, usePage } from '@inertiajs/react';
import { useState } from 'react';
import type { WiresPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import { useEntry } from '@/repair/useEntry';
import { useEntryForm } from '@/repair/useEntryForm';
import WireFaces from '@/repair/WireFaces';
import Button from '@/ui/Button';
import Choices from '@/ui/Choices';
import { TextField } from '@/ui/Field';

const noWire = { function: '', from: '', to: '', colour: '', label: '' };

/** The wires by what they do, from old terminal to new one. */
export default function WireTransfer() {
    const { job, open, method, rows, warnings, functions, faces, errors } = usePage<WiresPage & Shared>().props;
    const { note, sending } = useEntry(job.id);
    const form = useEntryForm(job.id, 'wire', noWire);
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
            {faces && (
                <div className="mt-4">
                    <WireFaces faces={faces} />
                </div>
            )}
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
                    onSubmit={form.send}
                    className="mt-3 grid items-start gap-3 sm:grid-cols-[1.5fr_1fr_5rem_1.2fr_1.2fr_auto]"
                >
                    <TextField
                        label="What it does"
                        list="functions"
                        {...form.field('function')}
                        error={form.errors.function ?? form.errors.method}
                    />
                    <datalist id="functions">
                        {functions.map((one) => (
                            <option key={one} value={one} />
                        ))}
                    </datalist>
                    <TextField label="Colour" {...form.field('colour')} />
                    <TextField label="Tag" {...form.field('label')} />
                    <TextField label="From" {...form.field('from')} />
                    <TextField label="To" {...form.field('to')} />
                    <Button type="submit" disabled={form.sending} className="beside-field">
                        Add the wire
                    </Button>
                </form>
            )}
        </section>
    );
}

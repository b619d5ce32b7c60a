import { router, useForm, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { ulid } from 'ulid';
import type { ProcedurePage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import ProcedureText from './ProcedureText';
import TextLink from '@/ui/TextLink';

type Props = ProcedurePage & Shared;

/** A procedure to be read whole before it is begun. */
export default function Procedure() {
    const { procedure, asksForCapacitor, own, shipped, lead, job } = usePage<Props>().props;
    const [id] = useState(ulid);
    const form = useForm({ microfarads: '', ohms: '', volts: '' });
    const fields = [
        ['microfarads', 'Capacitance, µF'],
        ['ohms', 'Its bleeder, Ω'],
        ['volts', 'Charged to, V'],
    ] as const;
    return (
        <Frame title={procedure.title} {...(job ? { job } : {})}>
            <div className="mx-auto max-w-[900px] px-5 py-5">
                <p>
                    <TextLink href={job ? `/procedures?job=${job.id}` : '/procedures'}>All procedures</TextLink>
                </p>
                <ProcedureText procedure={procedure} />
                <form
                    className="mt-6"
                    onSubmit={(event) => {
                        event.preventDefault();
                        form.transform((data) => ({ ...data, id, job: job?.id ?? null }));
                        form.post(`/procedures/${procedure.key}/runs`, { preserveState: 'errors' });
                    }}
                >
                    {asksForCapacitor && (
                        <fieldset className="mb-4">
                            <legend className="font-medium">The capacitor, where it is known</legend>
                            <p className="text-soft">
                                The wait becomes twice the time in which it falls to 30 V, and never less than stands
                                above. A label that says longer wins.
                            </p>
                            <div className="mt-2 grid gap-3 sm:grid-cols-3">
                                {fields.map(([key, label]) => (
                                    <TextField
                                        key={key}
                                        label={label}
                                        value={form.data[key]}
                                        inputMode="decimal"
                                        onChange={(event) => form.setData(key, event.target.value)}
                                        error={form.errors[key]}
                                    />
                                ))}
                            </div>
                        </fieldset>
                    )}
                    <Button kind="act" type="submit" disabled={form.processing}>
                        {job ? `Begin for ${job.number}` : 'Begin'}
                    </Button>
                </form>
                <p className="mt-8 flex flex-wrap gap-x-4 border-t border-rule pt-3">
                    {lead && <TextLink href={`/procedures/${procedure.key}/edit`}>Change it for the workshop</TextLink>}
                    <TextLink plain href={`/procedures/${procedure.key}.json`} download>
                        Export it as a file
                    </TextLink>
                    {lead && own && (
                        <Button kind="quiet" onClick={() => router.delete(`/procedures/${procedure.key}`)}>
                            {shipped ? 'Back to the text that ships' : 'Remove it'}
                        </Button>
                    )}
                </p>
            </div>
        </Frame>
    );
}

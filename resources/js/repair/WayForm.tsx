import { useForm } from '@inertiajs/react';
import { useState } from 'react';
import { ulid } from 'ulid';
import type { RemedyShown } from '@/generated/props';
import Button from '@/ui/Button';
import Choices from '@/ui/Choices';
import { TextArea, TextField } from '@/ui/Field';

interface Props {
    job: string;
    option: RemedyShown;
    currency: string;
    standing: string;
    potted: boolean;
}

/** Takes one of the ways, with the reason: right where it stands. */
export default function WayForm({ job, option, currency, standing, potted }: Props) {
    const [id] = useState(ulid);
    const form = useForm({ reason: '', partNumber: '', selling: '', lasting: '' });
    const errors: Record<string, string | undefined> = form.errors;
    const converts = option.kind === 'conversion';
    const submit = (event: React.FormEvent) => {
        event.preventDefault();
        form.transform((data) => ({
            ...data,
            id,
            option: option.key,
            lasting: converts ? data.lasting : null,
            standing,
            potted,
        }));
        form.post(`/jobs/${job}/remedy`, { preserveState: 'errors' });
    };
    return (
        <form onSubmit={submit} className="mt-1 mb-3 ml-8 max-w-[46em]">
            {errors['option'] && (
                <p role="alert" className="mb-2 font-medium text-bad">
                    {errors['option']}
                </p>
            )}
            {converts && (
                <div className="mb-3">
                    <p className="mb-2 border-l-4 border-warn bg-caution px-3 py-1.5 font-medium">
                        This makes another machine of it. A listed appliance may lose its approval and its warranty:
                        follow local code and the maker, and have the owner agree in writing first.
                    </p>
                    <Choices
                        label="How long"
                        value={form.data.lasting}
                        onChange={(next) => form.setData('lasting', next)}
                        choices={[
                            { value: 'permanent', label: 'For good' },
                            { value: 'temporary', label: 'Until the right part is here' },
                        ]}
                    />
                    {errors['lasting'] && (
                        <p role="alert" className="mt-1 font-medium text-bad">
                            {errors['lasting']}
                        </p>
                    )}
                </div>
            )}
            <TextArea
                label="Why this way"
                rows={2}
                value={form.data.reason}
                onChange={(event) => form.setData('reason', event.target.value)}
                error={errors['reason']}
                hint="Prove first or buy on the pattern, component or assembly, original or not: a few words for whoever comes next."
            />
            <div className="mt-3 grid gap-3 sm:grid-cols-[1fr_1fr_auto] sm:items-end">
                <TextField
                    label="Part number"
                    value={form.data.partNumber}
                    onChange={(event) => form.setData('partNumber', event.target.value)}
                    error={errors['partNumber']}
                />
                <TextField
                    label={`Selling price in ${currency}`}
                    inputMode="decimal"
                    value={form.data.selling}
                    onChange={(event) => form.setData('selling', event.target.value)}
                    error={errors['selling']}
                />
                <Button kind="act" type="submit" disabled={form.processing}>
                    Choose this way
                </Button>
            </div>
        </form>
    );
}

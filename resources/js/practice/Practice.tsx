import { useForm, usePage } from '@inertiajs/react';
import { ulid } from 'ulid';
import type { PracticePage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import Choices from '@/ui/Choices';
import Frame from '@/ui/Frame';

type Props = PracticePage & Shared;

/** Makes a unit up, with a fault hidden in it. */
export default function Practice() {
    const { families, wandering, usual } = usePage<Props>().props;
    const form = useForm(() => ({
        id: ulid(),
        mapId: ulid(),
        family: usual,
        intermittent: false,
    }));
    const { data, setData, errors, processing } = form;
    const family = families.find((one) => one.key === data.family);
    const wanders = wandering.includes(data.family);
    const submit = (event: React.FormEvent) => {
        event.preventDefault();
        form.post('/practice');
    };
    return (
        <Frame title="Practise">
            <form onSubmit={submit} className="mx-auto flex max-w-[1180px] flex-col gap-5 px-5 py-6">
                <div>
                    <h1 className="mb-2 text-[1.8rem] leading-none font-semibold">Practise on a make-believe unit</h1>
                    <p className="max-w-[60em]">
                        One fault is hidden in it, as often as it is met in the trade. It answers every test by itself
                        when you press <em>let it answer</em>, with values of its own and a meter that errs a little.
                        Find the fault, swap the part, prove it. Such a job counts in no list of what is due.
                    </p>
                </div>
                <Choices
                    label="Kind of circuit"
                    value={data.family}
                    onChange={(key) => setData({ ...data, family: key, intermittent: false })}
                    choices={families.map((one) => ({ value: one.key, label: one.name }))}
                    hint={errors.family ?? family?.summary ?? null}
                />
                <Choices
                    label="How it shows"
                    value={data.intermittent ? 'yes' : 'no'}
                    onChange={(value) => setData('intermittent', value === 'yes')}
                    choices={[
                        { value: 'no', label: 'Always' },
                        ...(wanders ? [{ value: 'yes', label: 'Comes and goes' }] : []),
                    ]}
                    hint={wanders ? null : 'No fault of this circuit comes and goes.'}
                />
                <p>
                    <Button kind="act" type="submit" disabled={processing}>
                        Make the unit
                    </Button>
                </p>
            </form>
        </Frame>
    );
}

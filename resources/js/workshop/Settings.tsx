import { useForm, usePage } from '@inertiajs/react';
import type { SettingsPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import Choices from '@/ui/Choices';
import { TextArea, TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';
import Select from '@/ui/Select';
import Tick from '@/ui/Tick';

type Props = SettingsPage & Shared;

const days = [
    ['mon', 'Monday'],
    ['tue', 'Tuesday'],
    ['wed', 'Wednesday'],
    ['thu', 'Thursday'],
    ['fri', 'Friday'],
    ['sat', 'Saturday'],
    ['sun', 'Sunday'],
] as const;

function useSettings(page: SettingsPage) {
    return useForm({
        name: page.name,
        address: page.address,
        contact: page.contact,
        currency: page.currency,
        labourPerHour: String(page.labourPerHour),
        comeBackHours: String(page.comeBackHours),
        taxLine: page.taxLine,
        unitSystem: page.unitSystem,
        opensAt: page.opensAt,
        closesAt: page.closesAt,
        timeZone: page.timeZone,
        workingDays: page.workingDays,
        missingTools: page.missingTools,
        odds: page.odds,
        againMonths: String(page.againMonths),
    });
}

type Form = ReturnType<typeof useSettings>;
type TextKey = Exclude<keyof Form['data'], 'workingDays' | 'missingTools'>;

const field = (form: Form, key: TextKey) => ({
    value: form.data[key],
    onChange: (event: { target: { value: string } }) => form.setData(key, event.target.value),
    error: form.errors[key],
});

function switched(list: string[], key: string, on: boolean): string[] {
    return on ? [...list.filter((one) => one !== key), key] : list.filter((one) => one !== key);
}

function OnSheets({ form }: { form: Form }) {
    return (
        <fieldset className="mt-6 border-t border-rule pt-3">
            <legend className="pr-3 text-lg font-semibold">On sheets</legend>
            <div className="grid items-start gap-4 sm:grid-cols-2">
                <TextField label="Name of the workshop" {...field(form, 'name')} />
                <TextField
                    label="Contact"
                    hint="Telephone or e-mail address, as customers reach it."
                    {...field(form, 'contact')}
                />
                <TextArea label="Address" rows={3} {...field(form, 'address')} />
                <TextField
                    label="Line on taxes"
                    hint="Such as: all prices with 19 % tax."
                    {...field(form, 'taxLine')}
                />
            </div>
        </fieldset>
    );
}

function Money({ form }: { form: Form }) {
    return (
        <fieldset className="mt-6 border-t border-rule pt-3">
            <legend className="pr-3 text-lg font-semibold">Money</legend>
            <p className="mb-3 text-soft">
                With these the engine weighs a test against a part, and a part against a come-back.
            </p>
            <div className="grid items-start gap-4 sm:grid-cols-3">
                <TextField
                    label="Currency"
                    maxLength={3}
                    hint="Three letters, such as EUR."
                    {...field(form, 'currency')}
                />
                <TextField label="An hour of work" inputMode="decimal" {...field(form, 'labourPerHour')} />
                <TextField label="Hours that a come-back costs" inputMode="decimal" {...field(form, 'comeBackHours')} />
            </div>
        </fieldset>
    );
}

function Hours({ form, zones }: { form: Form; zones: string[] }) {
    return (
        <fieldset className="mt-6 border-t border-rule pt-3">
            <legend className="pr-3 text-lg font-semibold">Working hours</legend>
            <p className="mb-3 text-soft">Between two readings on different days only these count as work.</p>
            <div className="flex flex-wrap items-start gap-4">
                <TextField label="From" inputMode="numeric" className="w-28" {...field(form, 'opensAt')} />
                <TextField label="To" inputMode="numeric" className="w-28" {...field(form, 'closesAt')} />
                <Select
                    label="Time zone"
                    className="w-64 max-w-full"
                    choices={zones.map((zone) => ({ value: zone, label: zone }))}
                    {...field(form, 'timeZone')}
                />
                <div className="flex flex-wrap gap-x-4 sm:mt-7">
                    {days.map(([key, label]) => (
                        <Tick
                            key={key}
                            checked={form.data.workingDays.includes(key)}
                            onChange={(on) => form.setData('workingDays', switched(form.data.workingDays, key, on))}
                        >
                            {label}
                        </Tick>
                    ))}
                </div>
            </div>
            {form.errors.workingDays && (
                <p role="alert" className="font-medium text-bad">
                    {form.errors.workingDays}
                </p>
            )}
        </fieldset>
    );
}

/** What holds for the whole workshop. */
export default function Settings() {
    const page = usePage<Props>().props;
    const form = useSettings(page);
    return (
        <Frame title="Settings of the workshop">
            <form
                className="mx-auto max-w-[900px] px-5 py-6"
                onSubmit={(event) => {
                    event.preventDefault();
                    form.put('/settings', { preserveScroll: 'errors' });
                }}
            >
                <h1 className="text-[1.8rem] leading-none font-semibold">Settings of the workshop</h1>
                <OnSheets form={form} />
                <Money form={form} />
                <Hours form={form} zones={page.timeZones} />
                <fieldset className="mt-6 border-t border-rule pt-3">
                    <legend className="pr-3 text-lg font-semibold">Tools</legend>
                    <p className="mb-1 text-soft">Tests that need one which is not here are not proposed to anybody.</p>
                    <div className="columns-2 sm:columns-3">
                        {page.tools.map((tool) => (
                            <Tick
                                key={tool.value}
                                checked={!form.data.missingTools.includes(tool.value)}
                                onChange={(owned) =>
                                    form.setData('missingTools', switched(form.data.missingTools, tool.value, !owned))
                                }
                            >
                                {tool.label}
                            </Tick>
                        ))}
                    </div>
                </fieldset>
                <fieldset className="mt-6 border-t border-rule pt-3">
                    <legend className="pr-3 text-lg font-semibold">What fails how often</legend>
                    <Choices
                        label="A diagnosis begins with"
                        value={form.data.odds}
                        choices={[
                            { value: 'own', label: 'Odds that our own jobs have moved' },
                            { value: 'shipped', label: 'Odds as shipped' },
                        ]}
                        onChange={(next) => form.setData('odds', next)}
                    />
                    <TextLink href="/experience">What our jobs say</TextLink>
                    <TextField
                        label="Not for the first time"
                        hint="Months within which a part that was replaced on the unit, or often on its model, makes what lies upstream of it suspected more. 0 for never."
                        inputMode="numeric"
                        className="mt-2 max-w-md"
                        {...field(form, 'againMonths')}
                    />
                </fieldset>
                <p className="mt-6 border-t border-rule pt-3">
                    Version, disk, backup and what took long:{' '}
                    <TextLink href="/installation">this installation</TextLink>
                </p>
                <fieldset className="mt-6 border-t border-rule pt-3">
                    <legend className="pr-3 text-lg font-semibold">For people who are invited</legend>
                    <Choices
                        label="Units"
                        value={form.data.unitSystem}
                        choices={[
                            { value: 'metric', label: 'Metric' },
                            { value: 'us', label: 'US' },
                        ]}
                        onChange={(next) => form.setData('unitSystem', next)}
                    />
                </fieldset>
                <Button type="submit" kind="act" disabled={form.processing} className="mt-6">
                    Save
                </Button>
            </form>
        </Frame>
    );
}

import { useForm, usePage } from '@inertiajs/react';
import UnitsForm from '@/people/UnitsForm';
import type { AccountPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import { showTheme } from '@/lib/theme';
import Button from '@/ui/Button';
import Choices from '@/ui/Choices';
import { TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';

type Props = AccountPage & Shared;

function PasswordForm() {
    const form = useForm({ current: '', password: '' });
    return (
        <form
            className="mt-8 border-t border-rule pt-4"
            onSubmit={(event) => {
                event.preventDefault();
                form.put('/account/password', { preserveScroll: true, onSuccess: () => form.reset() });
            }}
        >
            <h2 className="text-lg font-semibold">Password</h2>
            <div className="mt-2 grid items-start gap-4 sm:grid-cols-2">
                <TextField
                    label="The one you have now"
                    type="password"
                    autoComplete="current-password"
                    value={form.data.current}
                    onChange={(event) => form.setData('current', event.target.value)}
                    error={form.errors.current}
                />
                <TextField
                    label="A new one"
                    type="password"
                    autoComplete="new-password"
                    value={form.data.password}
                    onChange={(event) => form.setData('password', event.target.value)}
                    error={form.errors.password}
                    hint="At least 12 characters. On other devices you are signed out."
                />
            </div>
            <Button type="submit" disabled={form.processing} className="mt-3">
                Change the password
            </Button>
        </form>
    );
}

/** What everybody sets for themselves. */
export default function Account() {
    const { name, email, role, theme, numbers, system, quantities } = usePage<Props>().props;
    const form = useForm({ name, theme: theme ?? 'device', numbers });
    return (
        <Frame title="Your account">
            <div className="mx-auto max-w-[760px] px-5 py-6">
                <h1 className="text-[1.8rem] leading-none font-semibold">Your account</h1>
                <p className="mt-2 text-soft">
                    You sign in as {email}, and are {role === 'lead' ? 'a lead' : `a ${role}`} here.
                </p>
                <form
                    className="mt-5 flex flex-col items-start gap-4"
                    onSubmit={(event) => {
                        event.preventDefault();
                        form.put('/account', {
                            preserveScroll: true,
                            onSuccess: () => form.data.theme !== 'device' && showTheme(form.data.theme),
                        });
                    }}
                >
                    <TextField
                        label="Name"
                        value={form.data.name}
                        onChange={(event) => form.setData('name', event.target.value)}
                        error={form.errors.name}
                        hint="It stands beside what you note."
                        className="w-full max-w-80"
                    />
                    <Choices
                        label="Colours"
                        value={form.data.theme}
                        choices={[
                            { value: 'device', label: 'As each device has them' },
                            { value: 'day', label: 'Light' },
                            { value: 'dash', label: 'Dark' },
                        ]}
                        onChange={(next) => form.setData('theme', next)}
                    />
                    <Choices
                        label="Numbers"
                        value={form.data.numbers}
                        choices={[
                            { value: 'point', label: '12.4 V' },
                            { value: 'comma', label: '12,4 V' },
                        ]}
                        onChange={(next) => form.setData('numbers', next === 'comma' ? 'comma' : 'point')}
                        hint="Typed ones are read either way."
                    />
                    <Button type="submit" kind="act" disabled={form.processing}>
                        Save
                    </Button>
                </form>
                <UnitsForm system={system} quantities={quantities} />
                <PasswordForm />
            </div>
        </Frame>
    );
}

import { Head, useForm, usePage } from '@inertiajs/react';
import type { InvitedPage } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';

type Props = InvitedPage & Shared;

/** Somebody comes with a link: to join a workshop, or to set a new password. */
export default function Invited() {
    const { token, workshop, name, email, role, renews } = usePage<Props>().props;
    const form = useForm({ name, password: '' });
    const title = renews ? 'A new password' : `Work with ${workshop}`;
    return (
        <main className="mx-auto flex min-h-screen max-w-[460px] flex-col justify-center p-6">
            <Head title={title} />
            <p className="text-[1.6rem] leading-none font-semibold tracking-tight text-lake">ispira</p>
            <h1 className="mt-6 text-[1.8rem] leading-tight font-semibold">{title}</h1>
            <p className="mt-2 mb-6 text-soft">
                {renews
                    ? `For ${name}, ${email}. Every session of yours ends when it is set.`
                    : `You are invited as ${role}, and will sign in as ${email}.`}
            </p>
            <form
                className="flex flex-col gap-4"
                onSubmit={(event) => {
                    event.preventDefault();
                    form.post(`/invited/${token}`);
                }}
            >
                {/* Password keepers look for the name with which one signs in. */}
                <input type="hidden" name="username" autoComplete="username" value={email} readOnly />
                {!renews && (
                    <TextField
                        label="Your name"
                        autoComplete="name"
                        value={form.data.name}
                        onChange={(event) => form.setData('name', event.target.value)}
                        error={form.errors.name}
                        hint="It stands beside what you note."
                    />
                )}
                <TextField
                    label="Password"
                    type="password"
                    autoComplete="new-password"
                    value={form.data.password}
                    onChange={(event) => form.setData('password', event.target.value)}
                    error={form.errors.password}
                    hint="At least 12 characters: three or four words that do not belong together."
                />
                <Button kind="act" type="submit" disabled={form.processing} className="self-start">
                    {renews ? 'Set it and sign in' : 'Join'}
                </Button>
            </form>
        </main>
    );
}

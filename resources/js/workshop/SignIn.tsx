import type { SignInPage } from '@/generated/props';
import { Head, useForm, usePage } from '@inertiajs/react';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';

type Props = SignInPage & Shared;

/** The strip of a fan that only runs on its highest speed, as a sign over the door. */
function DoorSign() {
    return (
        <svg viewBox="0 0 420 150" className="w-full max-w-[420px]" aria-hidden="true">
            <line x1="0" x2="420" y1="140" y2="140" stroke="var(--ink)" strokeWidth="2" />
            {[0, 1, 2].map((n) => (
                <g key={n}>
                    <rect
                        x={24 + n * 100}
                        y={140 - (46 + n * 26)}
                        width="52"
                        height={46 + n * 26}
                        fill="none"
                        stroke="var(--soft)"
                        strokeWidth="2"
                        strokeDasharray="6 5"
                    />
                    <path d={`M${38 + n * 100} 108l24 24m0 -24l-24 24`} stroke="var(--bad)" strokeWidth="6" />
                </g>
            ))}
            <rect x="324" y="14" width="52" height="126" fill="var(--good)" />
        </svg>
    );
}

export default function SignIn() {
    const { demo, notice } = usePage<Props>().props;
    const form = useForm({ email: '', password: '' });
    return (
        <main className="mx-auto grid min-h-screen max-w-[1080px] items-center gap-12 p-6 lg:grid-cols-2">
            <Head title="Sign in" />
            <div>
                <h1 className="text-[2.6rem] leading-none font-semibold tracking-tight text-lake">ispira</h1>
                <p className="mt-3 mb-8 max-w-[26em] text-lg">
                    Why a blower has the wrong speeds: what to test next, what each reading means, and when to stop.
                </p>
                <DoorSign />
            </div>
            <div>
                {notice && (
                    <p role="status" className="mb-4 border-l-4 border-warn bg-caution px-3 py-2">
                        {notice}
                    </p>
                )}
                <form
                    className="flex flex-col gap-4"
                    onSubmit={(event) => {
                        event.preventDefault();
                        form.post('/sign-in');
                    }}
                >
                    <TextField
                        label="E-mail address"
                        type="email"
                        autoComplete="username"
                        value={form.data.email}
                        onChange={(event) => form.setData('email', event.target.value)}
                        error={form.errors.email}
                        required
                    />
                    <TextField
                        label="Password"
                        type="password"
                        autoComplete="current-password"
                        value={form.data.password}
                        onChange={(event) => form.setData('password', event.target.value)}
                        error={form.errors.password}
                        required
                    />
                    <Button kind="act" type="submit" disabled={form.processing} className="self-start">
                        Sign in
                    </Button>
                </form>
                {demo && (
                    <section aria-label="Demo accounts" className="mt-8 border-t border-rule pt-4">
                        <p className="mb-2 text-soft">
                            Demo accounts, all with the password{' '}
                            <span className="figure text-ink">{demo.password}</span>
                        </p>
                        <ul className="flex flex-col gap-1.5">
                            {demo.accounts.map((account) => (
                                <li key={account.email}>
                                    <button
                                        type="button"
                                        onClick={() => form.setData({ email: account.email, password: demo.password })}
                                        className="min-h-11 w-full border border-soft/40 bg-sheet px-3 text-left hover:border-ink"
                                    >
                                        <span className="font-medium">{account.name}</span>, {account.role}{' '}
                                        <span className="text-soft">{account.email}</span>
                                    </button>
                                </li>
                            ))}
                        </ul>
                    </section>
                )}
            </div>
        </main>
    );
}

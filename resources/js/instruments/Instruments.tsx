import type { InstrumentsPage } from '@/generated/props';
import { router, useForm, usePage } from '@inertiajs/react';
import { useLeads } from '@/instruments/useLeads';
import { useMay } from '@/lib/may';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import TextLink from '@/ui/TextLink';

type Props = InstrumentsPage & Shared;

function NewMeter() {
    const form = useForm({ name: '', host: '', port: '5025' });
    return (
        <form
            className="mt-3 grid items-start gap-3 sm:grid-cols-[1fr_1fr_8rem_auto]"
            onSubmit={(event) => {
                event.preventDefault();
                form.post('/instruments', { preserveScroll: true, onSuccess: () => form.reset() });
            }}
        >
            <TextField
                label="Name"
                value={form.data.name}
                onChange={(event) => form.setData('name', event.target.value)}
                error={form.errors.name}
                hint="As the workshop calls it"
                required
            />
            <TextField
                label="Address"
                value={form.data.host}
                onChange={(event) => form.setData('host', event.target.value)}
                error={form.errors.host}
                hint="Such as 192.168.1.40"
                required
            />
            <TextField
                label="Port"
                value={form.data.port}
                onChange={(event) => form.setData('port', event.target.value)}
                error={form.errors.port}
                inputMode="numeric"
                required
            />
            <Button type="submit" className="sm:mt-[1.65rem]" disabled={form.processing}>
                Add and try
            </Button>
        </form>
    );
}

/** What measures: meters on the network, and leads. */
export default function Instruments() {
    const { meters, tried, leads } = usePage<Props>().props;
    const zero = useLeads();
    const changes = useMay('instruments');
    return (
        <Frame title="Instruments">
            <div className="mx-auto max-w-[900px] px-5 py-6">
                <h1 className="text-[1.8rem] leading-none font-semibold">Instruments</h1>
                <section aria-labelledby="meters" className="mt-5">
                    <h2 id="meters" className="text-lg font-semibold">
                        Meters on the network
                    </h2>
                    <p className="text-soft">
                        A bench meter that speaks SCPI over TCP. On the bench, choose it in the dock: its function and
                        range are set for the test, and a value that comes to rest is held.
                    </p>
                    {meters.length === 0 && (
                        <p className="mt-2">None yet. Readings are typed until a lead puts one on the list.</p>
                    )}
                    <ul className="mt-2">
                        {meters.map((meter) => (
                            <li
                                key={meter.id}
                                className="flex flex-wrap items-center gap-x-3 border-t border-rule py-1"
                            >
                                <span className="font-medium">{meter.name}</span>
                                <span className="figure text-soft">
                                    {meter.host}:{meter.port}
                                </span>
                                <span className="min-w-0 flex-1 text-soft max-sm:basis-full">
                                    {meter.identity ?? 'has not answered yet'}
                                </span>
                                {changes && (
                                    <>
                                        <Button
                                            kind="quiet"
                                            onClick={() =>
                                                router.post(
                                                    `/instruments/${meter.id}/try`,
                                                    {},
                                                    { preserveScroll: true },
                                                )
                                            }
                                        >
                                            Try<span className="sr-only"> {meter.name}</span>
                                        </Button>
                                        <Button
                                            kind="quiet"
                                            onClick={() =>
                                                router.delete(`/instruments/${meter.id}`, { preserveScroll: true })
                                            }
                                        >
                                            Take off the list<span className="sr-only">: {meter.name}</span>
                                        </Button>
                                    </>
                                )}
                                {tried?.meter === meter.id && (
                                    <p
                                        role="status"
                                        className={`w-full pb-2 font-medium ${tried.works ? 'text-good' : 'text-bad'}`}
                                    >
                                        {tried.says}
                                    </p>
                                )}
                            </li>
                        ))}
                    </ul>
                    {changes && <NewMeter />}
                </section>
                <section aria-labelledby="leads" className="mt-8 border-t border-rule pt-4">
                    <h2 id="leads" className="text-lg font-semibold">
                        Test leads
                    </h2>
                    <p className="text-soft">
                        Hold the tips together on the lowest ohms range and type what the meter shows. It is taken off
                        of every resistance until you sign out.
                    </p>
                    {leads > 0 ? (
                        <p className="mt-2 flex items-center gap-3">
                            <span className="figure text-lg font-medium">{leads} Ω</span> is taken off.{' '}
                            <Button kind="quiet" onClick={() => zero.take('')}>
                                Take nothing off
                            </Button>
                        </p>
                    ) : (
                        <form
                            className="mt-2 flex items-start gap-3"
                            onSubmit={(event) => {
                                event.preventDefault();
                                zero.take(zero.typed);
                            }}
                        >
                            <TextField
                                label="Leads together, Ω"
                                value={zero.typed}
                                onChange={(event) => zero.type(event.target.value)}
                                error={zero.error}
                                inputMode="decimal"
                                className="w-60"
                            />
                            <Button type="submit" className="mt-[1.65rem]">
                                Take off
                            </Button>
                        </form>
                    )}
                </section>
                <p className="mt-8 border-t border-rule pt-4 text-soft">
                    In which units numbers are shown to you stands under{' '}
                    <TextLink href="/account">Your account</TextLink>.
                </p>
            </div>
        </Frame>
    );
}

import { router, useForm, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { day } from '@/lib/format';
import { roles } from '@/people/roles';
import type { AllowedShown, InvitationShown, LinkShown, PeoplePage, PersonShown, Role } from '@/generated/props';
import type { Shared } from '@/lib/page';
import Button from '@/ui/Button';
import { TextField } from '@/ui/Field';
import Frame from '@/ui/Frame';
import Select from '@/ui/Select';
import TextLink from '@/ui/TextLink';
import Tick from '@/ui/Tick';

type Props = PeoplePage & Shared;

/** A link that was just made: it is shown this once. */
function NewLink({ link }: { link: LinkShown }) {
    const [copied, setCopied] = useState(false);
    return (
        <section aria-label="New link" className="mt-5 border-l-4 border-good bg-sheet px-4 py-3">
            <p className="font-medium">
                {link.renews ? `A link for a new password, for ${link.name}` : `The invitation of ${link.name}`}: it
                works once, until {day(link.expiresAt)}, and is not shown again.{' '}
                {link.mailed ? 'It was mailed as well.' : 'Hand it over yourself: no letters are sent from here.'}
            </p>
            <div className="mt-2 flex flex-wrap items-end gap-3">
                <TextField
                    label="Link"
                    readOnly
                    value={link.url}
                    onFocus={(event) => event.target.select()}
                    className="min-w-72 flex-1"
                />
                <Button
                    onClick={() => {
                        if (window.isSecureContext)
                            void navigator.clipboard.writeText(link.url).then(() => setCopied(true));
                        else document.querySelector<HTMLInputElement>('input[readonly]')?.select();
                    }}
                >
                    {copied ? 'Copied' : 'Copy'}
                </Button>
            </div>
        </section>
    );
}

/** Takes a name out of everything: that cannot be undone, so it is asked twice. */
function Erase({ person, erase }: { person: PersonShown; erase: () => void }) {
    const [asked, setAsked] = useState(false);
    if (person.email.endsWith('@invalid.example')) return null;
    return asked ? (
        <span className="flex flex-wrap items-center">
            <span>The name is taken out of every job, for good.</span>
            <Button kind="quiet" onClick={erase}>
                Erase it<span className="sr-only">, {person.name}</span>
            </Button>
            <Button kind="quiet" onClick={() => setAsked(false)}>
                Keep it
            </Button>
        </span>
    ) : (
        <Button kind="quiet" onClick={() => setAsked(true)}>
            Erase the name<span className="sr-only"> {person.name}</span>
        </Button>
    );
}

function Person({ person, self }: { person: PersonShown; self: boolean }) {
    const post = (what: string, data: Record<string, string> = {}) =>
        router.post(`/people/${person.id}/${what}`, data, { preserveScroll: true });
    return (
        <li className="grid items-center gap-x-4 gap-y-1 border-t border-rule py-2 sm:grid-cols-[minmax(0,1.4fr)_11rem_minmax(0,1fr)]">
            <p className="min-w-0">
                <span className={`font-semibold ${person.disabled ? 'line-through' : ''}`}>{person.name}</span>
                {self && <span className="text-soft"> (you)</span>}
                <span className="block truncate text-soft">{person.email}</span>
            </p>
            <Select
                bare
                label={`Role of ${person.name}`}
                value={person.role}
                choices={roles}
                disabled={person.needed || person.disabled}
                onChange={(event) => post('role', { role: event.target.value })}
            />
            <div>
                <p className="text-soft">
                    {person.disabled
                        ? 'disabled, cannot sign in'
                        : person.seenAt
                          ? `here last on ${day(person.seenAt)}`
                          : 'has not been here yet'}
                    {person.needed && ', the only lead'}
                </p>
                {person.disabled ? (
                    <p className="-ml-2 flex flex-wrap">
                        <Button kind="quiet" onClick={() => post('enable')}>
                            Enable<span className="sr-only"> {person.name}</span>
                        </Button>
                        <Erase person={person} erase={() => post('erase')} />
                    </p>
                ) : (
                    <p className="-ml-2 flex flex-wrap">
                        <Button kind="quiet" onClick={() => post('reset')}>
                            New password<span className="sr-only"> for {person.name}</span>
                        </Button>
                        <Button kind="quiet" onClick={() => post('end-sessions')}>
                            End sessions<span className="sr-only"> of {person.name}</span>
                        </Button>
                        {!person.needed && (
                            <Button kind="quiet" onClick={() => post('disable')}>
                                Disable<span className="sr-only"> {person.name}</span>
                            </Button>
                        )}
                    </p>
                )}
            </div>
        </li>
    );
}

function Invite() {
    const form = useForm<{ name: string; email: string; role: Role }>({ name: '', email: '', role: 'technician' });
    return (
        <form
            className="mt-2 grid items-start gap-3 sm:grid-cols-[1fr_1fr_11rem_auto]"
            onSubmit={(event) => {
                event.preventDefault();
                form.post('/people/invite', { preserveScroll: true, onSuccess: () => form.reset() });
            }}
        >
            <TextField
                label="Name"
                value={form.data.name}
                onChange={(event) => form.setData('name', event.target.value)}
                error={form.errors.name}
            />
            <TextField
                label="E-mail address"
                type="email"
                value={form.data.email}
                onChange={(event) => form.setData('email', event.target.value)}
                error={form.errors.email}
            />
            <Select
                label="Role"
                value={form.data.role}
                choices={roles}
                onChange={(event) => form.setData('role', event.target.value as Role)}
                error={form.errors.role}
            />
            <Button type="submit" kind="act" disabled={form.processing} className="beside-field">
                Make a link
            </Button>
        </form>
    );
}

function Waiting({ invitations }: { invitations: InvitationShown[] }) {
    if (invitations.length === 0) return null;
    return (
        <section aria-labelledby="waiting" className="mt-8">
            <h2 id="waiting" className="font-semibold">
                Links that nobody has used yet
            </h2>
            <ul className="border-b border-rule">
                {invitations.map((one) => (
                    <li key={one.id} className="flex flex-wrap items-center gap-x-3 border-t border-rule">
                        <span className="font-medium">{one.name}</span>
                        <span className="min-w-0 flex-1 text-soft">
                            {one.email}, {one.renews ? 'a new password' : one.role}, until {day(one.expiresAt)}
                        </span>
                        <Button
                            kind="quiet"
                            onClick={() => router.post(`/invitations/${one.id}/withdraw`, {}, { preserveScroll: true })}
                        >
                            Withdraw<span className="sr-only"> the link of {one.name}</span>
                        </Button>
                    </li>
                ))}
            </ul>
        </section>
    );
}

/** What each role may do, as it is checked. */
function Allowed({ allowed }: { allowed: AllowedShown[] }) {
    return (
        <table className="mt-2 w-full border-collapse">
            <thead>
                <tr className="text-left text-soft">
                    <th scope="col" className="py-1 pr-3 font-medium">
                        What
                    </th>
                    {roles.map((role) => (
                        <th key={role.value} scope="col" className="px-2 py-1 text-center font-medium">
                            {role.label}
                        </th>
                    ))}
                </tr>
            </thead>
            <tbody>
                {allowed.map((one) => (
                    <tr key={one.what} className="border-t border-rule">
                        <th scope="row" className="py-1.5 pr-3 text-left font-normal">
                            {one.what}
                        </th>
                        {roles.map((role) => (
                            <td key={role.value} className="px-2 py-1.5 text-center">
                                {one.roles.includes(role.value) ? 'yes' : <span className="text-soft">no</span>}
                            </td>
                        ))}
                    </tr>
                ))}
            </tbody>
        </table>
    );
}

/** Who works in the workshop, and as what. */
export default function People() {
    const { people, invitations, link, allowed, user, errors } = usePage<Props>().props;
    const [all, setAll] = useState(false);
    const shown = all ? people : people.filter((one) => !one.disabled);
    return (
        <Frame title="People">
            <div className="mx-auto max-w-[1000px] px-5 py-6">
                <div className="flex flex-wrap items-end gap-3">
                    <h1 className="mr-auto text-[1.8rem] leading-none font-semibold">People</h1>
                    <TextLink apart href="/audit">
                        What was done
                    </TextLink>
                    <TextLink apart href="/settings">
                        Settings of the workshop
                    </TextLink>
                </div>
                {errors['person'] && (
                    <p role="alert" className="mt-3 border-l-4 border-bad bg-caution px-3 py-2 font-medium">
                        {errors['person']}
                    </p>
                )}
                {link && <NewLink key={link.url} link={link} />}
                <ul className="mt-5 border-b border-rule" aria-label="People of the workshop">
                    {shown.map((one) => (
                        <Person key={one.id} person={one} self={one.id === user?.id} />
                    ))}
                </ul>
                {people.some((one) => one.disabled) && (
                    <Tick checked={all} onChange={setAll}>
                        Show those who are disabled
                    </Tick>
                )}
                <section aria-labelledby="invite" className="mt-8">
                    <h2 id="invite" className="font-semibold">
                        Invite somebody
                    </h2>
                    <Invite />
                </section>
                <Waiting invitations={invitations} />
                <section aria-labelledby="allowed" className="mt-8">
                    <h2 id="allowed" className="font-semibold">
                        What each role may do
                    </h2>
                    <Allowed allowed={allowed} />
                </section>
            </div>
        </Frame>
    );
}

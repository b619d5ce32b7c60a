<?php

declare(strict_types=1);

namespace App\People;

use App\Http\Controller;
use App\Models\AuditEntry;
use App\Models\Invitation;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/**
 * Who works in the workshop, and as what.
 */
final class PeopleController extends Controller
{
    public function __construct(private readonly MakeLink $links, private readonly ChangePerson $change) {}

    public function index(Request $request): PeoplePage
    {
        $workshop = $this->user($request)->workshop;
        $needed = ChangePerson::needed($workshop);
        $link = $request->session()->get('link');

        return new PeoplePage(
            people: array_values(
                $workshop
                    ->users()
                    ->orderByRaw('disabled_at is not null')
                    ->orderBy('name')
                    ->get()
                    ->map(
                        static fn(User $one): PersonShown => new PersonShown(
                            id: $one->id,
                            name: $one->name,
                            email: $one->email,
                            role: $one->role,
                            disabled: $one->disabled_at !== null,
                            seenAt: $one->seen_at?->toIso8601String(),
                            needed: in_array($one->id, $needed, true),
                        ),
                    )
                    ->all(),
            ),
            invitations: array_values(
                $workshop
                    ->invitations()
                    ->open()
                    ->orderBy('created_at')
                    ->get()
                    ->map(
                        static fn(Invitation $one): InvitationShown => new InvitationShown(
                            id: $one->id,
                            name: $one->name,
                            email: $one->email,
                            role: $one->role,
                            renews: $one->renews !== null,
                            expiresAt: $one->expires_at->toIso8601String(),
                        ),
                    )
                    ->all(),
            ),
            link: $link instanceof LinkShown ? $link : null,
            allowed: AllowedShown::all(),
        );
    }

    public function invite(Request $request): RedirectResponse
    {
        $data = $request->validate(
            [
                'name' => ['required', 'string', 'max:120'],
                'email' => ['required', 'string', 'email', 'max:190', Rule::unique('users')],
                'role' => ['required', Rule::enum(Role::class)],
            ],
            [
                'name.required' => 'Give the name under which this person works.',
                'email.required' => 'Give an e-mail address: this person signs in with it.',
                'email.email' => 'That is no e-mail address.',
                'email.unique' => 'Somebody signs in with that e-mail address already.',
            ],
        );

        return $this->shown(
            $this->links->invite($this->user($request), $data['name'], $data['email'], Role::from($data['role'])),
        );
    }

    public function withdraw(Request $request, string $invitation): RedirectResponse
    {
        $lead = $this->user($request);
        $one = $lead->workshop->invitations()->findOrFail($invitation);
        if ($one->used_at === null && $one->withdrawn_at === null) {
            $one->update(['withdrawn_at' => now()]);
            AuditEntry::note($lead, AuditAct::InvitationWithdrawn, "$one->name ($one->email)");
        }

        return redirect('/people', 303);
    }

    public function role(Request $request, int $person): RedirectResponse
    {
        $this->user($request)->workshop->users()->findOrFail($person);
        $data = $request->validate(['role' => ['required', Rule::enum(Role::class)]]);
        $this->change->role($this->user($request), $person, Role::from($data['role']));

        return redirect('/people', 303);
    }

    public function disable(Request $request, int $person): RedirectResponse
    {
        $this->change->disable($this->user($request), $person);

        return redirect('/people', 303);
    }

    public function enable(Request $request, int $person): RedirectResponse
    {
        $this->change->enable($this->user($request), $person);

        return redirect('/people', 303);
    }

    public function erase(Request $request, int $person, ErasePerson $erase): RedirectResponse
    {
        $name = $erase($this->user($request), $person);

        return redirect('/people', 303)->with('notice', "The name is erased. What was noted stays, by $name.");
    }

    public function endSessions(Request $request, int $person): RedirectResponse
    {
        $this->change->endSessions($this->user($request), $person);

        return redirect('/people', 303)->with('notice', 'Every session of this person has ended.');
    }

    public function reset(Request $request, int $person): RedirectResponse
    {
        $lead = $this->user($request);

        return $this->shown($this->links->renew($lead, $lead->workshop->users()->findOrFail($person)));
    }

    private function shown(LinkShown $link): RedirectResponse
    {
        return redirect('/people', 303)->with('link', $link);
    }
}

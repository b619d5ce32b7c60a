<?php

declare(strict_types=1);

namespace App\People;

use App\Http\Middleware\SessionHolds;
use App\Models\AuditEntry;
use App\Models\Invitation;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Somebody comes with a link.
 */
final class InvitedController
{
    private const GONE = 'This link has been used, was withdrawn or is too old. Ask the lead of your workshop for a new one.';

    public function show(string $token): InvitedPage|RedirectResponse
    {
        $link = $this->link($token);

        return $link === null
            ? redirect('/sign-in')->with('notice', self::GONE)
            : new InvitedPage(
                token: $token,
                workshop: $link->workshop->name,
                name: $link->name,
                email: $link->email,
                role: $link->role,
                renews: $link->renews !== null,
            );
    }

    public function store(Request $request, string $token): RedirectResponse
    {
        $link = $this->link($token);
        if ($link === null) {
            return redirect('/sign-in', 303)->with('notice', self::GONE);
        }
        $name = $link->renews === null ? $request->input('name') : $link->name;
        $data = validator(
            ['name' => $name, 'password' => $request->input('password')],
            [
                'name' => ['required', 'string', 'max:120'],
                'password' => [
                    'required',
                    'string',
                    new PasswordRule([$link->name, $link->email, $link->workshop->name, is_string($name) ? $name : '']),
                ],
            ],
            ['name.required' => 'Give the name under which you work.', 'password.required' => 'Choose a password.'],
        )->validate();
        $user = DB::transaction(static function () use ($link, $data): ?User {
            $locked = Invitation::query()->open()->whereKey($link->id)->lockForUpdate()->first();
            if ($locked === null) {
                return null;
            }
            $locked->update(['used_at' => now()]);
            $user = $locked->renews === null ? self::join($locked, $data) : self::renew($locked, $data['password']);
            AuditEntry::note(
                $user,
                $locked->renews === null ? AuditAct::Joined : AuditAct::PasswordReset,
                $locked->renews === null ? $locked->role->value : $user->name,
            );

            return $user;
        });
        if ($user === null) {
            return redirect('/sign-in', 303)->with('notice', self::GONE);
        }
        if ($user->disabled_at !== null) {
            return redirect('/sign-in', 303)->with(
                'notice',
                'This account is disabled. Ask the lead of your workshop.',
            );
        }
        Auth::login($user);
        $request->session()->regenerate();
        SessionHolds::stays($request, $user);

        return redirect('/', 303);
    }

    /** @param array<string, mixed> $data */
    private static function join(Invitation $link, array $data): User
    {
        if (User::query()->where('email', $link->email)->exists()) {
            throw ValidationException::withMessages([
                'password' => 'Somebody signs in with that e-mail address already. Ask the lead for a new link.',
            ]);
        }

        return $link->workshop->users()->create([
            'name' => $data['name'],
            'email' => $link->email,
            'password' => $data['password'],
            'role' => $link->role,
            'unit_system' => $link->workshop->unit_system,
        ]);
    }

    private static function renew(Invitation $link, string $password): User
    {
        $user = $link->workshop->users()->findOrFail($link->renews);
        $user->update(['password' => $password]);
        $user->endSessions();

        return $user;
    }

    private function link(string $token): ?Invitation
    {
        return Invitation::query()->open()->where('token', hash('sha256', $token))->first();
    }
}

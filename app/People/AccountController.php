<?php

declare(strict_types=1);

namespace App\People;

use App\Http\Controller;
use App\Http\Middleware\SessionHolds;
use App\Instruments\UnitChoice;
use App\Models\AuditEntry;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\NumberLanguage;

/**
 * What everybody sets for themselves.
 */
final class AccountController extends Controller
{
    /** Base units of the quantities that are written in more than one. */
    private const CHOICES = ['Pa' => 'Pressure', 'kPa' => 'Vacuum', 'K' => 'Rise of temperature'];

    private const TRIES = 5;

    public function show(Request $request): AccountPage
    {
        $user = $this->user($request);
        $units = $user->displayUnits();

        return new AccountPage(
            name: $user->name,
            email: $user->email,
            role: $user->role,
            theme: $user->theme,
            numbers: $units->numbers,
            system: $units->system,
            quantities: array_map(
                static fn(string $base, string $label): UnitChoice => new UnitChoice(
                    base: $base,
                    label: $label,
                    unit: $units->unit($base)->symbol,
                    choices: DisplayUnits::choices($base),
                ),
                array_keys(self::CHOICES),
                self::CHOICES,
            ),
        );
    }

    public function update(Request $request): RedirectResponse
    {
        $user = $this->user($request);
        $data = $request->validate(
            [
                'name' => ['required', 'string', 'max:120'],
                'theme' => ['required', Rule::in(['device', 'day', 'dash'])],
                'numbers' => ['nullable', Rule::enum(NumberLanguage::class)],
            ],
            ['name.required' => 'Give the name under which you work.'],
        );
        DB::transaction(static function () use ($user, $data): void {
            if ($data['name'] !== $user->name) {
                AuditEntry::note($user, AuditAct::NameChanged, $user->name, $data['name']);
            }
            $user->update([
                'name' => $data['name'],
                'theme' => $data['theme'] === 'device' ? null : $data['theme'],
                'numbers' => $data['numbers'] ?? $user->numbers,
            ]);
        });

        return redirect('/account', 303)->with('notice', 'Saved.');
    }

    public function password(Request $request): RedirectResponse
    {
        $user = $this->user($request);
        $data = $request->validate(
            [
                'current' => ['required', 'string', 'max:200'],
                'password' => [
                    'required',
                    'string',
                    new PasswordRule([$user->name, $user->email, $user->workshop->name]),
                ],
            ],
            ['current.required' => 'Type the password that you have now.', 'password.required' => 'Choose a password.'],
        );
        $key = "password:$user->id";
        if (RateLimiter::tooManyAttempts($key, self::TRIES)) {
            throw ValidationException::withMessages([
                'current' => 'Too many tries. Wait ' . RateLimiter::availableIn($key) . ' seconds, then try again.',
            ]);
        }
        if (!Hash::check($data['current'], $user->password)) {
            RateLimiter::hit($key);
            throw ValidationException::withMessages(['current' => 'That is not your password.']);
        }
        RateLimiter::clear($key);
        DB::transaction(static function () use ($user, $data): void {
            $user->update(['password' => $data['password']]);
            $user->endSessions();
            AuditEntry::note($user, AuditAct::PasswordChanged, $user->name);
        });
        $request->session()->regenerate();
        SessionHolds::stays($request, $user);

        return redirect('/account', 303)->with(
            'notice',
            'Your password is changed, and all other sessions have ended.',
        );
    }

    public function units(Request $request): RedirectResponse
    {
        $user = $this->user($request);
        $data = $request->validate([
            'system' => ['nullable', Rule::in([DisplayUnits::METRIC, DisplayUnits::US])],
            'base' => ['nullable', 'required_with:unit', Rule::in(array_keys(self::CHOICES))],
            'unit' => ['nullable', 'required_with:base', 'string', 'max:20'],
        ]);
        if (isset($data['system'])) {
            // A system replaces the exceptions that were made to the other.
            $user->update(['unit_system' => $data['system'], 'unit_exceptions' => null]);
        }
        if (isset($data['base'], $data['unit'])) {
            if (!in_array($data['unit'], DisplayUnits::choices($data['base']), true)) {
                throw ValidationException::withMessages(['unit' => 'That is no unit of this quantity.']);
            }
            $user->update([
                'unit_exceptions' => $user->displayUnits()->with($data['base'], $data['unit'])->exceptions(),
            ]);
        }

        return back(303);
    }
}

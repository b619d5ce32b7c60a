<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Http\Asked;
use App\Http\Middleware\SessionHolds;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

final class SessionController
{
    /** Wrong tries in a minute for an account from one address. */
    private const TRIES = 5;
    /** Wrong tries for an account from all addresses together, before it waits. */
    private const TRIES_FROM_EVERYWHERE = 30;
    private const EVERYWHERE_SECONDS = 900;

    public function create(): SignInPage
    {
        $demo = config()->boolean('ispira.demo');

        return new SignInPage(
            demo: $demo
                ? new DemoShown(
                    password: config()->string('ispira.demo_password'),
                    accounts: array_values(
                        User::query()
                            ->where('email', 'like', '%' . User::DEMO)
                            ->orderBy('id')
                            ->get()
                            ->map(
                                static fn(User $user): DemoAccount => new DemoAccount(
                                    name: $user->name,
                                    email: $user->email,
                                    role: $user->role,
                                ),
                            )
                            ->all(),
                    ),
                )
                : null,
        );
    }

    public function store(Request $request): RedirectResponse
    {
        $credentials = $request->validate(
            ['email' => ['required', 'string', 'max:190'], 'password' => ['required', 'string', 'max:200']],
            ['email.required' => 'Type your e-mail address.', 'password.required' => 'Type your password.'],
        );
        $account = 'sign-in:' . mb_strtolower(Asked::text($request, 'email'));
        $here = "$account|" . $request->ip();
        self::notTooOften($here, self::TRIES);
        self::notTooOften($account, self::TRIES_FROM_EVERYWHERE);
        if (!Auth::validate($credentials)) {
            RateLimiter::hit($here);
            RateLimiter::hit($account, self::EVERYWHERE_SECONDS);
            throw ValidationException::withMessages(['email' => 'E-mail address and password do not belong together.']);
        }
        RateLimiter::clear($here);
        $user = Auth::getLastAttempted();
        if ($user instanceof User && $user->isLeftOver()) {
            throw ValidationException::withMessages([
                'email' => 'The demo is switched off, and its accounts with it.',
            ]);
        }
        if (!($user instanceof User) || $user->disabled_at !== null) {
            throw ValidationException::withMessages([
                'email' => 'This account is disabled. Ask the lead of your workshop.',
            ]);
        }
        Auth::login($user);
        $request->session()->regenerate();
        SessionHolds::stays($request, $user);

        return redirect()->intended('/');
    }

    /** @throws ValidationException */
    private static function notTooOften(string $key, int $most): void
    {
        if (RateLimiter::tooManyAttempts($key, $most)) {
            throw ValidationException::withMessages([
                'email' => 'Too many tries. Wait ' . RateLimiter::availableIn($key) . ' seconds, then try again.',
            ]);
        }
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/sign-in');
    }
}

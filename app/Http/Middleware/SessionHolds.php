<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Context;
use Symfony\Component\HttpFoundation\Response;

/**
 * Ends a session whose person was disabled, has changed the password elsewhere, or whose sessions were ended.
 */
final class SessionHolds
{
    /** Where a session keeps the key of its person, by the number of that person. */
    private const KEY = 'session_keys';
    private const SEEN_EVERY_MINUTES = 10;

    public function handle(Request $request, \Closure $next): Response
    {
        $user = $request->user();
        if (!($user instanceof User)) {
            return $next($request);
        }
        Context::add('person', $user->id);
        $session = $request->session();
        if ($session->get(self::KEY . ".$user->id") === null) {
            self::stays($request, $user);
        }
        if (
            $user->isLeftOver() ||
            $user->disabled_at !== null ||
            $session->get(self::KEY . ".$user->id") !== $user->session_key
        ) {
            Auth::logout();
            $session->invalidate();
            $session->regenerateToken();

            throw new AuthenticationException(
                $user->disabled_at === null ? 'The session has ended.' : 'This account is disabled.',
            );
        }
        if ($user->seen_at === null || $user->seen_at->diffInMinutes(now()) >= self::SEEN_EVERY_MINUTES) {
            User::query()
                ->whereKey($user->id)
                ->update(['seen_at' => now()]);
        }

        return $next($request);
    }

    /** Lets this session go on where all others of its person have ended. */
    public static function stays(Request $request, User $user): void
    {
        $request->session()->put(self::KEY, [$user->id => $user->session_key]);
    }
}

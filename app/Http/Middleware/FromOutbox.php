<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * What a device kept is taken from nobody but the person who entered it: another one may have signed in meanwhile.
 */
final class FromOutbox
{
    /** Header with the number of the person whose entry it is. */
    public const PERSON = 'X-Ispira-Person';

    public function handle(Request $request, \Closure $next): Response
    {
        $person = $request->headers->get(self::PERSON);
        if ($person !== null && Auth::check() && (string) Auth::id() !== $person) {
            return new Response('Another person is signed in.', 403, [self::PERSON => 'another']);
        }

        return $next($request);
    }
}

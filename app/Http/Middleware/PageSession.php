<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;
use Symfony\Component\HttpFoundation\Response;

/**
 * A session that only acts and whole pages write. A part of a page that is read again beside an act, a picture or a
 * file would write back what it read before that act, and the message of a refused field would be gone before its
 * page came to show it. Nor do these give a session, and neither does what is refused to nobody: a page that lost its
 * session asks on, and an answer that came after somebody had signed in again would sign that person out.
 */
final class PageSession extends StartSession
{
    /** What an act is answered that belongs to no session. */
    private const REFUSED_TO_NOBODY = [401, 419];

    /**
     * @param Session $session
     *
     * @return Response
     */
    protected function handleStatefulRequest(Request $request, $session, \Closure $next)
    {
        $response = parent::handleStatefulRequest($request, $session, $next);
        if (!self::writes($request) || \in_array($response->getStatusCode(), self::REFUSED_TO_NOBODY, true)) {
            foreach ([$session->getName(), 'XSRF-TOKEN'] as $cookie) {
                $response->headers->removeCookie($cookie, config('session.path'), config('session.domain'));
            }
        }

        return $response;
    }

    /**
     * @param Request $request
     *
     * @return void
     */
    protected function saveSession($request)
    {
        if (self::writes($request)) {
            parent::saveSession($request);
        }
    }

    private static function writes(Request $request): bool
    {
        return !$request->isMethodSafe() ||
            (str_contains((string) $request->headers->get('Accept'), 'text/html') &&
                !$request->headers->has('X-Inertia-Partial-Component'));
    }
}

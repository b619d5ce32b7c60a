<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;

/**
 * A session that only acts and whole pages write. A part of a page that is read again beside an act, a picture or a
 * file would write back what it read before that act, and the message of a refused field would be gone before its
 * page came to show it.
 */
final class PageSession extends StartSession
{
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

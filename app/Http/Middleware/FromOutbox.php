<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\EnteredAt;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\ViewErrorBag;
use Symfony\Component\HttpFoundation\Response;

/**
 * What a device kept is taken from nobody but the person who entered it: another one may have signed in meanwhile. What
 * is sent by itself is answered in one word, not with a page: whether it was taken must not hang on a message that
 * another window of the same session may have shown already.
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
        $response = $next($request);
        if ($person === null || !$request->headers->has(EnteredAt::WAITED) || $response->getStatusCode() >= 400) {
            return $response;
        }
        $session = $request->session();
        $told = in_array('errors', (array) $session->get('_flash.new', []), true) ? $session->get('errors') : null;
        $session->forget(['errors', 'notice']);

        return $told instanceof ViewErrorBag && $told->any()
            ? new JsonResponse(['errors' => $told->all()], 422)
            : new Response('', 204);
    }
}

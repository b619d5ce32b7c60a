<?php

use App\Http\Middleware\BodyLimit;
use App\Http\Middleware\FromOutbox;
use App\Http\Middleware\HandleInertiaRequests;
use App\Http\Middleware\NamedInput;
use App\Http\Middleware\PageSession;
use App\Http\Middleware\ReadableText;
use App\Http\Middleware\RequestRecord;
use App\Http\Middleware\SecureHeaders;
use App\Http\Middleware\SessionHolds;
use App\Operation\HealthController;
use App\Practice\WhileHidden;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Context;
use Illuminate\Support\Facades\Route;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Ispira\Core\Repair\Ledger\EntryRefused;
use League\Flysystem\FilesystemException;
use Symfony\Component\HttpKernel\Exception\HttpException;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__ . '/../routes/web.php',
        commands: __DIR__ . '/../routes/console.php',
        // It needs no session, and must answer where none can be kept.
        then: static fn() => Route::get('/health', HealthController::class),
    )
    ->withCommands([__DIR__ . '/../app/Console/Commands'])
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->prepend([
            RequestRecord::class,
            SecureHeaders::class,
            BodyLimit::class,
            ReadableText::class,
            NamedInput::class,
        ]);
        $middleware->trustHosts(
            at: static fn(): array => array_map(
                static fn(string $host): string => '^' . preg_quote($host) . '$',
                config()->array('ispira.hosts'),
            ),
            subdomains: false,
        );
        $middleware->web(
            append: [SessionHolds::class, FromOutbox::class, HandleInertiaRequests::class, WhileHidden::class],
            replace: [StartSession::class => PageSession::class],
        );
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        // What a ledger refuses is a message at its field, like any other field of a form.
        $exceptions->map(
            EntryRefused::class,
            static fn(EntryRefused $refused): ValidationException => ValidationException::withMessages([
                $refused->field => $refused->getMessage(),
            ]),
        );
        // Where files are kept far away, the place may not answer.
        $exceptions->map(
            FilesystemException::class,
            static fn(FilesystemException $error): HttpException => new HttpException(
                503,
                'The store of files does not answer.',
                $error,
            ),
        );
        // Whether a kept entry was taken must not be read off a page to which it was led.
        $exceptions->render(
            static fn(AuthenticationException $guest, Request $request): ?Response => $request->headers->has(
                FromOutbox::PERSON,
            )
                ? response('Nobody is signed in.', 401)
                : null,
        );
        // A number that a page chose is taken: by what was sent twice at once, or by something that is not to be told of.
        $exceptions->render(
            static fn(
                UniqueConstraintViolationException $taken,
                Request $request,
            ): Response|RedirectResponse => $request->headers->has(FromOutbox::PERSON) || $request->expectsJson()
                ? response('That was not taken: its number is in use. Send it again.', 409)
                : back(303)->with(
                    'notice',
                    'That was not taken. Reload the page, look whether it is there, and try again.',
                ),
        );
        $exceptions->respond(function ($response, Throwable $error, Request $request) {
            $status = $response->getStatusCode();
            if ($status === 419 && !$request->headers->has(FromOutbox::PERSON)) {
                return back()->with('notice', 'The page had been open too long. Nothing was lost: send it again.');
            }
            if (
                in_array($status, [403, 404, 405, 413, 429, 500, 503], true) &&
                (!config('app.debug') || $status < 500)
            ) {
                return Inertia::render('Problem', ['status' => $status, 'request' => Context::get('request')])
                    ->toResponse($request)
                    ->setStatusCode($status);
            }

            return $response;
        });
    })
    ->create();

<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Context;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;

/**
 * Gives every request a number, which stands in its answer and in everything that is logged for it, and keeps what took
 * long. Nothing of what was asked for or sent is kept: only the pattern of the address.
 */
final class RequestRecord
{
    private const BEGAN = 'began';
    private const COMPUTED = 'computed';
    private const SLOW_MS = 1000;
    private const ONE_EVERY_SECONDS = 60;

    public function handle(Request $request, \Closure $next): Response
    {
        $request->attributes->set(self::BEGAN, microtime(true));
        $request->attributes->set(self::COMPUTED, self::computed());
        Context::add('request', (string) Str::ulid());
        $response = $next($request);
        $response->headers->set('X-Request-Id', (string) Context::get('request'));

        return $response;
    }

    public function terminate(Request $request, Response $response): void
    {
        $began = $request->attributes->get(self::BEGAN);
        $milliseconds = is_float($began) ? (int) round((microtime(true) - $began) * 1000) : 0;
        $route = $request->route();
        $route = $route instanceof Route ? $route->uri() : null;
        if ($milliseconds < self::SLOW_MS || $route === null) {
            return;
        }
        Log::warning('slow request', [
            'route' => $request->method() . " /$route",
            'status' => $response->getStatusCode(),
            'milliseconds' => $milliseconds,
            // Far less than that: it waited, for the database, for the disk or for a processor.
            'computed' => (int) round((self::computed() - $request->attributes->get(self::COMPUTED, 0.0)) * 1000),
            'memory' => memory_get_peak_usage(),
        ]);
        // When everything is slow, keeping it all would make it slower.
        if (Cache::add("slow|{$request->method()}|$route", true, self::ONE_EVERY_SECONDS)) {
            $user = $request->user();
            DB::table('slow_requests')->insert([
                'workshop_id' => $user instanceof User ? $user->workshop_id : null,
                'request' => (string) Context::get('request'),
                'route' => mb_substr($request->method() . " /$route", 0, 120),
                'milliseconds' => $milliseconds,
                'at' => now(),
            ]);
        }
    }

    /** Seconds that this process has computed so far. */
    private static function computed(): float
    {
        $used = getrusage() ?: [];
        $seconds = 0.0;
        foreach (['ru_utime', 'ru_stime'] as $of) {
            $seconds += ($used["$of.tv_sec"] ?? 0) + ($used["$of.tv_usec"] ?? 0) / 1e6;
        }

        return $seconds;
    }
}

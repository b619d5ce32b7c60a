<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\ThemeScript;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\View;
use Symfony\Component\HttpFoundation\Response;

/**
 * What a browser may do with a page: run its own scripts, talk to its own server, stand in no frame.
 */
final class SecureHeaders
{
    private const HEADERS = [
        'X-Content-Type-Options' => 'nosniff',
        'X-Frame-Options' => 'DENY',
        'Referrer-Policy' => 'same-origin',
        'Cross-Origin-Opener-Policy' => 'same-origin',
        'Permissions-Policy' => 'camera=(), geolocation=(), microphone=(), payment=(), usb=()',
    ];

    public function handle(Request $request, \Closure $next): Response
    {
        // A dialog keeps the page behind it from scrolling by a style of its own, which carries this word.
        $nonce = base64_encode(random_bytes(16));
        View::share('nonce', $nonce);
        $response = $next($request);
        header_remove('X-Powered-By');
        foreach (self::HEADERS as $name => $value) {
            $response->headers->set($name, $value);
        }
        $response->headers->set('Content-Security-Policy', self::policy($nonce));
        if ($request->isSecure()) {
            $response->headers->set('Strict-Transport-Security', 'max-age=31536000');
        }

        return $response;
    }

    private static function policy(string $nonce): string
    {
        // Where the scripts are served by the build tool while somebody works on them, they come from its own address.
        $built = is_file(public_path('hot')) ? trim((string) file_get_contents(public_path('hot'))) : '';
        $self = trim("'self' $built");

        return implode('; ', [
            "default-src 'self'",
            "script-src $self " . ThemeScript::hash(),
            // The build tool puts styles into the page without it.
            "style-src $self " . ($built === '' ? "'nonce-$nonce'" : "'unsafe-inline'"),
            "img-src 'self' data: blob:",
            "font-src $self data:",
            "connect-src $self" . ($built === '' ? '' : ' ' . str_replace('http', 'ws', $built)),
            "worker-src 'self'",
            "object-src 'none'",
            "base-uri 'self'",
            "form-action 'self'",
            "frame-ancestors 'none'",
        ]);
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Ispira\Core\Job\JobFileFormat;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;

/**
 * How much may be sent at once, by address: little, unless the address takes files. It stands before everything that
 * reads a body, so that nobody makes the application hold what it would refuse.
 */
final class BodyLimit
{
    private const BYTES = 2_000_000;
    /** What a form adds around a file. */
    private const AROUND = 100_000;
    public const CAPTURE_BYTES = 512_000_000;
    public const PHOTO_BYTES = 12_000_000;
    /** Most values in one body of JSON: a small text can say very many, and each costs far more than its letters. */
    private const JSON_VALUES = 20_000;
    /** @var array<string, int> */
    private const UPLOADS = [
        '#^jobs/[^/]+/captures$#' => self::CAPTURE_BYTES,
        '#^jobs/[^/]+/photos$#' => self::PHOTO_BYTES,
        '#^jobs/import$#' => JobFileFormat::MOST_BYTES,
        '#^(parts/import|procedures/import|experience|jobs/[^/]+/log)$#' => self::BYTES,
    ];

    public function handle(Request $request, \Closure $next): Response
    {
        $length = $request->headers->get('Content-Length');
        $most = self::BYTES;
        foreach (self::UPLOADS as $pattern => $bytes) {
            if (preg_match($pattern, trim($request->path(), '/')) === 1) {
                $most = $bytes + self::AROUND;
            }
        }
        // A body of unknown length would be read whole before its length is known.
        if ($request->headers->has('Transfer-Encoding') || ($length !== null && (int) $length > $most)) {
            throw new HttpException(413);
        }
        if ($request->isJson()) {
            $body = $request->getContent();
            $values = substr_count($body, ',') + substr_count($body, '[') + substr_count($body, '{');
            if (strlen($body) > self::BYTES || $values > self::JSON_VALUES) {
                throw new HttpException(413);
            }
        }

        return $next($request);
    }
}

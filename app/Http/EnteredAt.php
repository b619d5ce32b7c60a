<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Illuminate\Support\Carbon;

/**
 * When something was entered: now, or as long ago as the device says that it kept it. Waits of procedures go by
 * the server's clock; of what was kept they are told what the device counted meanwhile.
 */
final readonly class EnteredAt
{
    /** Header with the seconds for which an entry waited on its device. */
    public const WAITED = 'X-Ispira-Waited';

    /** What is older came from a clock that was set. */
    private const MOST_DAYS = 60;

    public function __construct(private Request $request) {}

    /** Whether it was kept on a device, and is sent by itself. */
    public function later(): bool
    {
        return $this->request->headers->has(self::WAITED);
    }

    public function moment(): Carbon
    {
        $waited = $this->request->headers->get(self::WAITED, '0') ?? '0';
        $seconds = preg_match('/^\d{1,7}$/', $waited) === 1 ? (int) $waited : 0;

        return $seconds > self::MOST_DAYS * 86_400 ? now() : now()->subSeconds($seconds);
    }
}

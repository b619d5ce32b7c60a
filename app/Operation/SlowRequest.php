<?php

declare(strict_types=1);

namespace App\Operation;

/**
 * A request that took longer than anybody should wait.
 */
final readonly class SlowRequest
{
    /** @param string $request its number, as it stands in the log */
    public function __construct(
        public string $request,
        public string $route,
        public int $milliseconds,
        public string $at,
    ) {}
}

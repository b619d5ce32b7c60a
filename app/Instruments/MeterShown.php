<?php

declare(strict_types=1);

namespace App\Instruments;

/**
 * A meter of the workshop with its address.
 */
final readonly class MeterShown
{
    public function __construct(
        public string $id,
        public string $name,
        public string $host,
        public int $port,
        public ?string $identity,
    ) {}
}

<?php

declare(strict_types=1);

namespace App\Instruments;

/**
 * Whether a meter answered.
 */
final readonly class MeterTried
{
    public function __construct(public string $meter, public bool $works, public string $says) {}
}

<?php

declare(strict_types=1);

namespace App\Bench;

/**
 * A meter of the workshop.
 */
final readonly class MeterName
{
    public function __construct(public string $id, public string $name) {}
}

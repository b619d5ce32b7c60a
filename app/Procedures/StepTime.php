<?php

declare(strict_types=1);

namespace App\Procedures;

/**
 * How long a step took.
 */
final readonly class StepTime
{
    public function __construct(public int $step, public float $seconds) {}
}

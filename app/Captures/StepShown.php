<?php

declare(strict_types=1);

namespace App\Captures;

/**
 * Pulses in one position of the selector.
 */
final readonly class StepShown
{
    public function __construct(
        public string $position,
        public ?float $duty,
        public bool $pulsed,
        public ?float $frequency,
        public float $low,
        public float $high,
        public int $missing,
    ) {}
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Remedy;

/**
 * One attempt of the cheapest order of attempts.
 */
final readonly class AttemptShown
{
    public function __construct(
        public string $remedy,
        public string $label,
        public float $money,
        public float $reached,
        public float $fixes,
    ) {}
}

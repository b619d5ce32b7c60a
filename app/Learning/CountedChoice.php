<?php

declare(strict_types=1);

namespace App\Learning;

/**
 * Something to choose, with its number of jobs.
 */
final readonly class CountedChoice
{
    public function __construct(public string $value, public string $label, public float $jobs) {}
}

<?php

declare(strict_types=1);

namespace App\Jobs;

/**
 * Numbers of jobs that have some words.
 */
final readonly class FoundNumbers
{
    /**
     * @param list<int> $numbers
     * @param bool $cut whether others may have them as well that were not looked at
     */
    public function __construct(public array $numbers, public bool $cut) {}
}

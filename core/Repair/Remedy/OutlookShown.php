<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Remedy;

/**
 * What it takes from the odds as they stand to a machine that runs.
 */
final readonly class OutlookShown
{
    /**
     * @param list<RemedyShown> $options
     * @param list<AttemptShown> $attempts
     */
    public function __construct(
        public array $options,
        public array $attempts,
        public float $money,
        public ?TestWorth $test,
    ) {}
}

<?php

declare(strict_types=1);

namespace App\Instruments;

/**
 * A run of a motor on the bench supply.
 */
final readonly class BenchRunShown
{
    /**
     * @param list<array{0: float, 1: float}> $points
     * @param list<string> $against
     */
    public function __construct(
        public string $id,
        public string $model,
        public ?float $startsAt,
        public array $points,
        public bool $loaded,
        public ?float $amps,
        public ?string $note,
        public bool $good,
        public array $against,
        public bool $compared,
        public string $at,
    ) {}
}

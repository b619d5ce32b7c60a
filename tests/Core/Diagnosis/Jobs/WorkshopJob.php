<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * A job as a workshop writes it down: what was heard, what was measured, and which part it was.
 */
final readonly class WorkshopJob
{
    /**
     * @param string                           $heard     in each position of the control, in their order
     * @param array<string, float|string|null> $readings  by test, null for over range
     * @param float                            $least     odds of the right part that the readings have to weigh
     * @param list<string>                     $innocent  remedies that must be under seven in a hundred
     * @param array<string, string>            $machine   what is known of it
     */
    public function __construct(
        public string $heard,
        public array $readings,
        public string $part,
        public float $least = 0.9,
        public array $innocent = [],
        public array $machine = [],
    ) {}
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

/**
 * What the jobs of a workshop have shown, as counts only: no unit, no customer, no person, no day of a job.
 */
final readonly class Experience
{
    /**
     * @param string $name   of the workshop that gives it
     * @param string $madeOn day, YYYY-MM-DD
     * @param list<CountedFault> $counts
     */
    public function __construct(public string $name, public string $madeOn, public array $counts) {}

    public function jobs(): float
    {
        return (float) array_sum(array_column($this->counts, 'jobs'));
    }
}

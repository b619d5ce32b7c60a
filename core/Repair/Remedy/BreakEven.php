<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Remedy;

/**
 * After how many jobs a tester has paid for itself: its price over what it saves on each.
 */
final readonly class BreakEven
{
    /** Jobs until it is paid for, rounded up; null when it never is. */
    public ?int $jobs;

    /** Months until then; null when it never is, or nobody knows how often such a job comes. */
    public ?float $months;

    /**
     * @param float $price       of the tester
     * @param float $saving      money it saves on a job on which it is used
     * @param float $jobsPerYear on which it would be used
     */
    public function __construct(public float $price, public float $saving, public float $jobsPerYear)
    {
        $this->jobs = $saving > 0.0 ? (int) ceil($price / $saving - 1e-9) : null;
        $this->months = $this->jobs === null || $jobsPerYear <= 0.0 ? null : (12.0 * $this->jobs) / $jobsPerYear;
    }
}

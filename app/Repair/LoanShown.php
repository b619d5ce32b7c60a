<?php

declare(strict_types=1);

namespace App\Repair;

/**
 * A part that was lent out.
 */
final readonly class LoanShown
{
    public function __construct(
        public string $id,
        public string $job,
        public string $jobId,
        public string $unit,
        public string $what,
        public string $to,
        public string $dueOn,
        public bool $overdue,
    ) {}
}

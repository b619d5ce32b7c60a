<?php

declare(strict_types=1);

namespace App\Repair;

/**
 * A part that a job waits for.
 */
final readonly class PartDue
{
    /**
     * @param string $expectedOn YYYY-MM-DD
     */
    public function __construct(
        public string $id,
        public string $jobId,
        public string $job,
        public string $unit,
        public string $what,
        public ?string $source,
        public string $expectedOn,
        public bool $overdue,
    ) {}
}

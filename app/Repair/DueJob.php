<?php

declare(strict_types=1);

namespace App\Repair;

/**
 * A job that has to be looked at again.
 */
final readonly class DueJob
{
    public function __construct(
        public string $id,
        public string $number,
        public string $unit,
        public ?string $place,
        public string $what,
        public string $outcome,
        public string $dueOn,
        public bool $overdue,
    ) {}
}

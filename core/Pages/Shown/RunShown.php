<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

use Ispira\Core\Procedure\Procedure;

/**
 * A procedure as it is worked.
 */
final readonly class RunShown
{
    public function __construct(
        public string $id,
        public Procedure $procedure,
        public int $step,
        public float $since,
        public float $now,
        public float $remaining,
        public bool $late,
        public bool $finished,
        public ?string $aborted,
        public string $startedAt,
    ) {}
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

use Ispira\Core\Repair\Work\JobOutcome;

/**
 * A way in which a job can end, and what it asks for.
 */
final readonly class EndingShown
{
    public function __construct(
        public JobOutcome $value,
        public bool $needsReason,
        public bool $needsDay,
        public bool $needsName,
    ) {}
}

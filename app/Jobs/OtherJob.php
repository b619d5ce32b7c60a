<?php

declare(strict_types=1);

namespace App\Jobs;

use Ispira\Core\Job\JobStage;

/**
 * Another job of the same unit.
 */
final readonly class OtherJob
{
    public function __construct(
        public string $id,
        public string $number,
        public string $complaint,
        public JobStage $stage,
    ) {}
}

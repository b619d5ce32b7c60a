<?php

declare(strict_types=1);

namespace App\Jobs;

use Ispira\Core\Job\JobStage;

/**
 * An earlier job of a unit.
 */
final readonly class PastJob
{
    /**
     * @param list<string> $found
     * @param list<string> $replaced
     */
    public function __construct(
        public string $number,
        public string $complaint,
        public JobStage $stage,
        public string $openedAt,
        public array $found,
        public array $replaced,
    ) {}
}

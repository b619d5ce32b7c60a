<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

/**
 * An answer of a planner that was kept with a job.
 */
final readonly class KeptPlan
{
    /**
     * @param list<string> $said
     */
    public function __construct(
        public string $id,
        public string $planner,
        public string $name,
        public array $said,
        public ?string $at,
        public string $href,
    ) {}
}

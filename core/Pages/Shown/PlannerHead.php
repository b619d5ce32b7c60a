<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

/**
 * A planner or worksheet.
 */
final readonly class PlannerHead
{
    /**
     * @param list<string> $tests
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $summary,
        public bool $measures,
        public array $tests,
    ) {}
}

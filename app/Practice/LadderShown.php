<?php

declare(strict_types=1);

namespace App\Practice;

/**
 * The ladder of one family.
 */
final readonly class LadderShown
{
    /** @param list<RungShown> $rungs lowest first */
    public function __construct(
        public string $family,
        public string $name,
        public string $summary,
        public array $rungs,
    ) {}
}

<?php

declare(strict_types=1);

namespace App\Practice;

/**
 * Units that a lead has set, as a person finds them.
 */
final readonly class SetShown
{
    /** @param list<SetUnitShown> $units */
    public function __construct(
        public string $id,
        public string $title,
        public string $way,
        public string $by,
        public string $madeAt,
        public array $units,
    ) {}
}

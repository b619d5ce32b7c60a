<?php

declare(strict_types=1);

namespace App\Instruments;

/**
 * A quantity that is written in more than one unit.
 */
final readonly class UnitChoice
{
    /**
     * @param list<string> $choices
     */
    public function __construct(
        public string $base,
        public string $label,
        public string $unit,
        public array $choices,
    ) {}
}

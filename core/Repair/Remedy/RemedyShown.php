<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Remedy;

/**
 * A way to cure the machine, priced.
 */
final readonly class RemedyShown
{
    /**
     * @param list<string> $parts
     * @param int|null $leadDays null when it is not to be had
     * @param list<string> $changes
     * @param string|null $quotedBy who gave price and time for this job
     * @param list<LeftShown> $left
     */
    public function __construct(
        public string $key,
        public string $label,
        public string $kind,
        public array $parts,
        public float $price,
        public float $labour,
        public float $standing,
        public float $comeBack,
        public float $expected,
        public float $perYear,
        public float $fixes,
        public ?int $leadDays,
        public int $warrantyMonths,
        public float $lifeYears,
        public float $comeBackChance,
        public float $lost,
        public float $minutes,
        public string $why,
        public string $whyNot,
        public array $changes,
        public ?string $quotedBy,
        public array $left,
    ) {}
}

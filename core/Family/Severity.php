<?php

declare(strict_types=1);

namespace Ispira\Core\Family;

/**
 * One degree of a fault.
 */
final readonly class Severity
{
    /**
     * @param list<Adjustment>     $adjustments
     * @param array<array-key, string> $acts       position → position whose contacts the control really makes
     */
    public function __construct(
        public array $adjustments,
        public array $acts = [],
        public float $share = 1.0,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Learning;

/**
 * How often something is at fault: as shipped, and as the workshop's own jobs have it.
 */
final readonly class OddsShown
{
    /**
     * @param float $low  the own one lies between this ...
     * @param float $high ... and this, nineteen times of twenty
     */
    public function __construct(
        public string $remedy,
        public string $label,
        public float $shipped,
        public float $own,
        public float $jobs,
        public float $low,
        public float $high,
    ) {}
}

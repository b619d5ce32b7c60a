<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

/**
 * One remedy, as shipped and as the jobs of a workshop have it.
 */
final readonly class OddsRow
{
    /**
     * @param float $shipped chance as shipped
     * @param float $own     chance that was learned
     * @param float $jobs    how many proven jobs ended with it
     * @param float $low     the learned one lies between this ...
     * @param float $high    ... and this, nineteen times of twenty
     */
    public function __construct(
        public string $remedy,
        public float $shipped,
        public float $own,
        public float $jobs,
        public float $low,
        public float $high,
    ) {}
}

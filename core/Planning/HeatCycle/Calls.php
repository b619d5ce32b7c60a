<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\HeatCycle;

/**
 * Calls for heat: so long on, so long off, so many times; and what the board makes of an open limit.
 */
final readonly class Calls
{
    /**
     * @param float $on              s
     * @param float $off             s
     * @param int   $lockOutAfter    trips in all
     * @param bool  $limitRunsFan    whether an open limit runs the fan
     * @param bool  $countsIdleTrips whether trips without a call count towards the lock-out
     */
    public function __construct(
        public float $on = 600.0,
        public float $off = 180.0,
        public int $cycles = 4,
        public int $lockOutAfter = 5,
        public bool $limitRunsFan = false,
        public bool $countsIdleTrips = true,
    ) {}

    public function length(): float
    {
        return $this->cycles * ($this->on + $this->off);
    }

    public function isCalling(float $time): bool
    {
        return $time < $this->length() && fmod($time, $this->on + $this->off) < $this->on;
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\HeatCycle;

/**
 * What happened in a run of calls.
 */
final readonly class HeatCycle
{
    /**
     * @param list<array{0: float, 1: float, 2: float, 3: bool, 4: bool, 5: bool}> $trace  time in s, metal and limit in °C, fan, burner, limit closed
     * @param list<float> $trips        times in s at which the limit opened
     * @param float|null  $lockedOut    time in s
     * @param float       $hottest      metal, in °C
     * @param float       $hottestLimit at the limit, in °C
     * @param float       $heatIn       J from the burner
     * @param float       $heatOut      J given to the air
     * @param float       $heatKept     J more in the metal than at the beginning
     */
    public function __construct(
        public array $trace,
        public array $trips,
        public ?float $lockedOut,
        public float $hottest,
        public float $hottestLimit,
        public float $heatIn,
        public float $heatOut,
        public float $heatKept,
    ) {}
}

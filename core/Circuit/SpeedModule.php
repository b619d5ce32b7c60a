<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * An electronic stage between a supply and a motor, averaged over one pulse period.
 *
 * A chopper gives Vm = D·Vin − R·Im − (1 − D)·Vd and takes Iin = D·Im (the averaged model of a
 * buck stage with a freewheeling diode); a linear stage gives Vm = D·Vin − R·Im and takes Iin = Im.
 */
final readonly class SpeedModule
{
    /** Duty under which the stage is off and lets nothing through. */
    public const OFF_UNDER = 1e-3;

    /** V at its input, with no current, under which it has no supply. */
    public const DEAD_UNDER = 0.05;

    /**
     * @param float $ohms       of the stage while it is on, in Ω, above zero
     * @param float $duty       D, from 0 to 1
     * @param float $diodeVolts Vd of the freewheeling diode
     * @param bool  $linear     whether the whole motor current comes from the supply
     * @param float $leastDuty  what a shorted stage never falls under
     * @param float $mostDuty   what a broken stage never exceeds
     */
    public function __construct(
        public float $ohms,
        public float $duty,
        public float $diodeVolts = 0.7,
        public bool $linear = false,
        public float $leastDuty = 0.0,
        public float $mostDuty = 1.0,
    ) {}

    /** @return array<string, float> */
    public function parameters(): array
    {
        return [
            'ohms' => $this->ohms,
            'duty' => $this->duty,
            'diodeVolts' => $this->diodeVolts,
            'linear' => $this->linear ? 1.0 : 0.0,
            'leastDuty' => $this->leastDuty,
            'mostDuty' => $this->mostDuty,
        ];
    }
}

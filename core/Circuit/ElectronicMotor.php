<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * A motor with its own electronics on an alternating supply: each input stands for a programmed torque.
 *
 * It runs when the line is high enough and one input is on; of several, it follows the greatest torque.
 * Against that torque stand friction and a fan that takes (n/n rated)²: n = n rated · √((T − Tf)/Tfan).
 */
final readonly class ElectronicMotor
{
    /**
     * @param float $ohms           between its line terminals on direct current: a rectifier blocks
     * @param float $leastVolts     of the line, under which its electronics are off
     * @param float $inputVolts     at which an input counts as on
     * @param float $standbyWatts   taken while it stands
     * @param float $ratedWatts     taken at rated torque and speed
     * @param float $drive          1 with all phases driven, 0 when a phase or its stage is out
     * @param float $frictionTorque relative to rated
     * @param float $fanTorque      relative to rated, at rated speed
     * @param float $air            air moved at rated speed, over what is right
     * @param float $ratedSpeed     rad/s
     * @param float $answer         1 while its answer reaches the board; without it the board stops it again and again
     */
    public function __construct(
        public float $ohms = Element::OPEN_OHMS,
        public float $leastVolts = 85.0,
        public float $inputVolts = 15.0,
        public float $standbyWatts = 3.0,
        public float $ratedWatts = 420.0,
        public float $drive = 1.0,
        public float $frictionTorque = 0.03,
        public float $fanTorque = 0.97,
        public float $air = 1.0,
        public float $ratedSpeed = 125.0,
        public float $answer = 1.0,
    ) {}

    /** @return array<string, float> */
    public function parameters(): array
    {
        /** @var array<string, float> $own */
        $own = get_object_vars($this);

        return $own;
    }

    /**
     * @param list<float>        $values
     * @param array<string, int> $slots  places of its parameters among them, by their names
     */
    public static function from(array $values, array $slots): self
    {
        return new self(
            $values[$slots['ohms']],
            $values[$slots['leastVolts']],
            $values[$slots['inputVolts']],
            $values[$slots['standbyWatts']],
            $values[$slots['ratedWatts']],
            $values[$slots['drive']],
            $values[$slots['frictionTorque']],
            $values[$slots['fanTorque']],
            $values[$slots['air']],
            $values[$slots['ratedSpeed']],
            $values[$slots['answer']],
        );
    }

    /** @param float $torque programmed, relative to rated. @return float rad/s */
    public function speed(float $torque): float
    {
        $left = $torque * $this->drive - $this->frictionTorque;

        return $left > 0.0 ? $this->ratedSpeed * sqrt($left / max($this->fanTorque, 1e-3)) : 0.0;
    }

    /** Power it takes from the line, in W. */
    public function watts(float $torque, float $speed): float
    {
        return $this->standbyWatts + ($this->ratedWatts * $torque * $speed) / $this->ratedSpeed;
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\PackRebuild;

use Ispira\Core\Circuit\BrushedMotor;

/**
 * The blower motor behind a pack, known by its voltage and its current on high.
 *
 * An ordinary cabin blower (Ra 0.25 Ω, k 0.025 V·s/rad, Tf 0.03 N·m, c 3.5e-6 N·m·s²) is scaled so that it draws the
 * current told at the voltage told, at the same speed: k grows with the voltage, the torques with the power.
 */
final readonly class FanMotor
{
    private const ARMATURE_OHMS = 0.25;
    private const EMF_CONSTANT = 0.025;
    private const FRICTION_TORQUE = 0.03;
    private const FAN_CONSTANT = 3.5e-6;
    private const VOLTS = 13.2;

    /** Breaking loose takes more than turning. */
    private const BREAKAWAY = 1.5;

    public BrushedMotor $motor;

    public float $fullSpeed;

    public function __construct(public float $volts, float $amps)
    {
        $ordinary = new BrushedMotor(
            self::ARMATURE_OHMS,
            self::EMF_CONSTANT,
            self::FRICTION_TORQUE,
            self::FAN_CONSTANT,
        );
        $this->fullSpeed = self::settled($ordinary, self::VOLTS, 0.0);
        $v = $volts / self::VOLTS;
        $i = $amps / self::drawn($ordinary, $this->fullSpeed);
        $this->motor = new BrushedMotor(
            (self::ARMATURE_OHMS * $v) / $i,
            self::EMF_CONSTANT * $v,
            self::FRICTION_TORQUE * $v * $i,
            self::FAN_CONSTANT * $v * $i,
        );
    }

    /** Ω in series with which it turns at a share of its full speed. */
    public function ohmsFor(float $share): float
    {
        $speed = $share * $this->fullSpeed;

        return ($this->volts - $this->motor->emfConstant * $speed) / self::drawn($this->motor, $speed) -
            $this->motor->armatureOhms;
    }

    /** Share of its full speed with so many Ω in series. */
    public function shareWith(float $ohms): float
    {
        return self::settled($this->motor, $this->volts, $ohms) / $this->fullSpeed;
    }

    /** A at a share of full speed. */
    public function ampsAt(float $share): float
    {
        return self::drawn($this->motor, $share * $this->fullSpeed);
    }

    /** A when it cannot turn. */
    public function ampsLocked(float $ohms): float
    {
        return $this->volts / ($this->motor->armatureOhms + $ohms);
    }

    public function starts(float $ohms): bool
    {
        return $this->motor->emfConstant * $this->ampsLocked($ohms) > self::BREAKAWAY * $this->motor->frictionTorque;
    }

    private static function settled(BrushedMotor $motor, float $volts, float $ohms): float
    {
        $all = $motor->armatureOhms + $ohms;

        return BrushedMotor::settledSpeed(
            $volts / $all,
            1.0 / $all,
            $motor->emfConstant,
            $motor->frictionTorque,
            $motor->fanConstant,
            0.0,
        );
    }

    private static function drawn(BrushedMotor $motor, float $speed): float
    {
        return ($motor->frictionTorque + $motor->fanConstant * $speed * $speed) / $motor->emfConstant;
    }
}

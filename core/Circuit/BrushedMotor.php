<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * A brushed permanent-magnet motor that drives a fan.
 *
 * Voltage balance V = I·Ra + k·ω; torque balance k·I = Tf + b·ω + c·ω². These are
 * the textbook equations of a permanent-magnet DC machine with dry friction Tf, a
 * braking torque b·ω (eddy currents, shorted turns) and a fan torque c·ω².
 */
final readonly class BrushedMotor
{
    /**
     * @param float $armatureOhms    Ra, in Ω, above zero
     * @param float $emfConstant     k, in V·s/rad (the same number in N·m/A), above zero
     * @param float $frictionTorque  Tf, in N·m
     * @param float $fanConstant     c, in N·m·s²
     * @param float $brakingConstant b, in N·m·s
     * @param float $loadTorque      of what hangs on its shaft, whatever the speed, in N·m; it joins Tf
     */
    public function __construct(
        public float $armatureOhms,
        public float $emfConstant,
        public float $frictionTorque,
        public float $fanConstant,
        public float $brakingConstant = 0.0,
        public float $loadTorque = 0.0,
    ) {
        foreach (['armatureOhms' => $armatureOhms, 'emfConstant' => $emfConstant] as $name => $value) {
            if (!($value > 0.0)) {
                throw CircuitError::badValue('motor', $name, 'above zero');
            }
        }
    }

    /** @return array<string, float> */
    public function parameters(): array
    {
        return [
            'armatureOhms' => $this->armatureOhms,
            'emfConstant' => $this->emfConstant,
            'frictionTorque' => $this->frictionTorque,
            'fanConstant' => $this->fanConstant,
            'brakingConstant' => $this->brakingConstant,
            'loadTorque' => $this->loadTorque,
        ];
    }

    /**
     * Speed in rad/s at which the shaft settles, odd in the stalled current.
     *
     * With the EMF at zero the current would be I0; each volt of EMF lowers it by
     * G. Then k·(I0 − G·k·ω) = Tf + b·ω + c·ω² is a quadratic in ω. It stands
     * while k·|I0| does not exceed Tf.
     *
     * @param float $stalledCurrent I0, in A, at standstill in its network
     * @param float $conductance    G, in S, of the armature and network in series
     */
    public static function settledSpeed(
        float $stalledCurrent,
        float $conductance,
        float $emfConstant,
        float $frictionTorque,
        float $fanConstant,
        float $brakingConstant,
    ): float {
        $drive = $emfConstant * abs($stalledCurrent) - $frictionTorque;
        if ($drive <= 0.0) {
            return 0.0;
        }
        $linear = $brakingConstant + $emfConstant * $emfConstant * $conductance;
        // The form with the sum in the denominator keeps its digits when the fan constant is tiny or zero.
        $speed = (2.0 * $drive) / ($linear + sqrt($linear * $linear + 4.0 * $fanConstant * $drive));

        return $stalledCurrent < 0.0 ? -$speed : $speed;
    }
}

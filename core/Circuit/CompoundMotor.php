<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * A motor whose field is made by its own armature current and by a shunt winding.
 *
 * EMF e = Φ·ω and torque Φ·Ia with Φ = kse·Ia + ksh·If; torque balance Φ·Ia = T0 + b·ω + c·ω².
 * These are the textbook equations of a compound machine with an unsaturated field.
 */
final readonly class CompoundMotor
{
    /** Speed in rad/s beyond which no such motor turns. */
    private const FASTEST = 1e5;

    private const HALVINGS = 60;

    /**
     * @param float $armatureOhms    Ra with the series field, in Ω, above zero
     * @param float $seriesConstant  kse, in V·s/rad for each A of armature current
     * @param float $fieldConstant   ksh, in V·s/rad for each A of shunt current
     * @param float $frictionTorque  T0, in N·m
     * @param float $brakingConstant b, in N·m·s
     * @param float $fanConstant     c, in N·m·s²
     * @param float $loadTorque      of what hangs on its shaft, whatever the speed, in N·m; it joins T0
     */
    public function __construct(
        public float $armatureOhms,
        public float $seriesConstant,
        public float $fieldConstant,
        public float $frictionTorque,
        public float $brakingConstant,
        public float $fanConstant = 0.0,
        public float $loadTorque = 0.0,
    ) {
        if (!($armatureOhms > 0.0)) {
            throw CircuitError::badValue('motor', 'armatureOhms', 'above zero');
        }
    }

    /** @return array<string, float> */
    public function parameters(): array
    {
        return [
            'armatureOhms' => $this->armatureOhms,
            'seriesConstant' => $this->seriesConstant,
            'fieldConstant' => $this->fieldConstant,
            'frictionTorque' => $this->frictionTorque,
            'brakingConstant' => $this->brakingConstant,
            'fanConstant' => $this->fanConstant,
            'loadTorque' => $this->loadTorque,
        ];
    }

    /**
     * Speed in rad/s at which the shaft settles, and its EMF in V.
     *
     * With the EMF e the currents are Ia = I0 − G·e and If = J0 − H·e. For a speed, Φ and with
     * it e follow linearly; the torque left over falls with the speed, so the zero is found
     * by halving.
     *
     * @param float $armature  I0, in A
     * @param float $armatureFall G, in S
     * @param float $shunt     J0, in A
     * @param float $shuntFall H, in S
     * @param array{seriesConstant: float, fieldConstant: float, frictionTorque: float, brakingConstant: float, fanConstant: float} $motor
     *
     * @return array{0: float, 1: float}
     */
    public static function settled(
        float $armature,
        float $armatureFall,
        float $shunt,
        float $shuntFall,
        array $motor,
    ): array {
        $flux = $motor['seriesConstant'] * $armature + $motor['fieldConstant'] * $shunt;
        $fall = $motor['seriesConstant'] * $armatureFall + $motor['fieldConstant'] * $shuntFall;
        $emf = static fn(float $speed): float => ($speed * $flux) / (1.0 + $speed * $fall);
        $left = static function (float $speed) use ($emf, $flux, $fall, $armature, $armatureFall, $motor): float {
            $torque = ($flux / (1.0 + $speed * $fall)) * ($armature - $armatureFall * $emf($speed));

            return $torque -
                $motor['frictionTorque'] -
                $motor['brakingConstant'] * $speed -
                $motor['fanConstant'] * $speed * $speed;
        };
        if ($left(0.0) <= 0.0) {
            return [0.0, 0.0];
        }
        $slow = 0.0;
        $fast = self::FASTEST;
        for ($n = 0; $n < self::HALVINGS; ++$n) {
            $middle = 0.5 * ($slow + $fast);
            if ($left($middle) > 0.0) {
                $slow = $middle;
            } else {
                $fast = $middle;
            }
        }

        return [$slow, $emf($slow)];
    }
}

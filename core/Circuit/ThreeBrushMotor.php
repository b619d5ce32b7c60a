<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * A permanent-magnet motor with a third brush: one armature, tapped.
 *
 * Between common and low lies the whole winding, with EMF k·ω and resistance 2·Ra; between
 * common and high the share h of the EMF and 1 − x of the resistance; the rest between the
 * two. The idle brush is alive, and above the supply while high runs.
 */
final readonly class ThreeBrushMotor
{
    /**
     * @param float $armatureOhms   2·Ra
     * @param float $emfConstant    k, of the whole winding
     * @param float $thirdEmf       h
     * @param float $thirdPart      x
     * @param float $brushOhms      of each brush
     * @param float $frictionTorque in N·m
     * @param float $fanConstant    load that grows with the square of the speed, in N·m·s²
     * @param float $brakingConstant load that grows with the speed, in N·m·s
     */
    public function __construct(
        public float $armatureOhms,
        public float $emfConstant,
        public float $thirdEmf,
        public float $thirdPart,
        public float $brushOhms,
        public float $frictionTorque,
        public float $fanConstant,
        public float $brakingConstant,
    ) {}

    /**
     * Its elements: "motor" is its shaft.
     *
     * @return list<Element>
     */
    public function elements(string $low, string $high, string $common): array
    {
        return [
            Element::resistor('brush-low', $low, 'l', $this->brushOhms),
            Element::resistor('brush-high', $high, 'h', $this->brushOhms),
            Element::resistor('brush-common', 'c', $common, $this->brushOhms),
            Element::motor(
                'motor',
                'l',
                'c',
                new BrushedMotor(
                    $this->armatureOhms,
                    $this->emfConstant,
                    $this->frictionTorque,
                    $this->fanConstant,
                    $this->brakingConstant,
                ),
            ),
            Element::winding(
                'upper',
                'h',
                'c',
                $this->armatureOhms * (1.0 - $this->thirdPart),
                $this->thirdEmf * $this->emfConstant,
                'motor',
            ),
            Element::winding(
                'between',
                'l',
                'h',
                $this->armatureOhms * $this->thirdPart,
                (1.0 - $this->thirdEmf) * $this->emfConstant,
                'motor',
            ),
        ];
    }

    /**
     * Its element parameters, for another size of the same motor.
     *
     * @return array<string, float>
     */
    public function parameters(): array
    {
        return [
            'motor.armatureOhms' => $this->armatureOhms,
            'upper.ohms' => $this->armatureOhms * (1.0 - $this->thirdPart),
            'between.ohms' => $this->armatureOhms * $this->thirdPart,
            'motor.emfConstant' => $this->emfConstant,
            'upper.emfConstant' => $this->thirdEmf * $this->emfConstant,
            'between.emfConstant' => (1.0 - $this->thirdEmf) * $this->emfConstant,
            'motor.frictionTorque' => $this->frictionTorque,
            'motor.fanConstant' => $this->fanConstant,
            'motor.brakingConstant' => $this->brakingConstant,
        ];
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * One element of an alternating-current circuit as a branch between two numbered nodes.
 */
final readonly class PhasorBranch
{
    /** Slot of its resistance among the values. */
    public int $ohms;

    /** Slot of its reactance, if it has any. */
    public ?int $reactance;

    /** @param array<string, int> $slots places of its parameters in a vector of values, by their names */
    public function __construct(
        public string $element,
        public ElementType $type,
        public int $from,
        public int $to,
        private array $slots,
    ) {
        $this->ohms = $slots['ohms'];
        $this->reactance = $slots['reactance'] ?? null;
    }

    /** @param array<int, float> $values */
    public function isOpen(array $values): bool
    {
        return $values[$this->ohms] >= CircuitSolver::OPEN_FROM_OHMS && $this->type !== ElementType::ElectronicMotor;
    }

    /** Whether it is an impedance and nothing else: no voltage in it, and nothing of it moves. */
    public function isPlain(): bool
    {
        return $this->type === ElementType::Resistor ||
            $this->type === ElementType::Switch ||
            $this->type === ElementType::Impedance;
    }

    /**
     * @param list<float> $values
     * @param bool        $sealed for a contactor: whether its armature is in
     *
     * @return array{0: float, 1: float} conductance and susceptance in S
     */
    public function admittance(array $values, bool $sealed): array
    {
        if ($this->type === ElementType::Contactor) {
            return $sealed
                ? ComplexEquations::admittance(
                    $values[$this->slots['sealedOhms']],
                    $values[$this->slots['sealedReactance']],
                )
                : ComplexEquations::admittance(
                    $values[$this->slots['unsealedOhms']],
                    $values[$this->slots['unsealedReactance']],
                );
        }
        if ($this->type === ElementType::Capacitor) {
            [$ohms, $reactance] = Capacitor::impedance(
                $values[$this->slots['microfarads']],
                $values[$this->slots['leakOhms']],
                $values[$this->slots['hertz']],
            );

            return ComplexEquations::admittance($ohms + $values[$this->ohms], $reactance);
        }

        return ComplexEquations::admittance(
            $values[$this->ohms],
            $this->reactance === null ? 0.0 : $values[$this->reactance],
        );
    }
}

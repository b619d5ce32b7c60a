<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * The steady state of a circuit on alternating current, in effective values.
 */
final readonly class PhasorPoint implements SolvedState
{
    /**
     * @param array<string, int>                       $nodeNumbers
     * @param list<array{0: float, 1: float}>          $weights     of the solutions by set of sources
     * @param array<string, array{0: float, 1: float}> $draws       admittance in S, by motor with electronics
     * @param array{0: float, 1: float}                $flux        of the induction motor, in V for each turn of the first section
     * @param list<float>                              $values
     * @param array<string, int>                       $slots
     * @param array<string, float>                     $speeds      by what moves
     * @param array<string, bool>                      $still       whether hardly anything drives it, by what may move
     * @param PhasorShape|null                         $hung        what conducts where dead ends hang otherwise than in
     *     the circuit that was solved
     */
    public function __construct(
        private Netlist $netlist,
        private array $nodeNumbers,
        private LinearPhasors $linear,
        private array $weights,
        private array $draws,
        private array $flux,
        private array $values,
        private array $slots,
        private array $speeds = [],
        private array $still = [],
        private ?PhasorShape $hung = null,
    ) {}

    /**
     * @param array<string, float> $speeds by what moves
     * @param array<string, bool>  $still  by what may move
     */
    public function moving(array $speeds, array $still): self
    {
        return new self(
            $this->netlist,
            $this->nodeNumbers,
            $this->linear,
            $this->weights,
            $this->draws,
            $this->flux,
            $this->values,
            $this->slots,
            $speeds,
            $still,
        );
    }

    /** The same currents in a circuit of which only dead ends hang otherwise. */
    public function hanging(PhasorShape $shape): self
    {
        return new self(
            $this->netlist,
            $this->nodeNumbers,
            $this->linear,
            $this->weights,
            $this->draws,
            $this->flux,
            $this->values,
            $this->slots,
            $this->speeds,
            $this->still,
            $shape,
        );
    }

    public function potential(string $node): ?float
    {
        return $this->connected($node, $this->netlist->ground)
            ? $this->voltageBetween($node, $this->netlist->ground)
            : null;
    }

    public function voltageBetween(string $plus, string $minus): float
    {
        return $this->connected($plus, $minus) ? hypot(...$this->phasorBetween($plus, $minus)) : 0.0;
    }

    public function current(string $elementId): float
    {
        return hypot(...$this->phasorThrough($elementId));
    }

    public function isOpen(string $elementId): bool
    {
        return !isset($this->shape()->conducting[$elementId]);
    }

    public function speed(string $elementId): float
    {
        return $this->speeds[$elementId] ?? throw CircuitError::unknownParameter($elementId);
    }

    public function standsSurely(string $elementId): bool
    {
        return ($this->still[$elementId] ?? false) && $this->speeds[$elementId] === 0.0;
    }

    public function parameter(string $name): float
    {
        return $this->values[$this->slots[$name] ?? throw CircuitError::unknownParameter($name)];
    }

    /** Voltage in V that the induction motor's flux holds across its first section. */
    public function flux(): float
    {
        return hypot(...$this->flux);
    }

    /**
     * Part of a winding's current that leads the motor's flux by a quarter period, over that flux, in S; positive for
     * what a capacitor drives.
     */
    public function inQuadrature(string $winding): float
    {
        [$re, $im] = $this->phasorThrough($winding);
        [$fluxRe, $fluxIm] = $this->flux;
        $size = $fluxRe * $fluxRe + $fluxIm * $fluxIm;

        return $size > 0.0 ? ($im * $fluxRe - $re * $fluxIm) / $size : 0.0;
    }

    /** @return array{0: float, 1: float} in A */
    private function phasorThrough(string $elementId): array
    {
        $element = $this->netlist->elements[$elementId] ?? throw CircuitError::unknownParameter($elementId);
        if (!isset($this->shape()->isLive[$elementId])) {
            return [0.0, 0.0];
        }
        [$g, $s] = $this->draws[$elementId] ?? ($this->linear->admittance($elementId) ?? [0.0, 0.0]);
        [$re, $im] = $this->phasorBetween($element->from, $element->to);
        [$emfRe, $emfIm] = $this->emf($elementId);
        [$re, $im] = [$re - $emfRe, $im - $emfIm];

        return [$g * $re - $s * $im, $g * $im + $s * $re];
    }

    private function connected(string $a, string $b): bool
    {
        return $this->shape()->ties($this->number($a), $this->number($b));
    }

    /** @return array{0: float, 1: float} */
    private function phasorBetween(string $plus, string $minus): array
    {
        [$shape, $a, $b] = [$this->shape(), $this->number($plus), $this->number($minus)];
        if ($shape->solves($a, $b)) {
            return $this->linear->superposed($a, $b, $this->weights);
        }
        $re = $im = 0.0;
        foreach ($shape->way($a, $b) as [$branch, $sign]) {
            // What carries no current has only its own voltage across it.
            [$stepRe, $stepIm] = isset($shape->isLive[$branch->element])
                ? $this->linear->superposed($branch->from, $branch->to, $this->weights)
                : $this->ownVoltage($branch);
            $re += $sign * $stepRe;
            $im += $sign * $stepIm;
        }

        return [$re, $im];
    }

    /** @return array{0: float, 1: float} in V of the first node above the second, without a current */
    private function ownVoltage(PhasorBranch $branch): array
    {
        return $branch->type === ElementType::AlternatingSource
            ? [$this->parameter("$branch->element.volts"), 0.0]
            : $this->emf($branch->element);
    }

    /** @return array{0: float, 1: float} voltage in V of a source, or that the flux induces in a winding */
    private function emf(string $element): array
    {
        if (!isset($this->linear->turns[$element])) {
            return $this->linear->emfs[$element] ?? [0.0, 0.0];
        }
        [$turns, $ahead] = $this->linear->turns[$element];
        // The rotor's flux ahead of the main one is as strong as it turns.
        [$re, $im] = $this->weights[2];

        return [$turns * $this->flux[0] - $ahead * $im, $turns * $this->flux[1] + $ahead * $re];
    }

    private function shape(): PhasorShape
    {
        return $this->hung ?? $this->linear->shape;
    }

    private function number(string $node): int
    {
        return $this->nodeNumbers[$node] ?? throw CircuitError::unknownNode($node);
    }
}

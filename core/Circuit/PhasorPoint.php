<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * The steady state of a circuit on alternating current, in effective values.
 */
final readonly class PhasorPoint implements SolvedState
{
    /**
     * @param array<string, int>                    $nodeNumbers
     * @param list<array{0: float, 1: float}>       $potentials  by node, in V
     * @param array<string, array{0: float, 1: float}> $admittances by conducting element, in S
     * @param list<float>                           $values
     * @param array<string, int>                    $slots
     * @param array<string, bool>                   $sealed      by contactor
     */
    public function __construct(
        private Netlist $netlist,
        private array $nodeNumbers,
        private PotentialForest $islands,
        private array $potentials,
        private array $admittances,
        private array $values,
        private array $slots,
        private array $sealed,
    ) {
    }

    public function potential(string $node): ?float
    {
        return $this->connected($node, $this->netlist->ground) ? $this->voltageBetween($node, $this->netlist->ground) : null;
    }

    public function voltageBetween(string $plus, string $minus): float
    {
        return $this->connected($plus, $minus) ? hypot(...$this->phasorBetween($plus, $minus)) : 0.0;
    }

    public function current(string $elementId): float
    {
        $element = $this->netlist->elements[$elementId] ?? throw CircuitError::unknownParameter($elementId);
        [$g, $s] = $this->admittances[$elementId] ?? [0.0, 0.0];
        [$re, $im] = $this->phasorBetween($element->from, $element->to);
        $re -= $element->type === ElementType::AlternatingSource ? $this->values[$this->slots["$elementId.volts"]] : 0.0;

        return hypot($g, $s) * hypot($re, $im);
    }

    public function isOpen(string $elementId): bool
    {
        return !isset($this->admittances[$elementId]);
    }

    public function speed(string $elementId): float
    {
        $element = $this->netlist->elements[$elementId] ?? throw CircuitError::unknownParameter($elementId);
        if ($this->sealed[$elementId] ?? false) {
            return 1.0;
        }

        return $this->voltageBetween($element->from, $element->to) < $this->values[$this->slots["$elementId.dropOutVolts"]] || $this->isOpen($elementId) ? 0.0 : \NAN;
    }

    private function connected(string $a, string $b): bool
    {
        return $this->islands->root($this->number($a)) === $this->islands->root($this->number($b));
    }

    /** @return array{0: float, 1: float} */
    private function phasorBetween(string $plus, string $minus): array
    {
        [$a, $b] = [$this->potentials[$this->number($plus)], $this->potentials[$this->number($minus)]];

        return [$a[0] - $b[0], $a[1] - $b[1]];
    }

    private function number(string $node): int
    {
        return $this->nodeNumbers[$node] ?? throw CircuitError::unknownNode($node);
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * The steady state of a circuit on direct current.
 */
final readonly class OperatingPoint implements SolvedState
{
    /**
     * @param array<string, int> $nodeNumbers
     * @param array<string, int> $branchNumbers
     * @param array<int, float>  $volts         by live node
     * @param array<int, float>  $values        parameters that were solved for
     * @param list<int>          $ohmsSlots
     * @param array<int, float>  $emf           V of `from` above `to`, by branch that has any
     * @param array<int, float>  $speeds        rad/s by motor branch
     * @param array<int, bool>   $energised     by coil branch
     * @param bool               $chatters      true when no relay position is stable
     * @param float              $push          largest torque on a shaft at rest over what holds it there; above 1
     *     where any turns
     */
    public function __construct(
        private Netlist $netlist,
        private array $nodeNumbers,
        private array $branchNumbers,
        public LiveNetwork $network,
        private array $volts,
        private array $values,
        private array $ohmsSlots,
        private array $emf,
        private array $speeds,
        public array $energised,
        public bool $chatters,
        private float $push,
        private ?PotentialForest $joined,
    ) {}

    /** The same potentials in a network with the same live branches. */
    public function within(LiveNetwork $network): self
    {
        return $network === $this->network
            ? $this
            : new self(
                $this->netlist,
                $this->nodeNumbers,
                $this->branchNumbers,
                $network,
                $this->volts,
                $this->values,
                $this->ohmsSlots,
                $this->emf,
                $this->speeds,
                $this->energised,
                $this->chatters,
                $this->push,
                $this->joined,
            );
    }

    /** Potential of a node above ground in V; null when the node floats. */
    public function potential(string $node): ?float
    {
        $number = $this->nodeNumbers[$node] ?? throw CircuitError::unknownNode($node);

        return $this->network->island[$number] === 0
            ? $this->atNode($number) - $this->atNode($this->nodeNumbers[$this->netlist->ground])
            : null;
    }

    /**
     * What a meter between two nodes shows, in V.
     *
     * Between islands that nothing connects, the meter's own 10 MΩ pulls the floating
     * side to the other: it shows zero.
     */
    public function voltageBetween(string $plus, string $minus): float
    {
        $a = $this->nodeNumbers[$plus] ?? throw CircuitError::unknownNode($plus);
        $b = $this->nodeNumbers[$minus] ?? throw CircuitError::unknownNode($minus);

        return $this->between($a, $b);
    }

    /** The same between two nodes by their numbers. */
    public function between(int $plus, int $minus): float
    {
        return $this->network->island[$plus] === $this->network->island[$minus]
            ? $this->atNode($plus) - $this->atNode($minus)
            : 0.0;
    }

    /** Current through an element from its first node to its second, in A. */
    public function current(string $elementId): float
    {
        $branch = $this->branchNumbers[$elementId] ?? throw CircuitError::unknownParameter($elementId);
        $ohms = $this->values[$this->ohmsSlots[$branch]];
        if ($ohms === 0.0) {
            return $this->idealCurrents()[$branch];
        }
        $element = $this->netlist->elements[$elementId];
        if (!isset($this->network->liveBranches[$branch])) {
            return 0.0;
        }

        return ($this->atNode($this->nodeNumbers[$element->from]) -
            $this->atNode($this->nodeNumbers[$element->to]) -
            ($this->emf[$branch] ?? 0.0)) /
            $ohms;
    }

    /** Whether an element is open: a contact apart, a plug out. */
    public function isOpen(string $elementId): bool
    {
        $branch = $this->branchNumbers[$elementId] ?? throw CircuitError::unknownParameter($elementId);

        return $this->values[$this->ohmsSlots[$branch]] >= CircuitSolver::OPEN_FROM_OHMS;
    }

    /**
     * Shaft speed of a motor in rad/s, negative when it turns backwards; 1 or 0 for a coil that pulls or not; NAN when
     * a relay chatters.
     */
    public function speed(string $moverId): float
    {
        $branch = $this->branchNumbers[$moverId] ?? throw CircuitError::unknownParameter($moverId);

        return $this->chatters ? \NAN : $this->speeds[$branch] ?? (float) $this->energised[$branch];
    }

    public function standsSurely(string $elementId): bool
    {
        return $this->push < self::HARDLY &&
            !$this->chatters &&
            isset($this->speeds[$this->branchNumbers[$elementId] ?? -1]);
    }

    public function parameter(string $name): float
    {
        $slot = 0;
        foreach ($this->netlist->elements as $id => $element) {
            foreach (array_keys($element->parameters) as $parameter) {
                if ("$id.$parameter" === $name) {
                    return $this->values[$slot];
                }
                ++$slot;
            }
        }

        throw CircuitError::unknownParameter($name);
    }

    private function atNode(int $number): float
    {
        return $this->volts[$this->network->representative[$number]] + ($this->joined?->offset($number) ?? 0.0);
    }

    /**
     * Currents of the ideal branches, which form trees: a leaf's current is what its node's other branches leave over.
     *
     * @return array<int, float> by branch
     */
    private function idealCurrents(): array
    {
        $balance = [];
        $ideal = [];
        foreach ($this->netlist->elements as $id => $element) {
            $branch = $this->branchNumbers[$id];
            [$from, $to] = [$this->nodeNumbers[$element->from], $this->nodeNumbers[$element->to]];
            if ($this->values[$this->ohmsSlots[$branch]] === 0.0) {
                $ideal[$branch] = [$from, $to];
            } else {
                $current = $this->current($id);
                $balance[$from] = ($balance[$from] ?? 0.0) - $current;
                $balance[$to] = ($balance[$to] ?? 0.0) + $current;
            }
        }
        $currents = [];
        $ground = $this->nodeNumbers[$this->netlist->ground];
        while ($ideal !== []) {
            $degree = array_count_values(array_merge(...array_values($ideal)));
            foreach ($ideal as $branch => [$from, $to]) {
                foreach ([[$from, $to, 1.0], [$to, $from, -1.0]] as [$leaf, $other, $sign]) {
                    if ($degree[$leaf] === 1 && $leaf !== $ground) {
                        // What flows into the leaf from its other branches leaves it through this one.
                        $into = $balance[$leaf] ?? 0.0;
                        $currents[$branch] = $sign * $into;
                        $balance[$other] = ($balance[$other] ?? 0.0) + $into;
                        unset($ideal[$branch]);

                        continue 3;
                    }
                }
            }
        }

        return $currents;
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * Finds the steady state of an alternating-current circuit at its line frequency.
 *
 * Nodal analysis with complex admittances (phasors), solved by Gaussian elimination with
 * partial pivoting. Contactors start apart; one that reaches its pull-in voltage seals and
 * the circuit is solved again with its sealed impedance.
 */
final class PhasorSolver implements Solver
{
    /** Conductance in S from each node to ground, so that what floats has a potential. */
    private const LEAK = 1e-12;

    /** Least resistance of a branch in Ω: closed contacts count as this. */
    private const LEAST_OHMS = 1e-6;

    /** @var array<string, int> */
    private array $slots = [];

    /** @var array<string, PotentialForest> which nodes are tied together, by which elements are open */
    private array $islands = [];

    /** @var list<float> */
    private array $nominal = [];

    /** @var array<string, int> */
    private array $nodeNumbers;

    public function __construct(private readonly Netlist $netlist)
    {
        $this->nodeNumbers = array_flip($netlist->nodes);
        foreach ($netlist->elements as $element) {
            if (!\in_array($element->type, [ElementType::AlternatingSource, ElementType::Impedance, ElementType::Contactor, ElementType::Resistor, ElementType::Switch], true)) {
                throw CircuitError::notAlternating($element->id);
            }
            foreach ($element->parameters as $name => $value) {
                $this->slots["$element->id.$name"] = \count($this->nominal);
                $this->nominal[] = $value;
            }
        }
    }

    public function netlist(): Netlist
    {
        return $this->netlist;
    }

    public function nominalValues(): array
    {
        return $this->nominal;
    }

    public function slot(string $parameter): int
    {
        return $this->slots[$parameter] ?? throw CircuitError::unknownParameter($parameter);
    }

    public function node(string $name): int
    {
        return $this->nodeNumbers[$name] ?? throw CircuitError::unknownNode($name);
    }

    public function solve(?array $values = null): PhasorPoint
    {
        $values ??= $this->nominal;
        $contactors = array_filter($this->netlist->elements, static fn (Element $e): bool => $e->type === ElementType::Contactor);
        $sealed = array_fill_keys(array_keys($contactors), false);
        while (true) {
            $point = $this->solveUnmoved($values, $sealed);
            $moved = false;
            foreach ($contactors as $id => $element) {
                $volts = $point->voltageBetween($element->from, $element->to);
                if (!$sealed[$id] && $volts >= $values[$this->slots["$id.pullInVolts"]] && $values[$this->slots["$id.ohms"]] < CircuitSolver::OPEN_FROM_OHMS) {
                    $sealed[$id] = $moved = true;
                }
            }
            if (!$moved) {
                return $point;
            }
        }
    }

    public function signature(array $values, array $usual): string
    {
        $signature = '';
        foreach ($values as $slot => $value) {
            $signature .= $value === $usual[$slot] ? '' : "$slot=$value,";
        }

        return $signature;
    }

    public function rehung(SolvedState $state, array $values): SolvedState
    {
        return $state;
    }

    public function electricBraking(array $values, string $motor): float
    {
        throw CircuitError::unknownParameter($motor);
    }

    /**
     * @param list<float>         $values
     * @param array<string, bool> $sealed
     */
    private function solveUnmoved(array $values, array $sealed): PhasorPoint
    {
        $count = \count($this->nodeNumbers);
        $real = array_fill(0, $count, array_fill(0, $count + 1, 0.0));
        $imaginary = $real;
        $shape = 'open ';
        $conductive = [];
        $admittances = [];
        foreach ($this->netlist->elements as $id => $element) {
            [$ohms, $reactance] = $this->impedance($element, $values, $sealed[$id] ?? false);
            if ($ohms >= CircuitSolver::OPEN_FROM_OHMS) {
                $shape .= '0';
                continue;
            }
            $shape .= '1';
            [$a, $b] = [$this->nodeNumbers[$element->from], $this->nodeNumbers[$element->to]];
            $conductive[] = [$a, $b];
            $size = $ohms * $ohms + $reactance * $reactance;
            [$g, $s] = $admittances[$id] = [$ohms / $size, -$reactance / $size];
            foreach ([[$a, $a, 1.0], [$b, $b, 1.0], [$a, $b, -1.0], [$b, $a, -1.0]] as [$row, $column, $sign]) {
                $real[$row][$column] += $sign * $g;
                $imaginary[$row][$column] += $sign * $s;
            }
            if ($element->type === ElementType::AlternatingSource) {
                $volts = $values[$this->slots["$id.volts"]];
                $real[$a][$count] += $g * $volts;
                $imaginary[$a][$count] += $s * $volts;
                $real[$b][$count] -= $g * $volts;
                $imaginary[$b][$count] -= $s * $volts;
            }
        }
        for ($node = 0; $node < $count; ++$node) {
            $real[$node][$node] += self::LEAK;
        }
        $real[0] = [1.0, ...array_fill(0, $count, 0.0)];
        $imaginary[0] = array_fill(0, $count + 1, 0.0);
        $potentials = self::eliminate($real, $imaginary);

        return new PhasorPoint($this->netlist, $this->nodeNumbers, $this->islands[$shape] ??= self::islands($count, $conductive), $potentials, $admittances, $values, $this->slots, $sealed);
    }

    /** @param list<array{0: int, 1: int}> $conductive pairs of nodes */
    private static function islands(int $count, array $conductive): PotentialForest
    {
        $islands = new PotentialForest($count);
        foreach ($conductive as [$a, $b]) {
            $islands->join($a, $b, 0.0);
        }

        return $islands;
    }

    /**
     * @param list<float> $values
     *
     * @return array{0: float, 1: float} resistance and reactance in Ω
     */
    private function impedance(Element $element, array $values, bool $sealed): array
    {
        $id = $element->id;
        $ohms = $values[$this->slots["$id.ohms"]];
        if ($element->type === ElementType::Contactor && $ohms < CircuitSolver::OPEN_FROM_OHMS) {
            return $sealed
                ? [$values[$this->slots["$id.sealedOhms"]], $values[$this->slots["$id.sealedReactance"]]]
                : [$values[$this->slots["$id.unsealedOhms"]], $values[$this->slots["$id.unsealedReactance"]]];
        }

        return [max($ohms, self::LEAST_OHMS), $element->type === ElementType::Impedance ? $values[$this->slots["$id.reactance"]] : 0.0];
    }

    /**
     * @param array<int, array<int, float>> $real      square matrix with the right side as its last column
     * @param array<int, array<int, float>> $imaginary
     *
     * @return list<array{0: float, 1: float}>
     */
    private static function eliminate(array $real, array $imaginary): array
    {
        $count = \count($real);
        for ($column = 0; $column < $count; ++$column) {
            $best = $column;
            $size = 0.0;
            for ($row = $column; $row < $count; ++$row) {
                $here = $real[$row][$column] ** 2 + $imaginary[$row][$column] ** 2;
                if ($here > $size) {
                    [$best, $size] = [$row, $here];
                }
            }
            [$real[$column], $real[$best]] = [$real[$best], $real[$column]];
            [$imaginary[$column], $imaginary[$best]] = [$imaginary[$best], $imaginary[$column]];
            for ($row = $column + 1; $row < $count; ++$row) {
                $re = ($real[$row][$column] * $real[$column][$column] + $imaginary[$row][$column] * $imaginary[$column][$column]) / $size;
                $im = ($imaginary[$row][$column] * $real[$column][$column] - $real[$row][$column] * $imaginary[$column][$column]) / $size;
                if ($re === 0.0 && $im === 0.0) {
                    continue;
                }
                for ($n = $column; $n <= $count; ++$n) {
                    $real[$row][$n] -= $re * $real[$column][$n] - $im * $imaginary[$column][$n];
                    $imaginary[$row][$n] -= $re * $imaginary[$column][$n] + $im * $real[$column][$n];
                }
            }
        }
        $solution = [];
        for ($row = $count - 1; $row >= 0; --$row) {
            $re = $real[$row][$count];
            $im = $imaginary[$row][$count];
            for ($n = $row + 1; $n < $count; ++$n) {
                $re -= $real[$row][$n] * $solution[$n][0] - $imaginary[$row][$n] * $solution[$n][1];
                $im -= $real[$row][$n] * $solution[$n][1] + $imaginary[$row][$n] * $solution[$n][0];
            }
            $size = $real[$row][$row] ** 2 + $imaginary[$row][$row] ** 2;
            $solution[$row] = [($re * $real[$row][$row] + $im * $imaginary[$row][$row]) / $size, ($im * $real[$row][$row] - $re * $imaginary[$row][$row]) / $size];
        }
        ksort($solution);

        return array_values($solution);
    }
}

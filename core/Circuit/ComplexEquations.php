<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * The node equations of an alternating-current circuit, for several sets of sources at once.
 */
final class ComplexEquations
{
    /** Conductance in S from each node to ground, so that what floats has a potential. */
    private const LEAK = 1e-12;

    /** Least resistance of a branch in Ω: closed contacts count as this. */
    private const LEAST_OHMS = 1e-6;

    /** @var array<int, array<int, float>> with the right sides as its last columns */
    private array $real;

    /** @var array<int, array<int, float>> */
    private array $imaginary;

    /** @param int $sets of sources */
    public function __construct(private readonly int $nodes, private readonly int $sets)
    {
        $this->real = $this->imaginary = array_fill(0, $nodes, array_fill(0, $nodes + $sets, 0.0));
        for ($node = 0; $node < $nodes; ++$node) {
            $this->real[$node][$node] = self::LEAK;
        }
    }

    /** @return array{0: float, 1: float} conductance and susceptance in S */
    public static function admittance(float $ohms, float $reactance): array
    {
        $ohms = max($ohms, self::LEAST_OHMS);
        $size = $ohms * $ohms + $reactance * $reactance;

        return [$ohms / $size, -$reactance / $size];
    }

    /** @param array{0: float, 1: float} $admittance */
    public function branch(int $a, int $b, array $admittance): void
    {
        [$g, $s] = $admittance;
        $this->real[$a][$a] += $g;
        $this->real[$b][$b] += $g;
        $this->real[$a][$b] -= $g;
        $this->real[$b][$a] -= $g;
        $this->imaginary[$a][$a] += $s;
        $this->imaginary[$b][$b] += $s;
        $this->imaginary[$a][$b] -= $s;
        $this->imaginary[$b][$a] -= $s;
    }

    /**
     * A voltage in series with a branch, plus at its first node.
     *
     * @param array{0: float, 1: float} $admittance of the branch
     * @param array{0: float, 1: float} $volts
     */
    public function drive(int $a, int $b, array $admittance, array $volts, int $set): void
    {
        $re = $admittance[0] * $volts[0] - $admittance[1] * $volts[1];
        $im = $admittance[0] * $volts[1] + $admittance[1] * $volts[0];
        $this->real[$a][$this->nodes + $set] += $re;
        $this->imaginary[$a][$this->nodes + $set] += $im;
        $this->real[$b][$this->nodes + $set] -= $re;
        $this->imaginary[$b][$this->nodes + $set] -= $im;
    }

    /** A current of 1 A taken from one node and given to another. */
    public function inject(int $from, int $to, int $set): void
    {
        $this->real[$from][$this->nodes + $set] -= 1.0;
        $this->real[$to][$this->nodes + $set] += 1.0;
    }

    /**
     * By Gaussian elimination with partial pivoting; the first node is ground.
     *
     * @return list<list<array{0: float, 1: float}>> potential of each node in V, by set of sources
     */
    public function solutions(): array
    {
        [$nodes, $columns] = [$this->nodes, $this->nodes + $this->sets];
        $this->real[0] = $this->imaginary[0] = array_fill(0, $columns, 0.0);
        $this->real[0][0] = 1.0;
        [$real, $imaginary] = [$this->real, $this->imaginary];
        $neighbours = [];
        for ($column = 0; $column < $nodes; ++$column) {
            $best = $column;
            $size = 0.0;
            for ($row = $column; $row < $nodes; ++$row) {
                [$re, $im] = [$real[$row][$column], $imaginary[$row][$column]];
                $here = $re * $re + $im * $im;
                if ($here > $size) {
                    [$best, $size] = [$row, $here];
                }
            }
            if ($best !== $column) {
                [$real[$column], $real[$best]] = [$real[$best], $real[$column]];
                [$imaginary[$column], $imaginary[$best]] = [$imaginary[$best], $imaginary[$column]];
            }
            [$pivotRe, $pivotIm] = [$real[$column], $imaginary[$column]];
            $filled = [];
            for ($n = $column + 1; $n < $columns; ++$n) {
                if ($pivotRe[$n] !== 0.0 || $pivotIm[$n] !== 0.0) {
                    $filled[] = $n;
                }
            }
            $neighbours[$column] = $filled;
            for ($row = $column + 1; $row < $nodes; ++$row) {
                [$a, $b] = [$real[$row][$column], $imaginary[$row][$column]];
                if ($a === 0.0 && $b === 0.0) {
                    continue;
                }
                $re = ($a * $pivotRe[$column] + $b * $pivotIm[$column]) / $size;
                $im = ($b * $pivotRe[$column] - $a * $pivotIm[$column]) / $size;
                foreach ($filled as $n) {
                    $real[$row][$n] -= $re * $pivotRe[$n] - $im * $pivotIm[$n];
                    $imaginary[$row][$n] -= $re * $pivotIm[$n] + $im * $pivotRe[$n];
                }
            }
        }

        return array_map(static fn (int $set): array => self::substituted($real, $imaginary, $neighbours, $nodes, $nodes + $set), range(0, $this->sets - 1));
    }

    /**
     * @param array<int, array<int, float>> $real      upper triangle
     * @param array<int, array<int, float>> $imaginary
     * @param array<int, list<int>>         $neighbours columns that are not zero, by row
     *
     * @return list<array{0: float, 1: float}>
     */
    private static function substituted(array $real, array $imaginary, array $neighbours, int $nodes, int $column): array
    {
        /** @var list<array{0: float, 1: float}> $solution */
        $solution = array_fill(0, $nodes, [0.0, 0.0]);
        for ($row = $nodes - 1; $row >= 0; --$row) {
            $re = $real[$row][$column];
            $im = $imaginary[$row][$column];
            foreach ($neighbours[$row] as $n) {
                if ($n >= $nodes) {
                    break;
                }
                [$a, $b] = [$real[$row][$n], $imaginary[$row][$n]];
                $re -= $a * $solution[$n][0] - $b * $solution[$n][1];
                $im -= $a * $solution[$n][1] + $b * $solution[$n][0];
            }
            [$a, $b] = [$real[$row][$row], $imaginary[$row][$row]];
            $size = $a * $a + $b * $b;
            $solution[$row] = [($re * $a + $im * $b) / $size, ($im * $a - $re * $b) / $size];
        }

        return $solution;
    }
}

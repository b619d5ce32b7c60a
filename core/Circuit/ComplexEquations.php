<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * The equations of an alternating-current circuit: a row for each node, then one for each flux.
 */
final class ComplexEquations
{
    /** Conductance in S from each node to ground, so that what floats has a potential. */
    private const LEAK = 1e-12;

    /** Least resistance of a branch in Ω: closed contacts count as this. */
    private const LEAST_OHMS = 1e-6;

    /** @var array<int, array<int, float>> with the right side as its last column */
    private array $real;

    /** @var array<int, array<int, float>> */
    private array $imaginary;

    public function __construct(private readonly int $count, private readonly int $nodes)
    {
        $this->real = $this->imaginary = array_fill(0, $count, array_fill(0, $count + 1, 0.0));
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

    /** @param array{0: float, 1: float} $admittance */
    public function drive(int $a, int $b, array $admittance, float $volts): void
    {
        foreach ([[$a, $volts], [$b, -$volts]] as [$node, $signed]) {
            $this->real[$node][$this->count] += $admittance[0] * $signed;
            $this->imaginary[$node][$this->count] += $admittance[1] * $signed;
        }
    }

    /**
     * A winding whose voltage holds `turns` times a flux.
     *
     * @param array{0: float, 1: float} $admittance
     * @param array{0: float, 1: float} $turns      in phase with the flux, and ahead of it
     * @param bool                      $magnetises whether its ampere-turns count in the balance of that flux
     */
    public function onFlux(int $a, int $b, int $flux, array $admittance, array $turns, bool $magnetises): void
    {
        $re = $admittance[0] * $turns[0] - $admittance[1] * $turns[1];
        $im = $admittance[0] * $turns[1] + $admittance[1] * $turns[0];
        foreach ([[$a, -1.0], [$b, 1.0]] as [$node, $sign]) {
            $this->real[$node][$flux] += $sign * $re;
            $this->imaginary[$node][$flux] += $sign * $im;
            if ($magnetises) {
                $this->real[$flux][$node] -= $sign * $re;
                $this->imaginary[$flux][$node] -= $sign * $im;
            }
        }
        if ($magnetises) {
            $this->real[$flux][$flux] -= $turns[0] * $re;
            $this->imaginary[$flux][$flux] -= $turns[0] * $im;
        }
    }

    /** @param array{0: float, 1: float} $admittance what the flux drives, referred to one turn */
    public function load(int $flux, array $admittance): void
    {
        $this->real[$flux][$flux] -= $admittance[0];
        $this->imaginary[$flux][$flux] -= $admittance[1];
    }

    /**
     * By Gaussian elimination with partial pivoting; the first node is ground.
     *
     * @return list<array{0: float, 1: float}> potentials in V, then fluxes in V per turn
     */
    public function solution(): array
    {
        $this->real[0] = [1.0, ...array_fill(0, $this->count, 0.0)];
        $this->imaginary[0] = array_fill(0, $this->count + 1, 0.0);

        return self::eliminate($this->real, $this->imaginary);
    }

    /**
     * @param array<int, array<int, float>> $real
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

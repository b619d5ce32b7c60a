<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * The node equations of an alternating-current circuit, for several sets of sources at once.
 *
 * Solved by star-mesh elimination, as on direct current: a node with admittances y₁…yₙ is replaced by yᵢ·yⱼ/Σy between
 * each pair of its neighbours, and a current fed into it is shared among them by yᵢ/Σy. The node with the fewest
 * neighbours goes first, so that a circuit that is nearly a tree stays one. Admittances are only added up.
 */
final class ComplexEquations
{
    /** Conductance in S from each node to ground, so that what floats has a potential. */
    private const LEAK = 1e-12;

    /** Least resistance of a branch in Ω: closed contacts count as this. */
    private const LEAST_OHMS = 1e-6;

    /** @var array<int, float> conductance to ground, node 0 */
    private array $groundG;

    /** @var array<int, float> susceptance to ground */
    private array $groundS;

    /** @var array<int, array<int, float>> conductance between two other nodes, both ways */
    private array $g;

    /** @var array<int, array<int, float>> susceptance between two other nodes, both ways */
    private array $s;

    /** @var array<int, array<int, float>> current fed into each node, by set of sources */
    private array $fedRe;

    /** @var array<int, array<int, float>> */
    private array $fedIm;

    /** @param int $sets of sources */
    public function __construct(private readonly int $nodes, private readonly int $sets)
    {
        $this->groundG = array_fill(0, $nodes, self::LEAK);
        $this->groundS = array_fill(0, $nodes, 0.0);
        $this->g = $this->s = array_fill(0, $nodes, []);
        $this->fedRe = $this->fedIm = array_fill(0, $nodes, array_fill(0, $sets, 0.0));
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
        if ($a === 0 || $b === 0) {
            $this->groundG[$a + $b] += $admittance[0];
            $this->groundS[$a + $b] += $admittance[1];

            return;
        }
        if ($a === $b) {
            return;
        }
        $this->g[$a][$b] = $this->g[$b][$a] = ($this->g[$a][$b] ?? 0.0) + $admittance[0];
        $this->s[$a][$b] = $this->s[$b][$a] = ($this->s[$a][$b] ?? 0.0) + $admittance[1];
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
        $this->fedRe[$a][$set] += $re;
        $this->fedIm[$a][$set] += $im;
        $this->fedRe[$b][$set] -= $re;
        $this->fedIm[$b][$set] -= $im;
    }

    /** A current of 1 A taken from one node and given to another. */
    public function inject(int $from, int $to, int $set): void
    {
        $this->fedRe[$from][$set] -= 1.0;
        $this->fedRe[$to][$set] += 1.0;
    }

    /** @return list<list<array{0: float, 1: float}>> potential of each node in V, by set of sources */
    public function solutions(): array
    {
        [$g, $s, $groundG, $groundS, $fedRe, $fedIm] = [$this->g, $this->s, $this->groundG, $this->groundS, $this->fedRe, $this->fedIm];
        $left = array_map(\count(...), $g);
        unset($left[0]);
        $steps = [];
        while ($left !== []) {
            $node = (int) array_search(min($left), $left, true);
            unset($left[$node]);
            $sumG = $groundG[$node] + array_sum($g[$node]);
            $sumS = $groundS[$node] + array_sum($s[$node]);
            $size = $sumG * $sumG + $sumS * $sumS;
            $neighbours = array_keys($g[$node]);
            foreach ($neighbours as $number => $i) {
                // Share of this neighbour: y/Σy.
                [$a, $b] = [$g[$node][$i], $s[$node][$i]];
                $shareRe = ($a * $sumG + $b * $sumS) / $size;
                $shareIm = ($b * $sumG - $a * $sumS) / $size;
                foreach ($fedRe[$node] as $set => $re) {
                    $im = $fedIm[$node][$set];
                    $fedRe[$i][$set] += $shareRe * $re - $shareIm * $im;
                    $fedIm[$i][$set] += $shareRe * $im + $shareIm * $re;
                }
                for ($m = 0; $m < $number; ++$m) {
                    $j = $neighbours[$m];
                    [$c, $d] = [$g[$node][$j], $s[$node][$j]];
                    $g[$i][$j] = $g[$j][$i] = ($g[$i][$j] ?? 0.0) + $shareRe * $c - $shareIm * $d;
                    $s[$i][$j] = $s[$j][$i] = ($s[$i][$j] ?? 0.0) + $shareRe * $d + $shareIm * $c;
                }
                $groundG[$i] += $shareRe * $groundG[$node] - $shareIm * $groundS[$node];
                $groundS[$i] += $shareRe * $groundS[$node] + $shareIm * $groundG[$node];
                unset($g[$i][$node], $s[$i][$node]);
                $left[$i] = \count($g[$i]);
            }
            $steps[] = [$node, $sumG / $size, -$sumS / $size];
        }

        return $this->substituted($steps, $g, $s, $fedRe, $fedIm);
    }

    /**
     * Potentials, in the reverse order of elimination.
     *
     * @param list<array{0: int, 1: float, 2: float}> $steps node, and 1/Σy of its admittances when it was eliminated
     * @param array<int, array<int, float>> $g
     * @param array<int, array<int, float>> $s
     * @param array<int, array<int, float>> $fedRe
     * @param array<int, array<int, float>> $fedIm
     *
     * @return list<list<array{0: float, 1: float}>>
     */
    private function substituted(array $steps, array $g, array $s, array $fedRe, array $fedIm): array
    {
        $solutions = [];
        for ($set = 0; $set < $this->sets; ++$set) {
            /** @var list<array{0: float, 1: float}> $volts */
            $volts = array_fill(0, $this->nodes, [0.0, 0.0]);
            for ($step = \count($steps) - 1; $step >= 0; --$step) {
                [$node, $inverseRe, $inverseIm] = $steps[$step];
                [$re, $im] = [$fedRe[$node][$set], $fedIm[$node][$set]];
                foreach ($g[$node] as $i => $conductance) {
                    $susceptance = $s[$node][$i];
                    $re += $conductance * $volts[$i][0] - $susceptance * $volts[$i][1];
                    $im += $conductance * $volts[$i][1] + $susceptance * $volts[$i][0];
                }
                $volts[$node] = [$re * $inverseRe - $im * $inverseIm, $re * $inverseIm + $im * $inverseRe];
            }
            $solutions[] = $volts;
        }

        return $solutions;
    }
}

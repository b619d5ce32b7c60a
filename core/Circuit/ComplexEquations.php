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
    /** Conductance in S to ground from one node of each part that floats, so that it has a potential. */
    private const LEAK = 1e-12;

    /** Least resistance of a branch in Ω: closed contacts count as this. */
    private const LEAST_OHMS = 1e-6;

    /** @var array<int, float> conductances, in the places of the star mesh */
    private array $g;

    /** @var array<int, float> susceptances */
    private array $s;

    /** @var array<int, array<int, float>> current fed into each node, by set of sources */
    private array $fedRe;

    /** @var array<int, array<int, float>> */
    private array $fedIm;

    /** @param int $sets of sources */
    public function __construct(private readonly StarMesh $mesh, int $sets)
    {
        $this->g = $this->s = array_fill(0, $mesh->size, 0.0);
        foreach ($mesh->floating as $node) {
            $this->g[$node] = self::LEAK;
        }
        $this->fedRe = $this->fedIm = array_fill(0, $sets, array_fill(0, $mesh->nodes, 0.0));
    }

    /** @return array{0: float, 1: float} conductance and susceptance in S */
    public static function admittance(float $ohms, float $reactance): array
    {
        if ($ohms < self::LEAST_OHMS) {
            $ohms = self::LEAST_OHMS;
        }
        $size = $ohms * $ohms + $reactance * $reactance;

        return [$ohms / $size, -$reactance / $size];
    }

    /**
     * Branches without a voltage of their own.
     *
     * @param list<array{0: int, 1: int, 2: int|null}> $impedances place in the star mesh, and slots of resistance and reactance
     * @param list<float>                              $values
     */
    public function impedances(array $impedances, array $values): void
    {
        foreach ($impedances as [$place, $ohmsSlot, $reactanceSlot]) {
            $ohms = $values[$ohmsSlot] < self::LEAST_OHMS ? self::LEAST_OHMS : $values[$ohmsSlot];
            if ($reactanceSlot === null) {
                $this->g[$place] += 1.0 / $ohms;
                continue;
            }
            $reactance = $values[$reactanceSlot];
            $size = $ohms * $ohms + $reactance * $reactance;
            $this->g[$place] += $ohms / $size;
            $this->s[$place] -= $reactance / $size;
        }
    }

    /**
     * @param int                       $place      of the branch in the star mesh
     * @param array{0: float, 1: float} $admittance
     */
    public function branch(int $place, array $admittance): void
    {
        $this->g[$place] += $admittance[0];
        $this->s[$place] += $admittance[1];
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
        $this->fedRe[$set][$a] += $re;
        $this->fedIm[$set][$a] += $im;
        $this->fedRe[$set][$b] -= $re;
        $this->fedIm[$set][$b] -= $im;
    }

    /** A current of 1 A taken from one node and given to another. */
    public function inject(int $from, int $to, int $set): void
    {
        $this->fedRe[$set][$from] -= 1.0;
        $this->fedRe[$set][$to] += 1.0;
    }

    /** @return array{0: list<array<int, float>>, 1: list<array<int, float>>} real and imaginary part of each node's potential in V, by set of sources and node */
    public function solutions(): array
    {
        [$g, $s, $fedRe, $fedIm] = [$this->g, $this->s, $this->fedRe, $this->fedIm];
        $inversesG = $inversesS = [];
        foreach ($this->mesh->order as $step => $node) {
            $places = $this->mesh->toNeighbours[$step];
            $sumG = $g[$node];
            $sumS = $s[$node];
            foreach ($places as $place) {
                $sumG += $g[$place];
                $sumS += $s[$place];
            }
            $size = $sumG * $sumG + $sumS * $sumS;
            $inverseG = $sumG / $size;
            $inverseS = -$sumS / $size;
            $inversesG[] = $inverseG;
            $inversesS[] = $inverseS;
            $grounded = $this->mesh->grounded[$step];
            $sets = $this->mesh->sets[$step];
            $mesh = $this->mesh->mesh[$step];
            $pair = 0;
            foreach ($this->mesh->neighbours[$step] as $number => $i) {
                // Share of this neighbour: y/Σy.
                $a = $g[$places[$number]];
                $b = $s[$places[$number]];
                $shareRe = $a * $inverseG - $b * $inverseS;
                $shareIm = $a * $inverseS + $b * $inverseG;
                foreach ($sets as $set) {
                    $re = $fedRe[$set][$node];
                    $im = $fedIm[$set][$node];
                    $fedRe[$set][$i] += $shareRe * $re - $shareIm * $im;
                    $fedIm[$set][$i] += $shareRe * $im + $shareIm * $re;
                }
                for ($m = 0; $m < $number; ++$m) {
                    $c = $g[$places[$m]];
                    $d = $s[$places[$m]];
                    $place = $mesh[$pair++];
                    $g[$place] += $shareRe * $c - $shareIm * $d;
                    $s[$place] += $shareRe * $d + $shareIm * $c;
                }
                if ($grounded) {
                    $g[$i] += $shareRe * $g[$node] - $shareIm * $s[$node];
                    $s[$i] += $shareRe * $s[$node] + $shareIm * $g[$node];
                }
            }
        }

        return $this->substituted($inversesG, $inversesS, $g, $s, $fedRe, $fedIm);
    }

    /**
     * Potentials, in the reverse order of elimination.
     *
     * @param list<float>                   $inversesG 1/Σy of each step's node when it was eliminated: real part
     * @param list<float>                   $inversesS imaginary part
     * @param array<int, float>             $g
     * @param array<int, float>             $s
     * @param array<int, array<int, float>> $fedRe
     * @param array<int, array<int, float>> $fedIm
     *
     * @return array{0: list<array<int, float>>, 1: list<array<int, float>>}
     */
    private function substituted(
        array $inversesG,
        array $inversesS,
        array $g,
        array $s,
        array $fedRe,
        array $fedIm,
    ): array {
        $solvedRe = $solvedIm = [];
        $order = $this->mesh->order;
        $zeros = array_fill(0, $this->mesh->nodes, 0.0);
        foreach ($fedRe as $set => $fed) {
            $voltsRe = $voltsIm = $zeros;
            for ($step = \count($order) - 1; $step >= 0; --$step) {
                $node = $order[$step];
                $places = $this->mesh->toNeighbours[$step];
                $re = $fed[$node];
                $im = $fedIm[$set][$node];
                foreach ($this->mesh->neighbours[$step] as $position => $i) {
                    $place = $places[$position];
                    $re += $g[$place] * $voltsRe[$i] - $s[$place] * $voltsIm[$i];
                    $im += $g[$place] * $voltsIm[$i] + $s[$place] * $voltsRe[$i];
                }
                $voltsRe[$node] = $re * $inversesG[$step] - $im * $inversesS[$step];
                $voltsIm[$node] = $re * $inversesS[$step] + $im * $inversesG[$step];
            }
            $solvedRe[] = $voltsRe;
            $solvedIm[] = $voltsIm;
        }

        return [$solvedRe, $solvedIm];
    }
}

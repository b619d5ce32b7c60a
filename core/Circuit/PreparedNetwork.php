<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * A network with its resistances, eliminated: what stays while only sources and duties change.
 */
final class PreparedNetwork
{
    /** @var array<int, array<int, float>>|null fall of each port's current for a volt of each port's EMF, in S, once it is known */
    public ?array $coupling = null;

    private readonly Elimination $elimination;

    /** @var array<int, float> conductance of each edge when the first of its nodes was eliminated */
    private readonly array $edges;

    /** @var list<float> reciprocal of the sum of the conductances at each step's node */
    private readonly array $pivots;

    /** @var list<float> zero for each node */
    private readonly array $zeros;

    /**
     * @param array<int, float> $values
     * @param list<int>         $ohmsSlots place of each branch's resistance among them; only those of live branches are
     *     read
     */
    public function __construct(
        public readonly LiveNetwork $network,
        array $values,
        array $ohmsSlots,
        public readonly ?PotentialForest $joined = null,
    ) {
        $this->elimination = $elimination = $network->elimination();
        $this->zeros = array_fill(0, \count($network->representative), 0.0);
        $g = array_fill(0, $elimination->edgeCount, 0.0);
        foreach ($elimination->edgeOfBranch as $branch => $edge) {
            $g[$edge] += 1.0 / $values[$ohmsSlots[$branch]];
        }
        $pivots = [];
        foreach ($elimination->edges as $step => $edges) {
            $targets = $elimination->targets[$step];
            $count = \count($edges);
            if ($count === 2) {
                // Two neighbours are by far the commonest case: two resistances in series.
                [$e0, $e1] = $edges;
                $pivot = 1.0 / ($g[$e0] + $g[$e1]);
                $g[$targets[0]] += $g[$e0] * $g[$e1] * $pivot;
            } else {
                $sum = 0.0;
                foreach ($edges as $edge) {
                    $sum += $g[$edge];
                }
                $pivot = 1.0 / $sum;
                $target = 0;
                for ($a = 0; $a < $count; ++$a) {
                    $share = $g[$edges[$a]] * $pivot;
                    for ($b = $a + 1; $b < $count; ++$b) {
                        $g[$targets[$target++]] += $share * $g[$edges[$b]];
                    }
                }
            }
            $pivots[] = $pivot;
        }
        $this->edges = $g;
        $this->pivots = $pivots;
    }

    /** @return list<float> a current of nothing into each node, to add others to */
    public function noCurrent(): array
    {
        return $this->zeros;
    }

    /**
     * Potentials of the live nodes for currents fed into them.
     *
     * @param array<int, float> $injected by live node, in A; what returns does so through ground
     *
     * @return array<int, float> by node, in V, ground included; 0 for those that are not live
     */
    public function potentials(array $injected): array
    {
        return $this->substituted($this->swept($injected, 0), 0);
    }

    /**
     * Potentials of the late nodes alone.
     *
     * @param array<int, float> $injected by live node
     * @param bool              $lateOnly whether nothing is fed in at other nodes
     *
     * @return array<int, float> by late node, ground included
     */
    public function lateVolts(array $injected, bool $lateOnly): array
    {
        return $this->substituted(
            $this->swept($injected, $lateOnly ? $this->elimination->firstLate : 0),
            $this->elimination->firstLate,
        );
    }

    /**
     * Currents carried forward over the eliminated nodes.
     *
     * @param array<int, float> $injected
     *
     * @return array<int, float>
     */
    private function swept(array $injected, int $from): array
    {
        $g = $this->edges;
        $nodes = $this->elimination->nodes;
        $count = \count($nodes);
        for ($step = $from; $step < $count; ++$step) {
            $current = $injected[$nodes[$step]];
            if ($current !== 0.0) {
                $share = $current * $this->pivots[$step];
                $edges = $this->elimination->edges[$step];
                foreach ($this->elimination->neighbours[$step] as $position => $neighbour) {
                    $injected[$neighbour] += $share * $g[$edges[$position]];
                }
            }
        }

        return $injected;
    }

    /**
     * @param array<int, float> $injected
     *
     * @return array<int, float>
     */
    private function substituted(array $injected, int $to): array
    {
        $g = $this->edges;
        $volts = $this->zeros;
        $nodes = $this->elimination->nodes;
        for ($step = \count($nodes) - 1; $step >= $to; --$step) {
            $edges = $this->elimination->edges[$step];
            $node = $nodes[$step];
            $sum = $injected[$node];
            foreach ($this->elimination->neighbours[$step] as $position => $neighbour) {
                $sum += $g[$edges[$position]] * $volts[$neighbour];
            }
            $volts[$node] = $sum * $this->pivots[$step];
        }

        return $volts;
    }
}

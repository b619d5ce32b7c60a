<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * The part of a circuit in which current can flow, prepared for repeated solving.
 *
 * Which branches are open fixes the shape; the resistances may then change from one
 * solve to the next. Three exact reductions come first: ideal branches (0 Ω) join
 * their nodes with a fixed potential between them, a floating island is tied to
 * ground at one node (no current can use that tie), and dead ends, which carry no
 * current, take the potential of the node they hang on.
 *
 * What remains is solved by eliminating one node after the other with the star-mesh
 * transform: conductances g1..gn that meet in a node are replaced by gi·gj/Σg between
 * each pair of neighbours. It is Gaussian elimination on the nodal equations, but it
 * only adds and multiplies positive numbers, so nothing cancels between milliohms
 * and gigaohms (compare Grassmann, Taksar and Heyman 1985 for Markov chains).
 */
final class LiveNetwork
{
    /** @var list<int> node → representative live node, 0 is ground */
    public readonly array $representative;

    /** @var list<int> node → number of its island, 0 is the one with ground */
    public readonly array $island;

    /** @var array<int, true> branches that can carry current, those across an ideal branch included */
    public readonly array $liveBranches;

    /** The live branches as a text: equal in networks in which the same branches are live. */
    public readonly string $liveKey;

    /** @var list<array{node: int, neighbours: list<int>, edges: list<int>, targets: list<int>}> */
    private array $steps = [];

    /** @var array<int, int> live branch → edge */
    private array $edgeOfBranch = [];

    private int $edgeCount = 0;

    /** @var list<float> conductance of each edge after elimination */
    private array $edges = [];

    /** @var list<float> reciprocal of the conductance sum of each step's node */
    private array $pivots = [];

    /**
     * @param int                                $nodeCount nodes are 0 (ground) to $nodeCount − 1
     * @param array<int, array{0: int, 1: int}>  $branches  conductive branches as node pairs, by branch number
     * @param array<int, true>                   $kept      branches whose nodes never count as dead ends: sources
     * @param PotentialForest                    $joined    nodes joined by ideal branches
     */
    public function __construct(int $nodeCount, array $branches, array $kept, PotentialForest $joined)
    {
        $root = [];
        for ($node = 0; $node < $nodeCount; ++$node) {
            $root[] = $joined->root($node);
        }
        $ground = $root[0];
        $islands = new PotentialForest($nodeCount);
        foreach ($branches as [$from, $to]) {
            $islands->join($root[$from], $root[$to], 0.0);
        }
        $tie = [];
        $numbers = [];
        $island = [];
        foreach ($root as $node => $supernode) {
            $islandRoot = $islands->root($supernode);
            if ($islandRoot === $islands->root($ground)) {
                $island[$node] = 0;
            } else {
                $island[$node] = $numbers[$islandRoot] ??= \count($numbers) + 1;
                $tie[$islandRoot] ??= $supernode;
            }
        }
        $this->island = array_values($island);
        foreach ($root as $node => $supernode) {
            $tied = $tie[$islands->root($supernode)] ?? null;
            if ($supernode === $ground || $supernode === $tied) {
                $root[$node] = 0;
            }
        }
        [$live, $hangsOn] = $this->withoutDeadEnds($root, $branches, $kept);
        $shunted = array_filter($branches, static fn (array $ends): bool => $root[$ends[0]] === $root[$ends[1]]);
        $this->liveBranches = array_fill_keys(array_keys($live + $shunted), true);
        $this->liveKey = implode(',', array_keys($this->liveBranches));
        $representative = [];
        foreach ($root as $node => $supernode) {
            while (isset($hangsOn[$supernode])) {
                $supernode = $hangsOn[$supernode];
            }
            $representative[$node] = $supernode;
        }
        $this->representative = array_values($representative);
        $this->prepareElimination($live);
    }

    /**
     * @param list<int>                         $root
     * @param array<int, array{0: int, 1: int}> $branches
     * @param array<int, true>                  $kept
     *
     * @return array{array<int, array{0: int, 1: int}>, array<int, int>} live branches, and the dead ends with what they hang on
     */
    private function withoutDeadEnds(array $root, array $branches, array $kept): array
    {
        $live = [];
        $at = [];
        foreach ($branches as $branch => [$from, $to]) {
            $a = $root[$from];
            $b = $root[$to];
            if ($a !== $b) {
                $live[$branch] = [$a, $b];
                $at[$a][$branch] = true;
                $at[$b][$branch] = true;
            }
        }
        $hangsOn = [];
        $queue = array_keys($at);
        while ($queue !== []) {
            $node = array_pop($queue);
            if ($node === 0 || \count($at[$node]) !== 1) {
                continue;
            }
            $branch = array_key_first($at[$node]);
            if (isset($kept[$branch])) {
                continue;
            }
            [$a, $b] = $live[$branch];
            $other = $a === $node ? $b : $a;
            $hangsOn[$node] = $other;
            unset($live[$branch], $at[$node][$branch], $at[$other][$branch]);
            $queue[] = $other;
        }

        return [$live, $hangsOn];
    }

    /** @param array<int, array{0: int, 1: int}> $live */
    private function prepareElimination(array $live): void
    {
        $neighbours = [];
        $connect = function (int $a, int $b) use (&$neighbours): int {
            return $neighbours[$a][$b] ??= $neighbours[$b][$a] = $this->edgeCount++;
        };
        foreach ($live as $branch => [$a, $b]) {
            $this->edgeOfBranch[$branch] = $connect($a, $b);
        }
        $remaining = $neighbours;
        unset($remaining[0]);
        while ($remaining !== []) {
            $best = array_key_first($remaining);
            foreach ($remaining as $node => $_) {
                if (\count($neighbours[$node]) < \count($neighbours[$best])) {
                    $best = $node;
                }
            }
            unset($remaining[$best]);
            $around = array_keys($neighbours[$best]);
            $edges = array_values($neighbours[$best]);
            foreach ($around as $node) {
                unset($neighbours[$node][$best]);
            }
            $targets = [];
            foreach ($around as $position => $a) {
                foreach (\array_slice($around, $position + 1) as $b) {
                    $targets[] = $connect($a, $b);
                }
            }
            unset($neighbours[$best]);
            $this->steps[] = ['node' => $best, 'neighbours' => $around, 'edges' => $edges, 'targets' => $targets];
        }
    }

    /**
     * Takes the conductances in; call before {@see potentials()}.
     *
     * @param array<int, float> $conductances by branch number, in S; only live branches are read
     */
    public function factorise(array $conductances): void
    {
        $g = $this->edgeCount > 0 ? array_fill(0, $this->edgeCount, 0.0) : [];
        foreach ($this->edgeOfBranch as $branch => $edge) {
            $g[$edge] += $conductances[$branch];
        }
        $pivots = [];
        foreach ($this->steps as ['edges' => $edges, 'targets' => $targets]) {
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
        $this->edges = array_values($g);
        $this->pivots = $pivots;
    }

    /**
     * Adds a current that leaves the network at one node and comes back at another.
     *
     * @param array<int, float> $injected by live node
     *
     * @param-out array<int, float> $injected
     */
    public static function inject(array &$injected, int $into, int $from, float $current): void
    {
        $injected[$into] = ($injected[$into] ?? 0.0) + $current;
        $injected[$from] = ($injected[$from] ?? 0.0) - $current;
    }

    /**
     * Potentials of the live nodes for currents fed into them.
     *
     * @param array<int, float> $injected by live node, in A; what returns does so through ground
     *
     * @return array<int, float> by live node, in V, ground included
     */
    public function potentials(array $injected): array
    {
        $g = $this->edges;
        foreach ($this->steps as $number => ['node' => $node, 'neighbours' => $neighbours, 'edges' => $edges]) {
            $current = $injected[$node] ?? 0.0;
            if ($current !== 0.0) {
                $share = $current * $this->pivots[$number];
                foreach ($neighbours as $position => $neighbour) {
                    $injected[$neighbour] = ($injected[$neighbour] ?? 0.0) + $share * $g[$edges[$position]];
                }
            }
        }
        $volts = [0 => 0.0];
        for ($number = \count($this->steps) - 1; $number >= 0; --$number) {
            ['node' => $node, 'neighbours' => $neighbours, 'edges' => $edges] = $this->steps[$number];
            $sum = $injected[$node] ?? 0.0;
            foreach ($neighbours as $position => $neighbour) {
                $sum += $g[$edges[$position]] * $volts[$neighbour];
            }
            $volts[$node] = $sum * $this->pivots[$number];
        }

        return $volts;
    }
}

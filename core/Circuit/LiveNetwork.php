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

    /** @var list<array{node: int, neighbours: list<int>, edges: list<int>, targets: list<int>}> */
    private array $steps = [];

    /** First step that eliminates a late node. */
    private int $firstLate = 0;

    /** @var array<int, int> live branch → edge */
    private array $edgeOfBranch = [];

    private int $edgeCount = 0;

    /** @var array<int, array{0: int, 1: int}> live branches as pairs of the nodes that they lead to, by branch number */
    private readonly array $pairs;

    /** @var array<int, true> nodes of these at zero potential: ground, and one of each island that floats */
    private readonly array $zero;

    /** Node that ground is among those of {@see $pairs}. */
    private readonly int $ground;

    /** @var array<int, list<int>>|null branches at each of these nodes, once they were asked for */
    private ?array $at = null;

    /** Whether the order of elimination is known. */
    private bool $ordered = false;

    /** @var list<float> conductance of each edge after elimination */
    private array $edges = [];

    /** @var list<float> reciprocal of the conductance sum of each step's node */
    private array $pivots = [];

    /**
     * @param int                                $nodeCount nodes are 0 (ground) to $nodeCount − 1
     * @param array<int, array{0: int, 1: int}>  $branches  conductive branches as node pairs, by branch number
     * @param array<int, true>                   $kept      branches whose nodes never count as dead ends: sources
     * @param PotentialForest                    $joined    nodes joined by ideal branches
     * @param list<int>                          $late      nodes to eliminate last, so that {@see lateVolts()} is cheap for them
     */
    public function __construct(int $nodeCount, array $branches, private readonly array $kept, PotentialForest $joined, private readonly array $late = [])
    {
        $root = range(0, $nodeCount - 1);
        if (!$joined->isTrivial()) {
            $root = array_map($joined->root(...), $root);
        }
        $ground = $root[0];
        $islandOf = self::islands($root, $branches);
        [$this->pairs, $hangsOn] = self::withoutDeadEnds($root, $branches, $kept);
        $zero = [$ground => true];
        $numbers = [$islandOf[$ground] => 0];
        $island = $representative = [];
        foreach ($root as $supernode) {
            $of = $islandOf[$supernode];
            while (isset($hangsOn[$supernode])) {
                $supernode = $hangsOn[$supernode];
            }
            if (!isset($numbers[$of])) {
                $numbers[$of] = \count($numbers);
                $zero[$supernode] = true;
            }
            $island[] = $numbers[$of];
            $representative[] = isset($zero[$supernode]) ? 0 : $supernode;
        }
        $this->island = $island;
        $this->representative = $representative;
        $this->zero = $zero;
        $this->ground = $ground;
        $live = array_fill_keys(array_keys($this->pairs), true);
        foreach ($joined->isTrivial() ? [] : $branches as $branch => [$from, $to]) {
            if ($root[$from] === $root[$to]) {
                // Beside an ideal branch.
                $live[$branch] = true;
            }
        }
        $this->liveBranches = $live;
    }

    /**
     * Live branches once some of them are open as well.
     *
     * @param list<int> $opened
     *
     * @return array<int, true>
     */
    public function liveWithout(array $opened): array
    {
        $at = $this->at ??= $this->branchesAt();
        $degree = array_map(\count(...), $at);
        $live = $this->liveBranches;
        $ends = [];
        foreach ($opened as $branch) {
            unset($live[$branch]);
            foreach ($this->pairs[$branch] as $node) {
                --$degree[$node];
                $ends[] = $node;
            }
        }
        while ($ends !== []) {
            $node = array_pop($ends);
            if ($node === $this->ground || $degree[$node] !== 1) {
                continue;
            }
            foreach ($at[$node] as $branch) {
                if (isset($live[$branch])) {
                    if (!isset($this->kept[$branch])) {
                        [$a, $b] = $this->pairs[$branch];
                        unset($live[$branch]);
                        --$degree[$a];
                        --$degree[$b];
                        $ends[] = $a === $node ? $b : $a;
                    }
                    break;
                }
            }
        }

        return $live;
    }

    /** @return array<int, list<int>> by node */
    private function branchesAt(): array
    {
        $at = [];
        foreach ($this->pairs as $branch => [$a, $b]) {
            $at[$a][] = $branch;
            $at[$b][] = $branch;
        }

        return $at;
    }

    /**
     * Numbers of the islands, by supernode.
     *
     * @param array<int, int>                   $root
     * @param array<int, array{0: int, 1: int}> $branches
     *
     * @return array<int, int>
     */
    private static function islands(array $root, array $branches): array
    {
        $next = [];
        foreach ($branches as [$from, $to]) {
            $next[$root[$from]][] = $root[$to];
            $next[$root[$to]][] = $root[$from];
        }
        $islandOf = [];
        foreach ($root as $start) {
            if (isset($islandOf[$start])) {
                continue;
            }
            $islandOf[$start] = $start;
            $queue = [$start];
            while ($queue !== []) {
                foreach ($next[array_pop($queue)] ?? [] as $node) {
                    if (!isset($islandOf[$node])) {
                        $islandOf[$node] = $start;
                        $queue[] = $node;
                    }
                }
            }
        }

        return $islandOf;
    }

    /**
     * @param list<int>                         $root
     * @param array<int, array{0: int, 1: int}> $branches
     * @param array<int, true>                  $kept
     *
     * @return array{array<int, array{0: int, 1: int}>, array<int, int>} live branches, and the dead ends with what they hang on
     */
    private static function withoutDeadEnds(array $root, array $branches, array $kept): array
    {
        $ground = $root[0];
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
            if ($node === $ground || \count($at[$node]) !== 1) {
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

    private function order(): void
    {
        $this->ordered = true;
        $firstLate = null;
        $atLast = [];
        foreach ($this->late as $node) {
            $atLast[$this->representative[$node]] = true;
        }
        $neighbours = [];
        $connect = function (int $a, int $b) use (&$neighbours): int {
            return $neighbours[$a][$b] ??= $neighbours[$b][$a] = $this->edgeCount++;
        };
        foreach ($this->pairs as $branch => [$a, $b]) {
            $this->edgeOfBranch[$branch] = $connect(isset($this->zero[$a]) ? 0 : $a, isset($this->zero[$b]) ? 0 : $b);
        }
        $remaining = array_diff_key($neighbours, $atLast);
        $later = array_intersect_key($neighbours, $atLast);
        unset($remaining[0], $later[0]);
        while ($remaining !== [] || $later !== []) {
            if ($remaining === []) {
                $firstLate = \count($this->steps);
                [$remaining, $later] = [$later, []];
            }
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
        $this->firstLate = $firstLate ?? \count($this->steps);
    }

    /**
     * Takes the conductances in; call before {@see potentials()}.
     *
     * @param array<int, float> $conductances by branch number, in S; only live branches are read
     */
    public function factorise(array $conductances): void
    {
        if (!$this->ordered) {
            $this->order();
        }
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
        return $this->substituted($this->swept($injected, $lateOnly ? $this->firstLate : 0), $this->firstLate);
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
        $count = \count($this->steps);
        for ($number = $from; $number < $count; ++$number) {
            $step = $this->steps[$number];
            $current = $injected[$step['node']] ?? 0.0;
            if ($current !== 0.0) {
                $share = $current * $this->pivots[$number];
                $edges = $step['edges'];
                foreach ($step['neighbours'] as $position => $neighbour) {
                    $injected[$neighbour] = ($injected[$neighbour] ?? 0.0) + $share * $g[$edges[$position]];
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
        $volts = [0 => 0.0];
        for ($number = \count($this->steps) - 1; $number >= $to; --$number) {
            $step = $this->steps[$number];
            $edges = $step['edges'];
            $neighbours = $step['neighbours'];
            $sum = $injected[$step['node']] ?? 0.0;
            if (\count($edges) === 2) {
                $sum += $g[$edges[0]] * $volts[$neighbours[0]] + $g[$edges[1]] * $volts[$neighbours[1]];
            } else {
                foreach ($neighbours as $position => $neighbour) {
                    $sum += $g[$edges[$position]] * $volts[$neighbour];
                }
            }
            $volts[$step['node']] = $sum * $this->pivots[$number];
        }

        return $volts;
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * The part of a circuit in which current can flow.
 *
 * Which branches are open fixes it. Three exact reductions: ideal branches (0 Ω) join
 * their nodes with a fixed potential between them, dead ends, which carry no current,
 * take the potential of the node they hang on, and a floating island is tied to
 * ground at one node (no current can use that tie). What remains is eliminated,
 * see {@see Elimination}.
 */
final class LiveNetwork
{
    /** @var list<int> node → representative live node, 0 is ground */
    public readonly array $representative;

    /** @var list<int> node → number of its island, 0 is the one with ground */
    public readonly array $island;

    /** @var array<int, true> branches that can carry current, those across an ideal branch included */
    public readonly array $liveBranches;

    /** @var array<int, array{0: int, 1: int}> live branches as pairs of the nodes that they lead to, by branch number */
    private readonly array $pairs;

    /** @var array<int, true> nodes of these at zero potential: ground, and one of each island that floats */
    private readonly array $zero;

    /** Node that ground is among those of {@see $pairs}. */
    private readonly int $ground;

    /** @var array<int, int> how many of these meet at each node */
    private readonly array $degree;

    /** @var array<int, int> and the exclusive or of their numbers: where one is left, that is its number */
    private readonly array $branchAt;

    private ?Elimination $elimination = null;

    /**
     * @param int                                $nodeCount nodes are 0 (ground) to $nodeCount − 1
     * @param array<int, array{0: int, 1: int}>  $branches  conductive branches as node pairs, by branch number
     * @param array<int, true>                   $kept      branches whose nodes never count as dead ends: sources
     * @param PotentialForest                    $joined    nodes joined by ideal branches
     * @param list<int>                          $late      nodes to eliminate last, so that {@see
     *     PreparedNetwork::lateVolts()} is cheap for them
     */
    public function __construct(
        int $nodeCount,
        array $branches,
        private readonly array $kept,
        PotentialForest $joined,
        private readonly array $late = [],
    ) {
        $root = range(0, $nodeCount - 1);
        if (!$joined->isTrivial()) {
            $root = array_map($joined->root(...), $root);
        }
        $ground = $root[0];
        $islandOf = self::islands($root, $branches);
        $pairs = [];
        foreach ($branches as $branch => [$from, $to]) {
            if ($root[$from] !== $root[$to]) {
                $pairs[$branch] = [$root[$from], $root[$to]];
            }
        }
        [$degree, $branchAt] = self::meetings($pairs, $nodeCount);
        [$gone, $hangsOn, $this->degree, $this->branchAt] = self::deadEnds(
            $pairs,
            $kept,
            $ground,
            $degree,
            $branchAt,
            $root,
        );
        $this->pairs = array_diff_key($pairs, $gone);
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
        [$degree, $branchAt] = [$this->degree, $this->branchAt];
        $gone = [];
        $ends = [];
        foreach ($opened as $branch) {
            $gone[$branch] = true;
            foreach ($this->pairs[$branch] as $node) {
                --$degree[$node];
                $branchAt[$node] ^= $branch;
                $ends[] = $node;
            }
        }

        return array_diff_key(
            $this->liveBranches,
            $gone,
            self::deadEnds($this->pairs, $this->kept, $this->ground, $degree, $branchAt, $ends)[0],
        );
    }

    /**
     * How many branches meet at each node, and the exclusive or of their numbers.
     *
     * @param array<int, array{0: int, 1: int}> $pairs
     *
     * @return array{0: array<int, int>, 1: array<int, int>}
     */
    private static function meetings(array $pairs, int $nodeCount): array
    {
        $degree = $branchAt = array_fill(0, $nodeCount, 0);
        foreach ($pairs as $branch => [$a, $b]) {
            ++$degree[$a];
            ++$degree[$b];
            $branchAt[$a] ^= $branch;
            $branchAt[$b] ^= $branch;
        }

        return [$degree, $branchAt];
    }

    /**
     * Takes off what leads nowhere, one branch after the other.
     *
     * @param array<int, array{0: int, 1: int}> $pairs
     * @param array<int, true>                  $kept
     * @param array<int, int>                   $degree   how many branches meet at each node
     * @param array<int, int>                   $branchAt and the exclusive or of their numbers
     * @param list<int>                         $ends     nodes at which a branch may be the last
     *
     * @return array{array<int, true>, array<int, int>, array<int, int>, array<int, int>} the branches, nodes with what they hang on, and what then meets at each node
     */
    private static function deadEnds(
        array $pairs,
        array $kept,
        int $ground,
        array $degree,
        array $branchAt,
        array $ends,
    ): array {
        $gone = $hangsOn = [];
        while ($ends !== []) {
            $node = array_pop($ends);
            $branch = $branchAt[$node];
            if ($degree[$node] !== 1 || $node === $ground || isset($kept[$branch])) {
                continue;
            }
            [$a, $b] = $pairs[$branch];
            $other = $a === $node ? $b : $a;
            $gone[$branch] = true;
            $hangsOn[$node] = $other;
            $degree[$node] = 0;
            --$degree[$other];
            $branchAt[$other] ^= $branch;
            $ends[] = $other;
        }

        return [$gone, $hangsOn, $degree, $branchAt];
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
        $parent = range(0, \count($root) - 1);
        foreach ($branches as [$from, $to]) {
            $a = $root[$from];
            $b = $root[$to];
            while ($parent[$a] !== $a) {
                $a = $parent[$a] = $parent[$parent[$a]];
            }
            while ($parent[$b] !== $b) {
                $b = $parent[$b] = $parent[$parent[$b]];
            }
            $parent[$a] = $b;
        }
        $islandOf = [];
        foreach ($root as $supernode) {
            $of = $supernode;
            while ($parent[$of] !== $of) {
                $of = $parent[$of];
            }
            $islandOf[$supernode] = $of;
        }

        return $islandOf;
    }

    public function elimination(): Elimination
    {
        return $this->elimination ??= new Elimination(
            array_map(
                fn(array $ends): array => [
                    isset($this->zero[$ends[0]]) ? 0 : $ends[0],
                    isset($this->zero[$ends[1]]) ? 0 : $ends[1],
                ],
                $this->pairs,
            ),
            array_map(fn(int $node): int => $this->representative[$node], $this->late),
        );
    }
}

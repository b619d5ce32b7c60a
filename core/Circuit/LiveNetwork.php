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

    /** @var array<int, list<int>>|null branches at each of these nodes, once they were asked for */
    private ?array $at = null;

    private ?Elimination $elimination = null;

    /**
     * @param int                                $nodeCount nodes are 0 (ground) to $nodeCount − 1
     * @param array<int, array{0: int, 1: int}>  $branches  conductive branches as node pairs, by branch number
     * @param array<int, true>                   $kept      branches whose nodes never count as dead ends: sources
     * @param PotentialForest                    $joined    nodes joined by ideal branches
     * @param list<int>                          $late      nodes to eliminate last, so that {@see PreparedNetwork::lateVolts()} is cheap for them
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

    public function elimination(): Elimination
    {
        return $this->elimination ??= new Elimination(
            array_map(fn (array $ends): array => [isset($this->zero[$ends[0]]) ? 0 : $ends[0], isset($this->zero[$ends[1]]) ? 0 : $ends[1]], $this->pairs),
            array_map(fn (int $node): int => $this->representative[$node], $this->late),
        );
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * In which order the nodes of a network of resistances are eliminated.
 *
 * Eliminating a node is the star-mesh transform: conductances g1..gn that meet in it are
 * replaced by gi·gj/Σg between each pair of its neighbours. It is Gaussian elimination on
 * the nodal equations, but it only adds and multiplies positive numbers, so nothing cancels
 * between milliohms and gigaohms (compare Grassmann, Taksar and Heyman 1985 for Markov
 * chains). The node with the fewest neighbours goes first. All this depends only on which
 * nodes are joined, so it is found once for all resistances.
 */
final readonly class Elimination
{
    /** @var list<int> node eliminated by each step */
    public array $nodes;

    /** @var list<list<int>> its neighbours then */
    public array $neighbours;

    /** @var list<list<int>> edges to these */
    public array $edges;

    /** @var list<list<int>> edge between each neighbour and each one after it */
    public array $targets;

    /** First step that eliminates a late node. */
    public int $firstLate;

    /** @var array<int, int> branch → edge */
    public array $edgeOfBranch;

    public int $edgeCount;

    /**
     * @param array<int, array{0: int, 1: int}> $branches pairs of nodes, 0 is ground, by branch number
     * @param list<int>                         $late     nodes that come last
     */
    public function __construct(array $branches, array $late)
    {
        $count = 0;
        $neighbours = $edgeOfBranch = [];
        $connect = static function (int $a, int $b) use (&$neighbours, &$count): int {
            return $neighbours[$a][$b] ??= $neighbours[$b][$a] = $count++;
        };
        foreach ($branches as $branch => [$a, $b]) {
            $edgeOfBranch[$branch] = $connect($a, $b);
        }
        $atLast = array_fill_keys($late, true);
        $remaining = array_diff_key($neighbours, $atLast);
        $later = array_intersect_key($neighbours, $atLast);
        unset($remaining[0], $later[0]);
        $nodes = $around = $edges = $targets = [];
        $firstLate = null;
        while ($remaining !== [] || $later !== []) {
            if ($remaining === []) {
                $firstLate = \count($nodes);
                [$remaining, $later] = [$later, []];
            }
            $best = array_key_first($remaining);
            foreach ($remaining as $node => $_) {
                if (\count($neighbours[$node]) < \count($neighbours[$best])) {
                    $best = $node;
                }
            }
            unset($remaining[$best]);
            $step = \count($nodes);
            $nodes[] = $best;
            $around[] = array_keys($neighbours[$best]);
            $edges[] = array_values($neighbours[$best]);
            $targets[] = [];
            foreach ($around[$step] as $node) {
                unset($neighbours[$node][$best]);
            }
            foreach ($around[$step] as $position => $a) {
                foreach (\array_slice($around[$step], $position + 1) as $b) {
                    $targets[$step][] = $connect($a, $b);
                }
            }
            unset($neighbours[$best]);
        }
        $this->nodes = $nodes;
        $this->neighbours = $around;
        $this->edges = $edges;
        $this->targets = $targets;
        $this->firstLate = $firstLate ?? \count($nodes);
        $this->edgeOfBranch = $edgeOfBranch;
        $this->edgeCount = $count;
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * In which order the nodes of a network are eliminated, and where each admittance then stands.
 *
 * Eliminating a node replaces the star of its branches by a mesh between its neighbours (star-mesh
 * transformation). The node with the fewest neighbours goes first. All this depends only on which
 * nodes are joined, so it is found once for all values of the elements.
 *
 * Admittances stand in one list: first those to ground by node, then those between pairs of nodes.
 */
final readonly class StarMesh
{
    /** @var list<int> place of each branch's admittance; that of ground where both its ends are one node */
    public array $places;

    /** @var list<array{node: int, neighbours: list<int>, places: list<int>, mesh: list<int>}> mesh: place for each pair of a neighbour and one before it */
    public array $steps;

    /** How many admittances there are. */
    public int $size;

    /**
     * @param int                             $nodes    node 0 is ground
     * @param list<array{0: int, 1: int}> $branches pairs of nodes
     */
    public function __construct(public int $nodes, array $branches)
    {
        $next = $nodes;
        /** @var array<int, array<int, int>> $joined place of a pair, both ways */
        $joined = array_fill(0, $nodes, []);
        $places = [];
        foreach ($branches as [$a, $b]) {
            if ($a === 0 || $b === 0 || $a === $b) {
                $places[] = $a === $b ? 0 : $a + $b;
                continue;
            }
            $places[] = $joined[$a][$b] ?? $next;
            if (!isset($joined[$a][$b])) {
                $joined[$a][$b] = $joined[$b][$a] = $next++;
            }
        }
        $this->places = $places;
        $left = array_map(\count(...), $joined);
        unset($left[0]);
        $steps = [];
        while ($left !== []) {
            $node = (int) array_search(min($left), $left, true);
            unset($left[$node]);
            $neighbours = array_keys($joined[$node]);
            $mesh = [];
            foreach ($neighbours as $number => $i) {
                for ($m = 0; $m < $number; ++$m) {
                    $j = $neighbours[$m];
                    if (!isset($joined[$i][$j])) {
                        $joined[$i][$j] = $joined[$j][$i] = $next++;
                    }
                    $mesh[] = $joined[$i][$j];
                }
                unset($joined[$i][$node]);
                $left[$i] = \count($joined[$i]);
            }
            $steps[] = ['node' => $node, 'neighbours' => $neighbours, 'places' => array_values($joined[$node]), 'mesh' => $mesh];
        }
        $this->steps = $steps;
        $this->size = $next;
    }
}

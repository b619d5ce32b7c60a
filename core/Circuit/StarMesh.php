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
 * Admittances stand in one list: first those to ground by node, then those between pairs of nodes. Nodes without
 * a branch are left out. It is also found here which nodes can have an admittance to ground, and a current fed in by
 * which sets of sources, once those before them are gone.
 */
final readonly class StarMesh
{
    /** @var list<int> place of each branch's admittance; that of ground where both its ends are one node */
    public array $places;

    /** @var list<int> node eliminated by each step */
    public array $order;

    /** @var list<list<int>> its neighbours then */
    public array $neighbours;

    /** @var list<list<int>> places of the admittances to these */
    public array $toNeighbours;

    /** @var list<list<int>> place for each pair of a neighbour and one before it */
    public array $mesh;

    /** @var list<bool> whether there can be an admittance from it to ground */
    public array $grounded;

    /** @var list<list<int>> sets of sources that can feed a current into it */
    public array $sets;

    /** @var list<int> one node of each part that ground does not hold */
    public array $floating;

    /** How many admittances there are. */
    public int $size;

    /**
     * @param int                         $nodes    node 0 is ground
     * @param list<array{0: int, 1: int}> $branches pairs of nodes
     * @param array<int, list<int>>       $fed      sets of sources that feed a current into a node
     */
    public function __construct(public int $nodes, array $branches, array $fed)
    {
        $next = $nodes;
        /** @var array<int, array<int, int>> $joined place of a pair, both ways */
        $joined = [];
        $grounded = [];
        $places = [];
        foreach ($branches as [$a, $b]) {
            if ($a === $b) {
                $places[] = 0;
                continue;
            }
            if ($a === 0 || $b === 0) {
                $places[] = $a + $b;
                $grounded[$a + $b] = true;
                $joined[$a + $b] ??= [];
                continue;
            }
            $places[] = $joined[$a][$b] ?? $next;
            if (!isset($joined[$a][$b])) {
                $joined[$a][$b] = $joined[$b][$a] = $next++;
            }
        }
        $this->places = $places;
        $sets = array_map(static fn(array $numbers): array => array_fill_keys($numbers, true), $fed);
        $left = array_map(\count(...), $joined);
        $order = $around = $toNeighbours = $meshes = $groundedSteps = $setsOf = $floating = [];
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
                $sets[$i] = ($sets[$i] ?? []) + ($sets[$node] ?? []);
                if (isset($grounded[$node])) {
                    $grounded[$i] = true;
                }
            }
            if ($neighbours === [] && !isset($grounded[$node])) {
                $floating[] = $node;
                $grounded[$node] = true;
            }
            $order[] = $node;
            $around[] = $neighbours;
            $toNeighbours[] = array_values($joined[$node]);
            $meshes[] = $mesh;
            $groundedSteps[] = isset($grounded[$node]);
            $setsOf[] = array_keys($sets[$node] ?? []);
        }
        $this->order = $order;
        $this->neighbours = $around;
        $this->toNeighbours = $toNeighbours;
        $this->mesh = $meshes;
        $this->grounded = $groundedSteps;
        $this->sets = $setsOf;
        $this->floating = $floating;
        $this->size = $next;
    }
}

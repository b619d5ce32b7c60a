<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * Disjoint sets of nodes in which the potential of each node above its set's root is known.
 */
final class PotentialForest
{
    /** @var array<int, int> */
    private array $parent;

    /** @var array<int, float> volts of the node above its parent */
    private array $above;

    private bool $trivial = true;

    public function __construct(int $nodeCount)
    {
        $this->parent = $nodeCount > 0 ? range(0, $nodeCount - 1) : [];
        $this->above = array_fill(0, $nodeCount, 0.0);
    }

    /** Whether nothing was joined. */
    public function isTrivial(): bool
    {
        return $this->trivial;
    }

    public function root(int $node): int
    {
        while ($this->parent[$node] !== $node) {
            $node = $this->parent[$node];
        }

        return $node;
    }

    /** Potential of the node above the root of its set, in V. */
    public function offset(int $node): float
    {
        $volts = 0.0;
        while ($this->parent[$node] !== $node) {
            $volts += $this->above[$node];
            $node = $this->parent[$node];
        }

        return $volts;
    }

    /**
     * Joins the two nodes' sets so that `$a` stands `$volts` above `$b`.
     *
     * @return bool false when they were in one set already (nothing is changed)
     */
    public function join(int $a, int $b, float $volts): bool
    {
        $rootA = $this->root($a);
        $rootB = $this->root($b);
        if ($rootA === $rootB) {
            return false;
        }
        $this->above[$rootA] = $volts + $this->offset($b) - $this->offset($a);
        $this->parent[$rootA] = $rootB;
        $this->trivial = false;

        return true;
    }
}

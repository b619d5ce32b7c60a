<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * What depends only on which elements of an alternating-current circuit conduct.
 */
final class PhasorShape
{
    /** Of what is live: the rest carries no current. */
    public readonly StarMesh $mesh;

    /** @var list<array{0: int, 1: int, 2: int|null}> place of the admittance, and slots of resistance and reactance, of each plain impedance that is live */
    public readonly array $impedances;

    /** @var list<array{0: PhasorBranch, 1: int}> the others that are live, each with the place of its admittance */
    public readonly array $others;

    /** @var array<int, int> by node that something live is tied to: one number for all that live elements tie together */
    private readonly array $livePart;

    /** @var array<string, int> elements in a closed way that holds a source, as keys */
    public readonly array $isLive;

    /** The same as a text. */
    public readonly string $liveKey;

    /** @var array<int, array{0: int, 1: PhasorBranch}>|null the node that each hangs on, and by which element; roots are missing */
    private ?array $hangsOn = null;

    /** @var array<string, list<array{0: PhasorBranch, 1: float}>> */
    private array $ways = [];

    /**
     * @param array<string, PhasorBranch> $conducting by element
     * @param \Closure(PhasorBranch): ?int $setOf     set of sources that a branch belongs to, if it feeds any
     */
    public function __construct(int $nodes, public readonly array $conducting, \Closure $setOf)
    {
        $fed = self::fed(
            $conducting,
            static fn(PhasorBranch $branch): bool => $branch->type === ElementType::AlternatingSource,
        );
        if (array_filter($fed, static fn(string $id): bool => $conducting[$id]->type->isOnIron()) !== []) {
            // A winding in which a current flows makes the iron feed the others.
            $fed = self::fed(
                $conducting,
                static fn(PhasorBranch $branch): bool => $branch->type === ElementType::AlternatingSource ||
                    $branch->type->isOnIron(),
            );
        }
        $this->isLive = array_flip($fed);
        $this->liveKey = implode(' ', $fed) . ';';
        $live = array_values(array_intersect_key($conducting, $this->isLive));
        $sets = [];
        foreach ($live as $branch) {
            $set = $setOf($branch);
            if ($set !== null) {
                $sets[$branch->from][] = $set;
                $sets[$branch->to][] = $set;
            }
        }
        $this->mesh = new StarMesh(
            $nodes,
            array_map(
                static fn(PhasorBranch $branch): array => $branch->type === ElementType::ElectronicMotor
                    ? [0, 0]
                    : [$branch->from, $branch->to],
                $live,
            ),
            $sets,
        );
        $impedances = $others = $livePart = [];
        $parts = new PotentialForest($nodes);
        foreach ($live as $number => $branch) {
            $parts->join($branch->from, $branch->to, 0.0);
            if ($branch->isPlain()) {
                $impedances[] = [$this->mesh->places[$number], $branch->ohms, $branch->reactance];
            } else {
                $others[] = [$branch, $this->mesh->places[$number]];
            }
        }
        foreach ($live as $branch) {
            $livePart[$branch->from] = $livePart[$branch->to] = $parts->root($branch->from);
        }
        $this->impedances = $impedances;
        $this->others = $others;
        $this->livePart = $livePart;
    }

    /**
     * @param array<string, PhasorBranch>   $conducting
     * @param \Closure(PhasorBranch): bool $drives
     *
     * @return list<string> elements in a closed way that something drives
     */
    private static function fed(array $conducting, \Closure $drives): array
    {
        return LiveParts::of(
            array_map(
                static fn(PhasorBranch $branch): array => [
                    'from' => $branch->from,
                    'to' => $branch->to,
                    'drives' => $drives($branch),
                ],
                $conducting,
            ),
        );
    }

    /** Whether what is live ties two nodes together: their potentials then stand in its solution. */
    public function solves(int $a, int $b): bool
    {
        return isset($this->livePart[$a], $this->livePart[$b]) && $this->livePart[$a] === $this->livePart[$b];
    }

    /** Whether anything that conducts ties two nodes together. */
    public function ties(int $a, int $b): bool
    {
        return $a === $b || $this->solves($a, $b) || $this->way($a, $b) !== [];
    }

    /**
     * Elements from one node to another that conduct, in one of the ways there are, each with +1 where it is passed
     * from its second node to its first.
     *
     * @return list<array{0: PhasorBranch, 1: float}> empty where the two are not tied together
     */
    public function way(int $to, int $from): array
    {
        return $this->ways["$to,$from"] ??= $this->found($to, $from);
    }

    /** @return list<array{0: PhasorBranch, 1: float}> */
    private function found(int $to, int $from): array
    {
        $this->hangsOn ??= $this->spanned();
        $ups = $roots = [];
        foreach ([$to, $from] as $side => $node) {
            $ups[$side] = [];
            while (isset($this->hangsOn[$node])) {
                [$parent, $branch] = $this->hangsOn[$node];
                // A node stands above the one that it hangs on by the element's voltage, in its direction.
                $ups[$side][] = [$branch, ($branch->from === $node ? 1.0 : -1.0) * ($side === 0 ? 1.0 : -1.0)];
                $node = $parent;
            }
            $roots[$side] = $node;
        }

        return $roots[0] === $roots[1] ? [...$ups[0], ...$ups[1]] : [];
    }

    /** @return array<int, array{0: int, 1: PhasorBranch}> */
    private function spanned(): array
    {
        $at = [];
        foreach ($this->conducting as $branch) {
            $at[$branch->from][] = $branch;
            $at[$branch->to][] = $branch;
        }
        $hangsOn = [];
        $seen = [];
        foreach (array_keys($at) as $root) {
            if (isset($seen[$root])) {
                continue;
            }
            $seen[$root] = true;
            $queue = [$root];
            while ($queue !== []) {
                $node = array_shift($queue);
                foreach ($at[$node] ?? [] as $branch) {
                    $other = $branch->from === $node ? $branch->to : $branch->from;
                    if (!isset($seen[$other])) {
                        $seen[$other] = true;
                        $hangsOn[$other] = [$node, $branch];
                        $queue[] = $other;
                    }
                }
            }
        }

        return $hangsOn;
    }
}

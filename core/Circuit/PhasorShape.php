<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * What depends only on which elements of an alternating-current circuit conduct.
 */
final class PhasorShape
{
    public readonly StarMesh $mesh;

    /** @var list<array{0: int, 1: int, 2: int|null}> place of the admittance, and slots of resistance and reactance, of each plain impedance */
    public readonly array $impedances;

    /** @var list<array{0: PhasorBranch, 1: int}> the others, each with the place of its admittance */
    public readonly array $others;

    /** @var list<int> by node: one number for all that are tied together */
    public readonly array $island;

    /** @var list<string> elements in a closed way that holds a source */
    public readonly array $live;

    /** @var array<string, int> the same as keys */
    public readonly array $isLive;

    /** @var array<int, array{0: int, 1: PhasorBranch}>|null the node that each hangs on, and by which element; roots are missing */
    private ?array $hangsOn = null;

    /** @var array<string, list<array{0: PhasorBranch, 1: float}>> */
    private array $ways = [];

    /** @param array<string, PhasorBranch> $conducting by element */
    public function __construct(int $nodes, public readonly array $conducting)
    {
        $this->mesh = new StarMesh($nodes, array_map(static fn (PhasorBranch $branch): array => $branch->type === ElementType::ElectronicMotor ? [0, 0] : [$branch->from, $branch->to], array_values($conducting)));
        $impedances = $others = [];
        $islands = new PotentialForest($nodes);
        foreach (array_values($conducting) as $number => $branch) {
            $islands->join($branch->from, $branch->to, 0.0);
            if ($branch->isPlain()) {
                $impedances[] = [$this->mesh->places[$number], $branch->ohms, $branch->reactance];
            } else {
                $others[] = [$branch, $this->mesh->places[$number]];
            }
        }
        $this->impedances = $impedances;
        $this->others = $others;
        $this->island = array_map($islands->root(...), range(0, $nodes - 1));
        $live = LiveParts::of(array_map(static fn (PhasorBranch $branch): array => ['from' => $branch->from, 'to' => $branch->to, 'drives' => $branch->type === ElementType::AlternatingSource], $conducting));
        $this->live = $live;
        $this->isLive = array_flip($live);
    }

    /**
     * Elements from one node to another that conduct, in one of the ways there are, each with +1 where it is passed from its second node to its first.
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
        $ups = [];
        foreach ([$to, $from] as $side => $node) {
            $ups[$side] = [];
            while (isset($this->hangsOn[$node])) {
                [$parent, $branch] = $this->hangsOn[$node];
                // A node stands above the one that it hangs on by the element's voltage, in its direction.
                $ups[$side][] = [$branch, ($branch->from === $node ? 1.0 : -1.0) * ($side === 0 ? 1.0 : -1.0)];
                $node = $parent;
            }
        }

        return [...$ups[0], ...$ups[1]];
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
        foreach (array_keys($this->island) as $root) {
            if (isset($seen[$root])) {
                continue;
            }
            $seen[$root] = true;
            for ($queue = [$root]; $queue !== [];) {
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

<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * What depends only on which elements of an alternating-current circuit conduct.
 */
final readonly class PhasorShape
{
    public StarMesh $mesh;

    /** @var list<array{0: int, 1: int, 2: int|null}> place of the admittance, and slots of resistance and reactance, of each plain impedance */
    public array $impedances;

    /** @var list<array{0: PhasorBranch, 1: int}> the others, each with the place of its admittance */
    public array $others;

    /** @var list<int> by node: one number for all that are tied together */
    public array $island;

    /** @var list<string> elements in a closed way that holds a source */
    public array $live;

    /** @param array<string, PhasorBranch> $conducting by element */
    public function __construct(int $nodes, public array $conducting)
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
        $this->live = LiveParts::of(array_map(static fn (PhasorBranch $branch): array => ['from' => $branch->from, 'to' => $branch->to, 'drives' => $branch->type === ElementType::AlternatingSource], $conducting));
    }
}

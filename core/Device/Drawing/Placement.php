<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Drawing;

use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Circuit\SolvedState;

/**
 * Everything of a sheet where it stands in one state of its circuit. What is drawn and what is proved of the drawing
 * both come from here.
 *
 * @phpstan-import-type Point from Wire
 */
final readonly class Placement
{
    /** @var array<string, PlacedSymbol> by element */
    public array $symbols;

    /** @var list<Wire> every drawn line */
    public array $wires;

    /** @var list<string> elements that cannot be placed */
    public array $missing;

    public function __construct(public Sheet $sheet, public Netlist $netlist, public SolvedState $state)
    {
        $symbols = $missing = [];
        foreach ($sheet->elements as $id => $drawn) {
            if (!self::isThere($drawn, $state)) {
                continue;
            }
            $placed = PlacedSymbol::of($drawn, $netlist->elements[$id], $sheet, $netlist->ground, $state->isOpen($id));
            if ($placed === null) {
                $missing[] = $id;
            } else {
                $symbols[$id] = $placed;
            }
        }
        $this->symbols = $symbols;
        $this->wires = array_merge(
            ...array_values(array_map(static fn(PlacedSymbol $one): array => $one->wires, $symbols)),
        );
        $this->missing = $missing;
    }

    private static function isThere(SheetElement $drawn, SolvedState $state): bool
    {
        foreach ((array) $drawn->with as $element) {
            if (!$state->isOpen($element)) {
                return true;
            }
        }

        return $drawn->with === null;
    }

    /** @return list<array{node: string, at: Point}> where a node is drawn once more, with a sign: ground, a supply */
    public function signs(): array
    {
        $signs = [];
        foreach ($this->symbols as $one) {
            if ($one->drawn->groundAt !== null) {
                $signs[] = ['node' => $this->netlist->ground, 'at' => $one->drawn->groundAt];
            }
            if ($one->drawn->plusAt !== null) {
                $signs[] = ['node' => $one->element->from, 'at' => $one->drawn->plusAt];
            }
        }

        return $signs;
    }

    /**
     * Whether something is drawn at a place.
     *
     * @param Point $point
     */
    public function shows(array $point): bool
    {
        foreach ($this->wires as $wire) {
            if ($wire->passes($point)) {
                return true;
            }
        }
        foreach ($this->sheet->blocks as $block) {
            if ($block->hasOnEdge($point)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Places from which lines lead in more than two directions.
     *
     * @return list<Point>
     */
    public function joints(): array
    {
        $joints = [];
        foreach ($this->wires as $one) {
            foreach ($one->points as $point) {
                $key = round($point[0]) . ' ' . round($point[1]);
                $ways = [];
                foreach (isset($joints[$key]) ? [] : $this->wires as $wire) {
                    $ways += array_fill_keys($wire->waysFrom($point), true);
                }
                if (\count($ways) > 2) {
                    $joints[$key] = $point;
                }
            }
        }

        return array_values($joints);
    }

    /**
     * Where a line hops over another that it crosses: the level one of the two, by its element.
     *
     * @return array<string, list<Point>>
     */
    public function hops(): array
    {
        $hops = [];
        foreach ($this->wires as $n => $wire) {
            for ($m = 0; $m < $n; ++$m) {
                foreach ($wire->crossings($this->wires[$m]) as $at) {
                    $hops[$wire->isLevelAt($at) ? $wire->element : $this->wires[$m]->element][] = $at;
                }
            }
        }

        return $hops;
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Drawing;

use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\ElementType;

/**
 * Holds a drawing against its netlist: what its lines join is what the netlist joins, and nothing else.
 *
 * A drawing is an electrical statement, and is believed before a text.
 *
 * @phpstan-import-type Point from Wire
 */
final class SheetProof
{
    /** Share of the highest potential that may be lost along what is drawn as a line. */
    private const LINE_SHARE = 0.06;

    /** Current in A from which an element must be seen. */
    private const SEEN_FROM = 0.001;

    /** Room in sheet units that stays free at the edges. */
    private const EDGE = 6.0;

    /** @var list<string> */
    private array $found = [];

    private function __construct(private readonly Placement $placement) {}

    /** @return list<string> what is wrong with the drawing in this state; empty when it is true */
    public static function of(Placement $placement): array
    {
        $proof = new self($placement);
        foreach ($placement->missing as $id) {
            $proof->found[] = "$id cannot be placed";
        }
        $proof->lines();
        $proof->nets();
        $proof->signs();
        $proof->blocks();
        $proof->unseen();

        return $proof->found;
    }

    /** A line joins: only what hardly loses anything may be one. */
    private function lines(): void
    {
        foreach ($this->placement->symbols as $id => $one) {
            if ($one->joins() && !$this->conducts($one->element)) {
                $this->found[] = "$id is no wire, but drawn as a line";
            }
            if ($one->overhangs()) {
                $this->found[] = "$id is longer than the stretch that it stands on";
            }
            foreach ($one->wires as $wire) {
                foreach ($wire->points as [$x, $y]) {
                    if (
                        $x < self::EDGE ||
                        $y < self::EDGE ||
                        $x > $this->placement->sheet->width - self::EDGE ||
                        $y > $this->placement->sheet->height - self::EDGE
                    ) {
                        $this->found[] = "$id leaves the sheet";
                        break 2;
                    }
                }
            }
        }
    }

    private function conducts(Element $element): bool
    {
        $state = $this->placement->state;
        $most = max(
            array_map(
                static fn(string $node): float => abs($state->potential($node) ?? 0.0),
                array_map(strval(...), array_keys($this->placement->sheet->nodes)),
            ) ?: [0.0],
        );

        return $element->type === ElementType::Resistor &&
            abs($state->voltageBetween($element->from, $element->to)) <= self::LINE_SHARE * $most;
    }

    /** What the lines join against what the netlist joins. */
    private function nets(): void
    {
        $wires = $this->placement->wires;
        $expected = $this->expected();
        $drawn = range(0, \count($wires) - 1);
        $signed = [];
        foreach ($wires as $n => $wire) {
            foreach ($this->placement->signs() as ['node' => $node, 'at' => $at]) {
                if ($expected[$wire->node] === $expected[$node] && $wire->passes($at)) {
                    $signed[$node] ??= $n;
                    $drawn = self::merged($drawn, $signed[$node], $n);
                }
            }
            for ($m = 0; $m < $n; ++$m) {
                if ($wire->touches($wires[$m])) {
                    if ($expected[$wire->node] !== $expected[$wires[$m]->node]) {
                        $this->found[] = "$wire->element at $wire->node touches {$wires[$m]->element} at {$wires[$m]->node}";
                    }
                    $drawn = self::merged($drawn, $m, $n);
                }
            }
        }
        foreach ($signed as $node => $n) {
            $own = $this->placement->sheet->nodes[$node] ?? null;
            foreach ($wires as $m => $wire) {
                if ($own !== null && $expected[$wire->node] === $expected[(string) $node] && $wire->passes($own)) {
                    $drawn = self::merged($drawn, $n, $m);
                }
            }
        }
        foreach ($this->placement->sheet->blocks as $block) {
            $drawn = $this->throughPads($block, $wires, $drawn);
        }
        $first = [];
        foreach ($wires as $n => $wire) {
            $net = $expected[$wire->node];
            $first[$net] ??= $n;
            if ($drawn[$n] !== $drawn[$first[$net]]) {
                $this->found[] =
                    "$wire->element at $wire->node is not joined to {$wires[$first[$net]]->element} at " .
                    $wires[$first[$net]]->node;
            }
        }
    }

    /**
     * A node on the edge of a block may be met by several lines at different places of that edge, if the block is a
     * pad: a bus, a strip of terminals.
     *
     * @param list<Wire>      $wires
     * @param array<int, int> $drawn
     *
     * @return array<int, int>
     */
    private function throughPads(SheetBlock $block, array $wires, array $drawn): array
    {
        if ($block->shape !== 'pad') {
            return $drawn;
        }
        $on = [];
        foreach ($wires as $n => $wire) {
            foreach ([$wire->points[0], $wire->points[\count($wire->points) - 1]] as $end) {
                if ($block->hasOnEdge($end)) {
                    $on[] = $n;
                }
            }
        }
        foreach ($on as $n) {
            $drawn = self::merged($drawn, $on[0], $n);
        }

        return $drawn;
    }

    /** @return array<array-key, string> name of its net, by node: nodes between which a line runs are one */
    private function expected(): array
    {
        $net = [];
        foreach ($this->placement->netlist->elements as $element) {
            $net[$element->from] ??= $element->from;
            $net[$element->to] ??= $element->to;
        }
        foreach ($this->placement->symbols as $one) {
            if ($one->joins()) {
                [$keep, $gone] = [$net[$one->element->from], $net[$one->element->to]];
                $net = array_map(static fn(string $name): string => $name === $gone ? $keep : $name, $net);
            }
        }

        return $net;
    }

    /**
     * @param array<int, int> $groups
     *
     * @return array<int, int>
     */
    private static function merged(array $groups, int $one, int $other): array
    {
        [$keep, $gone] = [$groups[$one], $groups[$other]];

        return array_map(static fn(int $group): int => $group === $gone ? $keep : $group, $groups);
    }

    /** No line runs through a sign, and no two signs lie on each other. */
    private function signs(): void
    {
        foreach ($this->placement->symbols as $id => $one) {
            if ($one->symbol->joins() || $one->symbol === Symbol::Contact) {
                continue;
            }
            foreach ($this->placement->wires as $wire) {
                if ($wire->enters($one->middle, $one->half, $one->symbol->reach(), $one->angle)) {
                    $this->found[] = "$wire->element runs through $id";
                }
            }
            foreach ($this->placement->sheet->blocks as $name => $block) {
                $out = max(abs($one->middle[0] - $block->left - 0.5 * $block->width) - 0.5 * $block->width, 0.0);
                $down = max(abs($one->middle[1] - $block->top - 0.5 * $block->height) - 0.5 * $block->height, 0.0);
                if ($block->shape !== 'pad' && hypot($out, $down) < min($one->half, $one->symbol->reach())) {
                    $this->found[] = "$id lies on $name";
                }
            }
            foreach ($this->placement->symbols as $other => $two) {
                $apart = hypot($one->middle[0] - $two->middle[0], $one->middle[1] - $two->middle[1]);
                $least = min($one->half, $one->symbol->reach()) + min($two->half, $two->symbol->reach());
                if ($id < $other && !$two->symbol->joins() && $two->symbol !== Symbol::Contact && $apart < $least) {
                    $this->found[] = "$id and $other lie on each other";
                }
            }
        }
    }

    /** What is in a block meets the rest at its edge only. */
    private function blocks(): void
    {
        $sheet = $this->placement->sheet;
        foreach ($sheet->blocks as $name => $block) {
            $inside = [];
            foreach ($block->elements as $id) {
                $element = $this->placement->netlist->elements[$id] ?? null;
                if ($element === null) {
                    $this->found[] = "$name holds $id, which is not in the netlist";
                    continue;
                }
                foreach ([$element->from, $element->to] as $node) {
                    $at = $sheet->nodes[$node] ?? null;
                    if ($at !== null && $node !== $this->placement->netlist->ground && !$block->hasOnEdge($at)) {
                        $this->found[] = "$node of $id does not stand on the edge of $name";
                    }
                    if ($at === null) {
                        $inside[$node] = true;
                    }
                }
            }
            foreach ($this->placement->symbols as $id => $one) {
                if (isset($inside[$one->element->from]) || isset($inside[$one->element->to])) {
                    $this->found[] = "$id reaches into $name";
                }
            }
            $middle = [$block->left + 0.5 * $block->width, $block->top + 0.5 * $block->height];
            foreach ($block->shape === 'pad' ? [] : $this->placement->wires as $wire) {
                if ($wire->enters($middle, 0.5 * $block->width, 0.5 * $block->height, 0.0)) {
                    $this->found[] = "$wire->element runs through $name";
                }
            }
        }
    }

    /** What carries current is drawn, or stands in a block. */
    private function unseen(): void
    {
        $seen = array_keys($this->placement->symbols);
        foreach ($this->placement->sheet->blocks as $block) {
            array_push($seen, ...$block->elements);
        }
        foreach (array_diff(array_keys($this->placement->netlist->elements), $seen) as $id) {
            if (abs($this->placement->state->current((string) $id)) > self::SEEN_FROM) {
                $this->found[] = "$id carries current and is not drawn";
            } elseif ($this->isLaid((string) $id)) {
                $this->found[] = "$id is laid for this test and is not drawn";
            }
        }
    }

    /** Whether it is open by itself, and closed here: a jumper, a lamp. */
    private function isLaid(string $id): bool
    {
        $element = $this->placement->netlist->elements[$id];

        return $element->type === ElementType::Resistor &&
            ($element->parameters['ohms'] ?? 0.0) >= Element::OPEN_OHMS &&
            !$this->placement->state->isOpen($id);
    }
}

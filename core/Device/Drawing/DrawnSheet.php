<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Drawing;

use Ispira\Core\Kernel\Keyed;

/**
 * A circuit sheet in one state of its circuit: what is closed, where current flows, the potential of each node.
 */
final readonly class DrawnSheet
{
    /** Current in A from which an element is drawn as live. */
    private const LIVE_FROM = 0.02;

    /**
     * @param Keyed<DrawnNode>   $nodes
     * @param list<DrawnElement> $elements
     * @param list<DrawnBlock>   $blocks
     * @param list<DrawnSign>    $signs
     * @param list<DrawnJoint>   $joints
     */
    public function __construct(
        public float $width,
        public float $height,
        public Keyed $nodes,
        public PotentialWords $potential,
        public array $elements,
        public array $blocks,
        public array $signs,
        public array $joints,
    ) {}

    /** @param array<array-key, string> $places where each node is found, in words */
    public static function of(Placement $placement, array $places, PotentialWords $potential): self
    {
        $sheet = $placement->sheet;
        $nodes = [];
        foreach ($sheet->nodes as $node => [$x, $y]) {
            if (!$placement->shows([$x, $y])) {
                continue;
            }
            $nodes[$node] = new DrawnNode(
                x: $x,
                y: $y,
                volts: $placement->state->potential((string) $node),
                place: $places[$node] ?? (string) $node,
            );
        }

        return new self(
            $sheet->width,
            $sheet->height,
            new Keyed($nodes),
            $potential,
            self::elements($placement),
            self::blocks($placement),
            array_map(
                static fn(array $sign): DrawnSign => new DrawnSign(
                    $sign['at'],
                    $sign['node'] === $placement->netlist->ground ? 'ground' : 'plus',
                    $sign['node'],
                ),
                $placement->signs(),
            ),
            array_map(
                static fn(array $at): DrawnJoint => new DrawnJoint($at, self::isLiveAt($placement, $at)),
                $placement->joints(),
            ),
        );
    }

    /** @return list<DrawnElement> */
    private static function elements(Placement $placement): array
    {
        $hops = $placement->hops();
        $alternates = $placement->netlist->alternates();
        $elements = [];
        foreach ($placement->symbols as $id => $one) {
            $current = $placement->state->current($id);
            $live = abs($current) > self::LIVE_FROM;
            $elements[] = new DrawnElement(
                id: $id,
                from: $one->element->from,
                to: $one->element->to,
                symbol: $one->symbol,
                label: $one->drawn->label,
                side: $one->drawn->side,
                at: $one->middle,
                angle: rad2deg($one->angle),
                half: $one->half,
                reach: $one->symbol->reach(),
                wires: array_map(static fn(Wire $wire): array => $wire->points, $one->wires),
                hops: $hops[$id] ?? [],
                live: $live,
                open: $one->open,
                flow: $live && !$alternates ? $current <=> 0.0 : 0,
            );
        }

        return $elements;
    }

    /** @return list<DrawnBlock> */
    private static function blocks(Placement $placement): array
    {
        $blocks = [];
        foreach ($placement->sheet->blocks as $id => $block) {
            $currents = array_map(
                static fn(string $element): float => abs($placement->state->current($element)),
                $block->elements,
            );
            $blocks[] = new DrawnBlock(
                $id,
                $block->label,
                $block->shape,
                $block->left,
                $block->top,
                $block->width,
                $block->height,
                $block->elements,
                max(0.0, ...$currents) > self::LIVE_FROM,
            );
        }

        return $blocks;
    }

    /** @param array{0: float, 1: float} $at */
    private static function isLiveAt(Placement $placement, array $at): bool
    {
        foreach ($placement->symbols as $id => $one) {
            foreach ($one->wires as $wire) {
                if ($wire->passes($at) && abs($placement->state->current($id)) > self::LIVE_FROM) {
                    return true;
                }
            }
        }

        return false;
    }
}

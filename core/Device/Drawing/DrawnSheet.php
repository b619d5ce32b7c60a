<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Drawing;

use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Circuit\SolvedState;
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
     */
    public function __construct(
        public float $width,
        public float $height,
        public Keyed $nodes,
        public PotentialWords $potential,
        public array $elements,
    ) {}

    /** @param array<array-key, string> $places where each node is found, in words */
    public static function of(
        Sheet $sheet,
        Netlist $netlist,
        SolvedState $point,
        array $places,
        PotentialWords $potential,
    ): self {
        $nodes = [];
        foreach ($sheet->nodes as $node => [$x, $y]) {
            $nodes[$node] = new DrawnNode(
                x: $x,
                y: $y,
                volts: $point->potential((string) $node),
                place: $places[$node] ?? (string) $node,
            );
        }
        $elements = [];
        foreach ($sheet->elements as $id => $drawn) {
            if ($drawn->with !== null && $point->isOpen($drawn->with)) {
                continue;
            }
            $element = $netlist->elements[$id];
            $elements[] = new DrawnElement(
                id: $id,
                from: $element->from,
                to: $element->to,
                symbol: $drawn->symbol,
                label: $drawn->label,
                bends: $drawn->bends,
                segment: $drawn->segment,
                side: $drawn->side,
                groundAt: $drawn->groundAt,
                groundEnd: $drawn->groundAt === null ? null : ($element->from === $netlist->ground ? 'from' : 'to'),
                live: abs($point->current($id)) > self::LIVE_FROM,
                open: $point->isOpen($id),
            );
        }

        return new self($sheet->width, $sheet->height, new Keyed($nodes), $potential, $elements);
    }
}

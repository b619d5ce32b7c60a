<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Drawing;

/**
 * Where the nodes of a netlist stand on the circuit sheet, and how its elements are drawn.
 *
 * Coordinates are in sheet units, x to the right and y down. An element runs in straight
 * lines from its first node over its bends to its second node.
 */
final readonly class Sheet
{
    /**
     * @param array<array-key, array{0: float, 1: float}> $nodes
     * @param array<string, SheetElement>              $elements by element id; others are not drawn
     * @param array<string, SheetBlock>                $blocks   by a name of their own
     */
    public function __construct(
        public float $width,
        public float $height,
        public array $nodes,
        public array $elements,
        public array $blocks = [],
    ) {}
}

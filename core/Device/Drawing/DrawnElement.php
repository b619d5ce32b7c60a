<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Drawing;

/**
 * An element as it stands on a sheet, in one state of its circuit.
 */
final readonly class DrawnElement
{
    /**
     * @param array{0: float, 1: float}             $at    middle of its sign
     * @param float                                 $angle of its length from the first terminal, in degrees
     * @param float                                 $half  of its length
     * @param float                                 $reach to either side of it
     * @param list<list<array{0: float, 1: float}>> $wires corners of the lines that lead to its sign, or of the line
     *     that it is
     * @param list<array{0: float, 1: float}>       $hops  places where such a line hops over another
     * @param bool                                  $open  apart: a contact, a plug, a wire that was taken off
     * @param int                                   $flow  1 where current flows from its first end to its second, -1
     *     the other way, 0 where none does or it alternates
     */
    public function __construct(
        public string $id,
        public string $from,
        public string $to,
        public Symbol $symbol,
        public string $label,
        public string $side,
        public array $at,
        public float $angle,
        public float $half,
        public float $reach,
        public array $wires,
        public array $hops,
        public bool $live,
        public bool $open,
        public int $flow,
    ) {}
}

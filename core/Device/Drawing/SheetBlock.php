<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Drawing;

/**
 * A part that is drawn as one sign with several terminals: a module, a motor of three brushes. What is inside is not
 * drawn; wires end at its edge.
 */
final readonly class SheetBlock
{
    /**
     * @param list<string> $elements of the netlist, all inside
     * @param 'box'|'motor'|'pad' $shape box, motor or pad (a place of several wires, without an outline of its own)
     */
    public function __construct(
        public string $label,
        public float $left,
        public float $top,
        public float $width,
        public float $height,
        public array $elements,
        public string $shape = 'box',
    ) {}

    /** @param array{0: float, 1: float} $point */
    public function hasOnEdge(array $point): bool
    {
        [$x, $y] = $point;
        $inside = $x >= $this->left - 0.5 && $x <= $this->left + $this->width + 0.5;
        $inside = $inside && $y >= $this->top - 0.5 && $y <= $this->top + $this->height + 0.5;

        return $inside && !$this->hasInside($point);
    }

    /** @param array{0: float, 1: float} $point */
    public function hasInside(array $point): bool
    {
        [$x, $y] = $point;

        return $x > $this->left + 0.5 &&
            $x < $this->left + $this->width - 0.5 &&
            $y > $this->top + 0.5 &&
            $y < $this->top + $this->height - 0.5;
    }
}

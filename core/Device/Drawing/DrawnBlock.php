<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Drawing;

/**
 * A part that is drawn as one sign with several terminals.
 */
final readonly class DrawnBlock
{
    /**
     * @param 'box'|'motor'|'pad' $shape
     * @param list<string>        $elements that are inside
     */
    public function __construct(
        public string $id,
        public string $label,
        public string $shape,
        public float $left,
        public float $top,
        public float $width,
        public float $height,
        public array $elements,
        public bool $live,
    ) {}
}

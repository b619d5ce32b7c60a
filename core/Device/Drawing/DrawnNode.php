<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Drawing;

/**
 * A node where it stands on a sheet.
 */
final readonly class DrawnNode
{
    /**
     * @param float|null $volts potential against the reference of the sheet; null where the node floats
     * @param string $place where it is found, in words
     */
    public function __construct(public float $x, public float $y, public ?float $volts, public string $place) {}
}

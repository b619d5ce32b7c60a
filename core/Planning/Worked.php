<?php

declare(strict_types=1);

namespace Ispira\Core\Planning;

use Ispira\Core\Device\Quantity;

/**
 * A value that was worked out of several readings, and that a test of the same quantity asks for.
 */
final readonly class Worked
{
    /** @param float $value in the base unit of the quantity; INF for open */
    public function __construct(public Quantity $quantity, public float $value, public string $label) {}
}

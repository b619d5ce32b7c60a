<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

use Ispira\Core\Device\Quantity;

/**
 * A value that a worksheet works out.
 */
final readonly class WorkedShown
{
    public function __construct(public string $label, public Quantity $quantity, public string $test) {}
}

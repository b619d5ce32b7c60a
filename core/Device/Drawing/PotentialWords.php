<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Drawing;

/**
 * What a potential is called in a circuit: volts, or vacuum.
 */
final readonly class PotentialWords
{
    public function __construct(public string $unit, public string $show, public string $hide, public string $supply) {}
}

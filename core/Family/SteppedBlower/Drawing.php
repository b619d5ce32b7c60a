<?php

declare(strict_types=1);

namespace Ispira\Core\Family\SteppedBlower;

use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Family\Sheet;

final readonly class Drawing
{
    public function __construct(private Variant $variant)
    {
    }

    public function sheet(Netlist $netlist): Sheet
    {
        return new Sheet(100, 100, [], []);
    }
}

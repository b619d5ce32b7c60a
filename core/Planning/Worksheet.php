<?php

declare(strict_types=1);

namespace Ispira\Core\Planning;

use Ispira\Core\Device\Quantity;

/**
 * A planner that works one value out of several readings, instead of planning what is done next.
 */
interface Worksheet extends Planner
{
    /** @return list<Quantity> that its worked values can be taken down as */
    public function quantities(): array;

    /** @return list<string> names of the only tests that they belong to; none for any of their quantity */
    public function tests(): array;
}

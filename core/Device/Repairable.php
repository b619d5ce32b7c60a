<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * A family that says more of its repairs than price and minutes of each part.
 */
interface Repairable
{
    public function repairSheet(): RepairSheet;
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * A family whose jobs have something to plan.
 */
interface Planned
{
    /** @return list<string> keys of planners, the likeliest first */
    public function planners(): array;
}

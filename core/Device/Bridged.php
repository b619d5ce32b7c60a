<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * A family with a part that may be kept running for some days.
 */
interface Bridged
{
    /** Its cautions, steps and sentences stand in the family's texts under "temporary". */
    public function temporaryRepair(): TemporaryRepair;
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Planning;

/**
 * A planner that takes what a job knows already, so that nobody types it twice.
 */
interface FilledFromJob extends Planner
{
    /** @return array<string, string> by field; what the job does not know is left out */
    public function filled(KnownOfJob $known): array;
}

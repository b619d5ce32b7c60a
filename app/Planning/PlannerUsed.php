<?php

declare(strict_types=1);

namespace App\Planning;

use Ispira\Core\Pages\Shown\KeptPlan;

/**
 * What a planner was used for: the answer that was kept last, and the jobs.
 */
final readonly class PlannerUsed
{
    /**
     * @param string $job  number and unit of the job in which it was kept last
     * @param int    $jobs how many jobs have kept one
     */
    public function __construct(public KeptPlan $last, public string $job, public int $jobs) {}
}

<?php

declare(strict_types=1);

namespace App\Planning;

use App\Http\Page;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Pages\Shown\PlannerHead;

final readonly class PlannersPage extends Page
{
    /**
     * @param list<PlannerHead>  $planners
     * @param Keyed<PlannerUsed> $used by planner
     */
    public function __construct(public array $planners, public Keyed $used) {}
}

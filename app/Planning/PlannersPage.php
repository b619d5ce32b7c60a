<?php

declare(strict_types=1);

namespace App\Planning;

use App\Http\Page;
use Ispira\Core\Pages\Shown\PlannerHead;

final readonly class PlannersPage extends Page
{
    /**
     * @param list<PlannerHead> $planners
     */
    public function __construct(public array $planners) {}
}

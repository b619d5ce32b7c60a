<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Device\Drawing\DrawnSheet;
use Ispira\Core\Device\Drawing\Placement;
use Ispira\Core\Device\Drawing\PotentialWords;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Pages\Shown\PlannerHead;
use Ispira\Core\Pages\Shown\PlanShown;
use Ispira\Core\Pages\Shown\WorkedShown;
use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\Planner;
use Ispira\Core\Planning\Worked;
use Ispira\Core\Planning\Worksheet;

/**
 * A plan as the page shows it.
 */
final class PlanView
{
    public static function head(Planner $planner): PlannerHead
    {
        return new PlannerHead(
            key: $planner->key(),
            name: $planner->texts()->get('name'),
            summary: $planner->texts()->get('summary'),
            measures: $planner instanceof Worksheet,
            tests: $planner instanceof Worksheet ? $planner->tests() : [],
        );
    }

    public static function of(Plan $plan): PlanShown
    {
        return new PlanShown(
            cautions: $plan->cautions,
            refusals: $plan->refusals,
            findings: $plan->findings,
            steps: $plan->steps,
            figures: $plan->figures,
            tables: $plan->tables,
            charts: $plan->charts,
            sheet: self::sheet($plan),
            worked: array_map(
                static fn(Worked $worked): WorkedShown => new WorkedShown(
                    label: $worked->label,
                    quantity: $worked->quantity,
                    test: $worked->test,
                ),
                $plan->worked,
            ),
        );
    }

    private static function sheet(Plan $plan): ?DrawnSheet
    {
        if ($plan->sheet === null || $plan->netlist === null) {
            return null;
        }
        $word = static fn(string $key): string => Words::general("potential.$key");

        return DrawnSheet::of(
            new Placement($plan->sheet, $plan->netlist, $plan->netlist->solver()->solve()),
            [],
            new PotentialWords($word('unit'), $word('show'), $word('hide'), $word('supply')),
        );
    }
}

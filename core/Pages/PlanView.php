<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Device\Drawing\DrawnSheet;
use Ispira\Core\Device\Drawing\Placement;
use Ispira\Core\Device\Drawing\PotentialWords;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Kernel\NumberLanguage;
use Ispira\Core\Pages\Shown\PlannerHead;
use Ispira\Core\Pages\Shown\PlanShown;
use Ispira\Core\Pages\Shown\WorkedShown;
use Ispira\Core\Planning\Figure;
use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\Planner;
use Ispira\Core\Planning\PlanTable;
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

    public static function of(Plan $plan, NumberLanguage $numbers = NumberLanguage::Point): PlanShown
    {
        return new PlanShown(
            cautions: $numbers->all($plan->cautions),
            refusals: $numbers->all($plan->refusals),
            findings: $numbers->all($plan->findings),
            steps: $numbers->all($plan->steps),
            figures: array_map(
                static fn(Figure $one): Figure => new Figure(
                    $numbers->said($one->label),
                    $numbers->said($one->value),
                    $one->standing,
                    $numbers->said($one->note),
                ),
                $plan->figures,
            ),
            tables: array_map(
                static fn(PlanTable $one): PlanTable => new PlanTable(
                    $numbers->said($one->title),
                    $numbers->all($one->columns),
                    $numbers->all($one->rows),
                    $one->marked,
                ),
                $plan->tables,
            ),
            charts: $plan->charts,
            sheet: self::sheet($plan),
            worked: array_map(
                static fn(Worked $worked): WorkedShown => new WorkedShown(
                    label: $numbers->said($worked->label),
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

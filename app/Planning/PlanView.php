<?php

declare(strict_types=1);

namespace App\Planning;

use Ispira\Core\Device\DrawnSheet;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\Planner;
use Ispira\Core\Planning\Worked;
use Ispira\Core\Planning\Worksheet;

/**
 * A plan as the page shows it.
 */
final class PlanView
{
    /** @return array{key: string, name: string, summary: string, measures: bool, tests: list<string>} */
    public static function head(Planner $planner): array
    {
        return [
            'key' => $planner->key(),
            'name' => $planner->texts()->get('name'),
            'summary' => $planner->texts()->get('summary'),
            'measures' => $planner instanceof Worksheet,
            'tests' => $planner instanceof Worksheet ? $planner->tests() : [],
        ];
    }

    /** @return array<string, mixed> */
    public static function of(Plan $plan): array
    {
        return [
            'cautions' => $plan->cautions,
            'refusals' => $plan->refusals,
            'findings' => $plan->findings,
            'steps' => $plan->steps,
            'figures' => array_map(get_object_vars(...), $plan->figures),
            'tables' => array_map(get_object_vars(...), $plan->tables),
            'charts' => array_map(get_object_vars(...), $plan->charts),
            'sheet' => self::sheet($plan),
            'worked' => array_map(
                static fn(Worked $worked): array => [
                    'label' => $worked->label,
                    'quantity' => $worked->quantity->value,
                    'test' => $worked->test,
                ],
                $plan->worked,
            ),
        ];
    }

    /** @return array<string, mixed>|null */
    private static function sheet(Plan $plan): ?array
    {
        if ($plan->sheet === null || $plan->netlist === null) {
            return null;
        }
        $words = [];
        foreach (['unit', 'show', 'hide', 'supply'] as $key) {
            $words[$key] = Words::general("potential.$key");
        }

        return DrawnSheet::of($plan->sheet, $plan->netlist, $plan->netlist->solver()->solve(), [], $words);
    }
}

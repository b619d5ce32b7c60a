<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

use Ispira\Core\Device\Drawing\DrawnSheet;
use Ispira\Core\Planning\Chart;
use Ispira\Core\Planning\Figure;
use Ispira\Core\Planning\PlanTable;

/**
 * What a planner answers.
 */
final readonly class PlanShown
{
    /**
     * @param list<string> $cautions
     * @param list<string> $refusals
     * @param list<string> $findings
     * @param list<string> $steps
     * @param list<Figure> $figures
     * @param list<PlanTable> $tables
     * @param list<Chart> $charts
     * @param list<WorkedShown> $worked
     */
    public function __construct(
        public array $cautions,
        public array $refusals,
        public array $findings,
        public array $steps,
        public array $figures,
        public array $tables,
        public array $charts,
        public ?DrawnSheet $sheet,
        public array $worked,
    ) {}
}

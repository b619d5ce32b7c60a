<?php

declare(strict_types=1);

namespace Ispira\Core\Planning;

use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Device\Drawing\Sheet;

/**
 * What a planner found, in the order in which it is read: cautions, what is refused, what to do, figures, tables,
 * pictures.
 */
final readonly class Plan
{
    /**
     * @param list<string>    $cautions
     * @param list<string>    $refusals  why something asked for must not be done
     * @param list<string>    $findings
     * @param list<string>    $steps     in their order
     * @param list<Figure>    $figures
     * @param list<PlanTable> $tables
     * @param list<Chart>     $charts
     * @param Sheet|null      $sheet     a circuit, with its netlist
     * @param list<Worked>    $worked    values that can be taken down as readings of a job
     */
    public function __construct(
        public array $cautions = [],
        public array $refusals = [],
        public array $findings = [],
        public array $steps = [],
        public array $figures = [],
        public array $tables = [],
        public array $charts = [],
        public ?Sheet $sheet = null,
        public ?Netlist $netlist = null,
        public array $worked = [],
    ) {}
}

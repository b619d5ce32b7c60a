<?php

declare(strict_types=1);

namespace Ispira\Core\Planning;

/**
 * Rows of text under named columns.
 */
final readonly class PlanTable
{
    /**
     * @param list<string>       $columns
     * @param list<list<string>> $rows
     * @param list<int>          $marked  numbers of the rows that stand out
     */
    public function __construct(
        public string $title,
        public array $columns,
        public array $rows,
        public array $marked = [],
    ) {}
}

<?php

declare(strict_types=1);

namespace App\Learning;

use App\Http\Page;
use Ispira\Core\Kernel\Choice;

/** What came of the closed jobs. */
final readonly class ResultsPage extends Page
{
    /**
     * @param list<Choice> $ways
     * @param string $from  first month, YYYY-MM
     * @param string $until last month
     * @param list<ResultRow> $rows
     * @param list<ResultRow> $months the same jobs by month, the oldest first
     */
    public function __construct(
        public ResultsBy $by,
        public array $ways,
        public string $from,
        public string $until,
        public ResultRow $all,
        public array $rows,
        public array $months,
    ) {}
}

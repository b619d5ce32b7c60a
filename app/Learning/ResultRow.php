<?php

declare(strict_types=1);

namespace App\Learning;

use Ispira\Core\Learning\Share;

/**
 * Results of some jobs together.
 */
final readonly class ResultRow
{
    /**
     * @param string $of   what they have in common, as an address says it
     * @param int    $jobs closed ones
     * @param Share  $right of those whose end says it, how many were right the first time
     * @param float|null $minutes a job, between its readings and without breaks
     * @param float|null $avoidable money a job that a perfect guess had saved: for tests, for parts in vain and for
     *     coming back; over jobs whose price of guessing is known
     * @param float|null $guessing what buying on the speed map would have taken in its place, of the same jobs
     */
    public function __construct(
        public string $of,
        public string $label,
        public int $jobs,
        public Share $right,
        public int $cameBack,
        public ?float $minutes,
        public ?float $avoidable,
        public ?float $guessing,
    ) {}
}

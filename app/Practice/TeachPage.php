<?php

declare(strict_types=1);

namespace App\Practice;

use App\Http\Page;

final readonly class TeachPage extends Page
{
    /**
     * @param list<CircuitKinds>   $circuits
     * @param list<SetShown>       $sets
     * @param list<ExerciseListed> $results of others and one's own, newest first, that who did them has seen
     * @param int                  $unseen  results that who did them has not looked at yet
     */
    public function __construct(
        public array $circuits,
        public int $mostUnits,
        public array $sets,
        public array $results,
        public int $unseen,
    ) {}
}

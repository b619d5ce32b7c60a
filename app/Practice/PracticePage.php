<?php

declare(strict_types=1);

namespace App\Practice;

use App\Http\Page;

final readonly class PracticePage extends Page
{
    /**
     * @param list<LadderShown>    $ladders
     * @param string               $usual the family that the workshop meets most
     * @param list<ExerciseListed> $going that are not over
     * @param list<ExerciseListed> $over  newest first
     * @param list<SetShown>       $sets
     * @param list<string>         $replayed families of which the workshop has proven jobs to replay
     * @param list<string>         $watch what went wrong in several of the newest
     * @param bool                 $teaches whether the person may set exercises
     */
    public function __construct(
        public array $ladders,
        public string $usual,
        public ?NextShown $next,
        public array $going,
        public array $over,
        public array $sets,
        public array $replayed,
        public array $watch,
        public bool $teaches,
    ) {}
}

<?php

declare(strict_types=1);

namespace App\Units;

use App\Http\Page;
use App\Jobs\JobListed;
use App\Learning\LessonShown;
use Ispira\Core\Pages\Shown\RouteShown;

final readonly class ModelPage extends Page
{
    /**
     * @param list<UnitNear> $units
     * @param list<JobListed> $jobs the newest first
     * @param bool $more whether there are older ones
     * @param list<LessonShown> $lessons of verdicts that did not hold
     * @param list<ReplacedCount> $replaced what was replaced, the most often first, in those jobs
     */
    public function __construct(
        public string $model,
        public array $units,
        public array $jobs,
        public bool $more,
        public array $replaced,
        public ?RouteShown $route,
        public array $lessons,
    ) {}
}

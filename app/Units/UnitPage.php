<?php

declare(strict_types=1);

namespace App\Units;

use App\Http\Page;
use App\Jobs\JobListed;
use Ispira\Core\Diagnosis\Presentation\Shown\LearnedShown;
use Ispira\Core\Pages\Shown\RouteShown;

final readonly class UnitPage extends Page
{
    /**
     * @param list<JobListed> $jobs the newest first
     * @param bool $more whether there are older ones
     * @param list<FittedPart> $fitted the newest first
     * @param RouteShown|null $route that is usually taken to what is replaced
     * @param list<LearnedShown> $learned from the readings of the newest job on the bench
     * @param string|null $learnedIn number of that job
     * @param list<UnitNear> $alike that may be the same unit twice
     */
    public function __construct(
        public string $id,
        public string $name,
        public ?string $place,
        public ?string $model,
        public ?string $note,
        public bool $retired,
        public array $jobs,
        public bool $more,
        public array $fitted,
        public ?RouteShown $route,
        public array $learned,
        public ?string $learnedIn,
        public array $alike,
    ) {}
}

<?php

declare(strict_types=1);

namespace App\Learning;

use App\Http\Page;
use App\Jobs\JobListed;

/** The jobs behind one number of the results. */
final readonly class ResultJobsPage extends Page
{
    /**
     * @param string $title what they have in common
     * @param list<JobListed> $jobs the newest first
     * @param bool $more whether there are older ones
     * @param string $back address of the results
     */
    public function __construct(
        public string $title,
        public string $which,
        public array $jobs,
        public bool $more,
        public string $back,
    ) {}
}

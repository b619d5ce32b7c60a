<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Page;

final readonly class JobsPage extends Page
{
    /**
     * @param list<JobListed> $jobs
     */
    public function __construct(public string $search, public array $jobs) {}
}

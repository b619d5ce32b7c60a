<?php

declare(strict_types=1);

namespace App\Jobs;

/**
 * Jobs under one heading.
 */
final readonly class JobGroup
{
    /**
     * @param ListView|null $view that shows all of them; null where these are all
     * @param list<JobListed> $jobs
     */
    public function __construct(
        public string $title,
        public ?ListView $view,
        public int $count,
        public bool $more,
        public array $jobs,
    ) {}
}

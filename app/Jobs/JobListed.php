<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Job;
use Ispira\Core\Job\Shown\JobHead;

/**
 * A job in the list of jobs, with its strip in small.
 */
final readonly class JobListed
{
    /**
     * @param list<StripBar> $strip
     */
    public function __construct(public JobHead $job, public array $strip) {}

    public static function of(Job $job): self
    {
        return new self(job: JobView::head($job), strip: SmallStrip::of($job));
    }
}

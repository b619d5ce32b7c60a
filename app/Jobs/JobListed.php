<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Job;
use App\Models\Workshop;
use Illuminate\Database\Eloquent\Collection;
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

    /**
     * @param Collection<int, Job> $jobs with unit, owner and replacements
     *
     * @return list<self>
     */
    public static function all(Workshop $workshop, Collection $jobs): array
    {
        return array_values(
            $jobs->map(static fn(Job $job): self => self::of($job->setRelation('workshop', $workshop)))->all(),
        );
    }

    public static function of(Job $job): self
    {
        return new self(job: JobView::head($job), strip: SmallStrip::of($job));
    }
}

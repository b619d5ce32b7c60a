<?php

declare(strict_types=1);

namespace App\Jobs;

use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Job\Shown\Cell;
use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Kernel\Keyed;

/**
 * A job in the list of jobs, with its strip in small.
 */
final readonly class JobListed
{
    /**
     * @param list<Cell> $positions
     * @param Keyed<SpeedState> $states
     */
    public function __construct(public JobHead $job, public array $positions, public Keyed $states) {}
}

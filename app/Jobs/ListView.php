<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Job;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Ispira\Core\Job\JobStage;

/**
 * Which jobs a list shows.
 */
enum ListView: string
{
    case Mine = 'mine';
    case Bench = 'bench';
    case Proof = 'proof';
    case Circuit = 'circuit';
    case Part = 'part';
    case Due = 'due';
    case StillOpen = 'still-open';
    case Countersign = 'countersign';
    case Closed = 'closed';
    case All = 'all';

    public function title(): string
    {
        return match ($this) {
            self::Mine => 'Mine',
            self::Bench => 'On the bench',
            self::Proof => 'To be proved',
            self::Circuit => 'Circuit not entered yet',
            self::Part => 'Waits for a part',
            self::Due => 'Due',
            self::StillOpen => 'Something left open',
            self::Countersign => 'To be countersigned',
            self::Closed => 'Closed',
            self::All => 'All',
        };
    }

    /**
     * @param Builder<Job> $jobs of the workshop
     *
     * @return Builder<Job>
     */
    public function only(Builder $jobs, User $user): Builder
    {
        // Practice is found where it is begun, and counts in no list of work.
        $jobs->whereNull('practice_fault');

        return match ($this) {
            self::Mine => $jobs
                ->where('owner_id', $user->id)
                ->whereIn('stage', [JobStage::Circuit, JobStage::Bench, JobStage::Proof]),
            self::Bench => $jobs->where('stage', JobStage::Bench),
            self::Proof => $jobs->where('stage', JobStage::Proof),
            self::Circuit => $jobs->where('stage', JobStage::Circuit),
            self::Closed => $jobs->where('stage', JobStage::Closed),
            self::Part => $jobs->whereNotNull('part_expected_on'),
            self::Due => $jobs->whereNotNull('due_on')->where('due_on', '<=', now()->toDateString()),
            self::StillOpen => $jobs->where('still_open', '>', 0),
            self::Countersign => $jobs->where('countersign_due', true),
            self::All => $jobs,
        };
    }
}

<?php

declare(strict_types=1);

namespace App\Repair;

use App\Bench\ReadingRefused;
use App\Http\EnteredAt;
use App\Models\Job;
use App\Models\Replacement;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\Replaced;

/**
 * Notes what was replaced and sends the job to its proof.
 */
final readonly class RecordReplacement
{
    public function __construct(private EnteredAt $entered) {}

    /** @throws ReadingRefused when the job has left the bench */
    public function __invoke(User $user, Job $job, Replaced $replaced): Replacement
    {
        return DB::transaction(function () use ($user, $job, $replaced): Replacement {
            $locked = $job->locked();
            $existing = Replacement::query()->where('id', $replaced->id)->where('job_id', $job->id)->first();
            if ($existing instanceof Replacement) {
                return $existing;
            }
            if ($locked->stage !== JobStage::Bench) {
                throw new ReadingRefused('This job has moved on in another window. Reload to see where it stands.');
            }
            $replacement = Replacement::query()->create([
                'id' => $replaced->id,
                'job_id' => $job->id,
                'user_id' => $user->id,
                'remedy' => $replaced->remedy,
                'part_number' => $replaced->partNumber,
                'note' => $replaced->note,
                'verdict' => $replaced->verdict,
                'temporary_until' => $replaced->temporaryUntil,
                'replaced_at' => $this->entered->moment(),
            ]);
            $locked->update(['stage' => JobStage::Proof]);

            return $replacement;
        });
    }
}

<?php

declare(strict_types=1);

namespace App\Repair;

use App\Bench\ReadingRefused;
use App\Models\Job;
use App\Models\Replacement;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Job\JobStage;

/**
 * Notes what was replaced and sends the job to its proof.
 */
final readonly class RecordReplacement
{
    /** @param array<string, mixed>|null $verdict as it stood when the part was chosen */
    public function __invoke(
        User $user,
        Job $job,
        string $id,
        string $remedy,
        ?string $partNumber,
        ?string $note,
        ?array $verdict,
        ?string $temporaryUntil = null,
    ): Replacement {
        return DB::transaction(function () use (
            $user,
            $job,
            $id,
            $remedy,
            $partNumber,
            $note,
            $verdict,
            $temporaryUntil,
        ): Replacement {
            $locked = Job::query()->whereKey($job->id)->lockForUpdate()->firstOrFail();
            $existing = Replacement::query()->where('id', $id)->where('job_id', $job->id)->first();
            if ($existing instanceof Replacement) {
                return $existing;
            }
            if ($locked->stage !== JobStage::Bench) {
                throw new ReadingRefused('This job has moved on in another window. Reload to see where it stands.');
            }
            $replacement = Replacement::query()->create([
                'id' => $id,
                'job_id' => $job->id,
                'user_id' => $user->id,
                'remedy' => $remedy,
                'part_number' => $partNumber,
                'note' => $note,
                'verdict' => $verdict,
                'temporary_until' => $temporaryUntil,
                'replaced_at' => now(),
            ]);
            $locked->update(['stage' => JobStage::Proof]);

            return $replacement;
        });
    }
}

<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\EnteredAt;
use App\Models\Job;
use App\Models\Reading;
use App\Models\SpeedMap;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\MapKind;

/**
 * Stores a speed map: each cell that was tried is a reading.
 */
final readonly class RecordMap
{
    public function __construct(private EnteredAt $entered) {}

    /** @param array<string, string> $states by position; positions that were not tried are left out */
    public function __invoke(
        User $user,
        Job $job,
        string $id,
        MapKind $kind,
        ?string $notedFor,
        array $states,
    ): SpeedMap {
        return DB::transaction(function () use ($user, $job, $id, $kind, $notedFor, $states): SpeedMap {
            // The row of the job alone is locked: a lock on a map that is not there yet locks the gap for every other job.
            $locked = $job->locked();
            $existing = SpeedMap::query()->whereKey($id)->first();
            if ($existing instanceof SpeedMap) {
                return $existing->job_id === $job->id
                    ? $existing
                    : throw ValidationException::withMessages([
                        'states' => 'This map was not accepted. Reload the page and note it again.',
                    ]);
            }
            if ($locked->stage === JobStage::Closed) {
                throw ValidationException::withMessages([
                    'states' => 'This job was closed meanwhile: the map was not noted. Reopen it first.',
                ]);
            }
            if (array_diff_key($states, $locked->circuit()->positions) !== []) {
                throw ValidationException::withMessages([
                    'states' => 'The circuit of this job was changed meanwhile. Reload the page.',
                ]);
            }
            $now = $this->entered->moment();
            $episode = $kind === MapKind::Remembered ? 0 : $job->replacements()->count();
            $map = new SpeedMap([
                'job_id' => $job->id,
                'kind' => $kind,
                'noted_for' => $notedFor,
                'episode' => $episode,
                'taken_at' => $now,
            ]);
            $map->id = $id;
            $map->save();
            foreach ($states as $position => $state) {
                Reading::query()->create([
                    'id' => (string) Str::ulid(),
                    'job_id' => $job->id,
                    'speed_map_id' => $id,
                    'user_id' => $user->id,
                    'test' => "speed@$position",
                    'choice' => $state,
                    'trust' => $kind->trust(),
                    'episode' => $episode,
                    'taken_at' => $now,
                ]);
            }
            $job->touch();

            return $map;
        });
    }
}

<?php

declare(strict_types=1);

namespace App\Bench;

use App\Http\EnteredAt;
use App\Models\Job;
use App\Models\Reading;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Diagnosis\Inference\PredictionStore;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\ReadingsFormat;
use Ispira\Core\Quality\Doubt;
use Ispira\Core\Quality\QualityCheck;
use Ispira\Core\Reading\Reading as CoreReading;
use Ispira\Core\Reading\Trust;

/**
 * Adds a reading to a job, with what is doubtful about it. The same id sent again is the same reading.
 */
final readonly class RecordReading
{
    public function __construct(private PredictionStore $store, private EnteredAt $entered) {}

    /** @throws ReadingRefused when the id belongs to another job's reading */
    public function __invoke(User $user, Job $job, CoreReading $reading, ?Carbon $takenAt = null): Reading
    {
        return DB::transaction(function () use ($user, $job, $reading, $takenAt): Reading {
            $locked = $job->locked();
            $existing = Reading::query()->where('id', $reading->id)->first();
            if ($existing instanceof Reading) {
                return $existing->job_id === $job->id
                    ? $existing
                    : throw new ReadingRefused('This reading was not accepted. Reload the page and take it again.');
            }
            if ($locked->stage === JobStage::Closed) {
                throw new ReadingRefused(
                    'This job was closed meanwhile: the reading was not recorded. Reopen it first.',
                );
            }
            if ($locked->readings()->count() >= ReadingsFormat::MOST_READINGS) {
                throw new ReadingRefused(
                    'This job holds ' .
                        ReadingsFormat::MOST_READINGS .
                        ' readings, which is the most: the reading was not recorded. Open a new job for the machine.',
                );
            }
            $circuit = $locked->circuit();
            // The circuit may have been changed in another window since the page was loaded.
            isset($circuit->tests[$reading->test]) ||
                throw new ReadingRefused('The circuit of this job was changed meanwhile. Reload the page.');
            // What was seen before the job was seen on the machine as it was then.
            $remembered = $reading->trust === Trust::Remembered;
            $episode = $remembered ? 0 : $locked->replacements->count();
            // What is chosen from a list is not measured: nothing to look up for it.
            $doubts =
                is_string($reading->value) || $remembered
                    ? []
                    : (new QualityCheck($this->store))->of(
                        $circuit,
                        $locked->caseFile(),
                        $reading->inEpisode($episode),
                        $user->displayUnits(),
                    );
            $stored = Reading::query()->create([
                'id' => $reading->id,
                'job_id' => $job->id,
                'user_id' => $user->id,
                ...Reading::columns($reading),
                'episode' => $episode,
                'doubts' =>
                    $doubts === [] ? null : array_map(static fn(Doubt $doubt): array => $doubt->toArray(), $doubts),
                'taken_at' => $takenAt ?? $this->entered->moment(),
            ]);
            // Only what is seen or heard can leave something to look into.
            is_string($reading->value) ? $locked->recountOpen() : $locked->touch();

            return $stored;
        });
    }
}

<?php

declare(strict_types=1);

namespace App\Learning;

use App\Jobs\JobStates;
use App\Models\Job;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Diagnosis\Inference\Odds;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\JobState;
use Ispira\Core\Learning\JobResult;
use Ispira\Core\Learning\NotedTerms;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * Keeps what came of a job beside it, so that pages count thousands of jobs without reading them.
 */
final class ResultOfJob
{
    private function __construct() {}

    /** As the job stands now. */
    public static function note(Job $job): void
    {
        $job = $job->fresh() ?? $job;
        if ($job->stage !== JobStage::Closed && !$job->replacements()->exists()) {
            DB::table('job_results')->where('job_id', $job->id)->delete();
            ProvenCounts::replace($job->id, []);
            DB::table('lessons')->where('job_id', $job->id)->delete();
            DB::table('noted_terms')->where('job_id', $job->id)->delete();

            return;
        }
        // What came of it is counted, not diagnosed.
        $state = JobStates::of($job, Odds::shipped());
        $result = JobResult::of($state, $job->workshop->decisionSettings(), $job->workshop->hours());
        $of = [
            'workshop_id' => $job->workshop_id,
            'family' => $job->family,
            'model' => trim((string) $job->unit->model),
        ];
        self::keepResult($job, $state, $result, $of);
        self::keepProven($job, $result, $of);
        self::keepLesson($state, $of);
        self::keepTerms($job, $state, $of);
    }

    /** @param array<string, mixed> $of */
    private static function keepResult(Job $job, JobState $state, ?JobResult $result, array $of): void
    {
        if ($result === null) {
            DB::table('job_results')->where('job_id', $job->id)->delete();

            return;
        }
        DB::table('job_results')->updateOrInsert(
            ['job_id' => $job->id],
            $of + [
                'owner_id' => $job->owner_id,
                'closed_on' => $state->is(JobStage::Closed) ? $job->closed_at?->toDateString() : null,
                'right_first' => $result->rightFirst,
                'came_back' => $result->cameBack,
                'in_vain' => $result->isInVain(),
                'minutes' => $result->minutes,
                'avoidable' => $result->avoidable,
                'guessing' => $result->guessing,
                'verdicts' => json_encode($result->verdicts),
            ],
        );
    }

    /**
     * The lesson that was noted last; none where what it is about is said to have held after all.
     *
     * @param array<string, mixed> $of
     */
    private static function keepLesson(JobState $state, array $of): void
    {
        $lesson = $state->ledger->latest(EntryKind::Lesson);
        $about = null;
        foreach ($state->replacements as $one) {
            $about = $one->id === $lesson?->text('replacement') ? $one : $about;
        }
        if ($lesson === null || $about === null || $state->practice !== null || $state->held($about->id) !== false) {
            DB::table('lessons')->where('job_id', $state->head->id)->delete();

            return;
        }
        DB::table('lessons')->updateOrInsert(
            ['job_id' => $state->head->id],
            $of + [
                'remedy' => $about->remedy,
                'lesson' => $lesson->text('lesson'),
                'noted_at' => $lesson->at === null ? null : Carbon::parse($lesson->at),
            ],
        );
    }

    /** @param array<string, mixed> $of */
    private static function keepTerms(Job $job, JobState $state, array $of): void
    {
        DB::table('noted_terms')->where('job_id', $job->id)->delete();
        $rows = [];
        foreach (
            $state->is(JobStage::Closed) ? NotedTerms::of($state, $job->unit_id, $job->workshop->hours()) : []
            as $one
        ) {
            $rows[] = $of + [
                'job_id' => $job->id,
                'kind' => $one->kind->value,
                'term' => $one->key,
                'source' => mb_substr($one->source, 0, 120),
                'value' => $one->value,
                'unit_id' => $one->unit,
                'noted_on' => $one->on,
            ];
        }
        DB::table('noted_terms')->insert($rows);
    }

    /** @param array<string, mixed> $of */
    private static function keepProven(Job $job, ?JobResult $result, array $of): void
    {
        $proven = $result?->proven;
        $rows = [];
        foreach ($proven === null ? [] : ($proven->faults === [] ? ['' => 1.0] : $proven->faults) as $fault => $share) {
            $rows[] = $of + [
                'job_id' => $job->id,
                'remedy' => $proven?->remedy,
                'fault' => (string) $fault,
                'share' => $share,
            ];
        }
        ProvenCounts::replace($job->id, $rows);
    }
}

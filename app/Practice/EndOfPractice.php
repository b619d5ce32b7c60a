<?php

declare(strict_types=1);

namespace App\Practice;

use App\Jobs\JobStates;
use App\Models\Exercise;
use App\Models\ExerciseAct;
use App\Models\Job;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Job\PracticeActKind;
use Ispira\Core\Pages\BenchPages;

/**
 * An exercise that is over: its points are kept as they are at that moment.
 */
final class EndOfPractice
{
    private function __construct() {}

    /** A practice job that was closed: what was replaced is what was named. */
    public static function closed(Job $job): void
    {
        if ($job->exercise === null || $job->practice()?->isOver() === true) {
            return;
        }
        $replaced = $job->replacements()->pluck('remedy')->all();
        ExerciseAct::query()->create([
            'id' => strtolower((string) Str::ulid()),
            'job_id' => $job->id,
            'user_id' => $job->user_id,
            'kind' => PracticeActKind::Named,
            'data' => [
                'remedy' => $replaced === [] ? HypothesisList::NOTHING_WRONG : (string) $replaced[0],
            ],
            'after' => $job->readings()->where('episode', 0)->count(),
            'done_at' => now(),
        ]);
        self::note($job, now());
    }

    public static function note(Job $job, Carbon $at): void
    {
        $score = app(BenchPages::class)->score(JobStates::of($job->refresh()))?->score;
        Exercise::query()
            ->where('job_id', $job->id)
            ->whereNull('over_at')
            ->update([
                'over_at' => $at,
                'points' => $score->points ?? 0,
                'passed' => $score->passed ?? false,
                'result' => json_encode([
                    'verdict' => $score->verdict ?? '',
                    'hidden' => $score->hidden ?? '',
                    'weak' => $score->weak ?? [],
                    'minutes' => $score === null ? 0.0 : $score->courses[0]->minutes,
                    'believed' => $score->believed ?? null,
                ]),
            ]);
    }
}

<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Learning\OwnOdds;
use App\Models\Job;
use App\Models\ProcedureRun;
use App\Models\Reading;
use App\Models\Replacement;
use App\Models\SpeedMap;
use Ispira\Core\Diagnosis\Inference\Odds;
use Ispira\Core\Job\FiledReading;
use Ispira\Core\Job\JobState;
use Ispira\Core\Job\MapKind;
use Ispira\Core\Job\Replaced;
use Ispira\Core\Procedure\StartedRun;
use Ispira\Core\Quality\Doubt;

/**
 * A stored job as the core knows one.
 */
final class JobStates
{
    private function __construct() {}

    /** @param Odds|null $odds with which its diagnosis begins; null for those of its workshop */
    public static function of(Job $job, ?Odds $odds = null): JobState
    {
        return new JobState(
            JobView::head($job),
            $job->family,
            $job->parameters,
            $job->part,
            $job->circuit(),
            $job->repairSheet(),
            self::readings($job),
            self::maps($job),
            self::replaced($job),
            $job->ledger(),
            $job->practice(),
            odds: $odds ?? OwnOdds::of($job),
        );
    }

    /** The same with its procedures, which few pages need: each is read from its text. */
    public static function withRuns(Job $job): JobState
    {
        return self::of($job)->with(
            runs: array_values($job->runs->map(static fn(ProcedureRun $one): StartedRun => $one->toCore())->all()),
        );
    }

    /**
     * @return list<FiledReading>
     */
    public static function readings(Job $job): array
    {
        $names = $job->workshop->names();

        return array_values(
            $job->readings
                ->map(
                    static fn(Reading $reading): FiledReading => new FiledReading(
                        $reading->toCore(),
                        $reading->speed_map_id,
                        $reading->taken_at->toIso8601String(),
                        $reading->strike?->struck_at->toIso8601String(),
                        $reading->strike?->reason,
                        array_map(
                            static fn(array $doubt): Doubt => new Doubt($doubt['rule'], $doubt['sentence']),
                            $reading->doubts ?? [],
                        ),
                        $reading->kept?->kept_at->toIso8601String(),
                        $reading->author ?? ($names[$reading->user_id] ?? ''),
                    ),
                )
                ->all(),
        );
    }

    /** @return list<Replaced> */
    public static function replaced(Job $job): array
    {
        return array_values(
            $job->replacements
                ->map(static fn(Replacement $one): Replaced => $one->toCore($job->workshop->names()))
                ->all(),
        );
    }

    /** @return list<array{id: string, kind: MapKind, notedFor: string|null, episode: int}> */
    public static function maps(Job $job): array
    {
        return array_values(
            $job->maps
                ->map(
                    static fn(SpeedMap $map): array => [
                        'id' => $map->id,
                        'kind' => $map->kind,
                        'notedFor' => $map->noted_for,
                        'episode' => $map->episode,
                    ],
                )
                ->all(),
        );
    }
}

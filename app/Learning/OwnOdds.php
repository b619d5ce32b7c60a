<?php

declare(strict_types=1);

namespace App\Learning;

use App\Models\Job;
use App\Models\Workshop;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Inference\Odds;
use Ispira\Core\Learning\Counted;
use Ispira\Core\Learning\CountedFault;
use Ispira\Core\Learning\LearnedOdds;

/**
 * The odds that a workshop has of its own.
 */
final class OwnOdds
{
    private function __construct() {}

    /** With which a job's diagnosis begins. */
    public static function of(Job $job): Odds
    {
        if ($job->practice_fault !== null || $job->workshop->odds !== Workshop::OWN_ODDS) {
            return Odds::shipped();
        }

        return self::learned($job->workshop, $job->circuit(), $job->family, (string) $job->unit->model)->odds;
    }

    public static function learned(
        Workshop $workshop,
        CircuitModel $circuit,
        string $family,
        string $model,
    ): LearnedOdds {
        return self::from($circuit, [...self::own($workshop, $family), ...self::taken($workshop, $family)], $model);
    }

    /** @param list<CountedFault> $counts of the family */
    public static function from(CircuitModel $circuit, array $counts, string $model): LearnedOdds
    {
        [$others, $own] = self::apart($counts, $model);

        return LearnedOdds::of($circuit, $others, $own);
    }

    /** @return list<CountedFault> of its own proven jobs, of one family or of all */
    public static function own(Workshop $workshop, ?string $family = null): array
    {
        return self::counted(
            DB::table('proven_counts')
                ->where('workshop_id', $workshop->id)
                ->when($family !== null, static fn($rows) => $rows->where('family', $family))
                ->where('jobs', '>', ProvenCounts::NOTHING)
                ->orderBy('family')
                ->orderBy('model')
                ->orderBy('remedy')
                ->orderBy('fault')
                ->get(['family', 'model', 'remedy', 'fault', 'jobs'])
                ->all(),
        );
    }

    /** @return list<CountedFault> of what was taken in, by its weight */
    public static function taken(Workshop $workshop, string $family): array
    {
        return self::counted(
            DB::table('experiences')
                ->join('experience_faults', 'experience_faults.experience_id', '=', 'experiences.id')
                ->where('workshop_id', $workshop->id)
                ->where('family', $family)
                ->get(['family', 'model', 'remedy', 'fault', DB::raw('weight * experience_faults.jobs as jobs')])
                ->all(),
        );
    }

    /**
     * @param array<\stdClass> $rows
     *
     * @return list<CountedFault>
     */
    private static function counted(array $rows): array
    {
        return array_values(
            array_map(
                static fn(\stdClass $row): CountedFault => new CountedFault(
                    (string) $row->family,
                    (string) $row->model,
                    (string) $row->remedy,
                    (string) $row->fault,
                    (float) $row->jobs,
                ),
                $rows,
            ),
        );
    }

    /**
     * @param list<CountedFault> $counts
     *
     * @return array{Counted, Counted} of other models, and of the model itself
     */
    private static function apart(array $counts, string $model): array
    {
        $model = mb_strtolower(trim($model));
        $others = $own = [];
        foreach ($counts as $one) {
            $ofModel = $model !== '' && mb_strtolower($one->model) === $model;
            $ofModel ? ($own[] = $one) : ($others[] = $one);
        }

        return [Counted::faults($others), Counted::faults($own)];
    }
}

<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Job;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Job\MapKind;
use Ispira\Core\Job\Shown\Cell;
use Ispira\Core\Job\Shown\MapShown;
use Ispira\Core\Job\Shown\StateChoice;
use Ispira\Core\Pages\JobShown;

/**
 * The strip of a job in small, as lists show it. It is drawn once and kept until a map or the circuit is another one.
 */
final class SmallStrip
{
    private function __construct() {}

    /** @return list<StripBar> */
    public static function of(Job $job): array
    {
        if ($job->strip === null) {
            $job->strip = DB::transaction(static fn(): array => self::draw($job));
        }

        return array_map(
            static fn(array $bar): StripBar => new StripBar(
                label: $bar[0],
                runs: $bar[1],
                state: SpeedState::tryFrom($bar[2] ?? ''),
                word: $bar[3],
            ),
            $job->strip,
        );
    }

    /** @return list<array{string, bool, string|null, string|null}> */
    private static function draw(Job $job): array
    {
        // A map that is just being recorded waits for this, and then asks for a new drawing.
        $locked = $job->locked();
        $locked->setRelation('workshop', $job->workshop);
        $strip = array_map(
            static fn(StripBar $bar): array => [$bar->label, $bar->runs, $bar->state?->value, $bar->word],
            self::drawn($locked),
        );
        // A look at the list is no work on the job: its moment stays.
        Job::query()
            ->whereKey($job->id)
            ->toBase()
            ->update(['strip' => json_encode($strip)]);

        return $strip;
    }

    /** @return list<StripBar> */
    private static function drawn(Job $job): array
    {
        $maps = array_filter(
            JobShown::maps(JobStates::maps($job), JobStates::readings($job)),
            static fn(MapShown $map): bool => $map->kind !== MapKind::Remembered,
        );
        $states = $maps === [] ? [] : end($maps)->states->values;

        return array_map(static function (Cell $cell) use ($states): StripBar {
            $state = $states[$cell->key] ?? null;
            $words = array_filter($cell->states, static fn(StateChoice $one): bool => $one->value === $state);

            return new StripBar(
                label: $cell->label,
                runs: $cell->runs,
                state: $state,
                word: $words === [] ? null : reset($words)->label,
            );
        }, JobShown::cells($job->circuit()));
    }
}

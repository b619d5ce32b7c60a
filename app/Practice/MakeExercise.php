<?php

declare(strict_types=1);

namespace App\Practice;

use App\Jobs\OpenJob;
use App\Models\Exercise;
use App\Models\ExerciseSet;
use App\Models\Job;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Device\Family;
use Ispira\Core\Job\PracticeWay;
use Ispira\Core\Practice\HiddenKind;
use Ispira\Core\Practice\PracticeChoice;
use Ispira\Core\Practice\Rung;

/**
 * Makes a unit up, and the job that is done on it. The same id makes the same one, whenever it arrives.
 */
final readonly class MakeExercise
{
    public function __construct(private OpenJob $open) {}

    /**
     * @param array<string, mixed> $parameters of the circuit, as its family reads them
     * @param string               $mapId      id of the speed map that comes with it
     * @param array{0: ExerciseSet, 1: int}|null $of a set, and which of its units
     */
    public function __invoke(
        User $user,
        string $id,
        string $mapId,
        Family $family,
        array $parameters,
        PracticeChoice $made,
        Rung $rung,
        HiddenKind $kind,
        PracticeWay $way,
        bool $guesses,
        ?array $of = null,
    ): Job {
        $name = 'Practice: ' . lcfirst($family->texts()->get('name'));

        return DB::transaction(function () use (
            $user,
            $id,
            $mapId,
            $family,
            $parameters,
            $made,
            $rung,
            $kind,
            $way,
            $guesses,
            $of,
            $name,
        ): Job {
            $unit = $user->workshop->units()->where('name', $name)->where('practice', true)->first();
            $job = ($this->open)(
                $user,
                [
                    'id' => $id,
                    'mapId' => $mapId,
                    'unitId' => $unit?->id,
                    'unitName' => $name,
                    'complaint' => $made->says,
                    'intermittent' => $kind === HiddenKind::Intermittent,
                ],
                $family->key(),
                $parameters,
                $made->states,
                $made->answers,
                $made->practice,
            );
            $leak = $made->practice->leak;
            Exercise::query()->firstOrCreate(
                ['job_id' => $job->id],
                [
                    'workshop_id' => $user->workshop_id,
                    'user_id' => $user->id,
                    'kind' => $kind,
                    'rung' => $rung,
                    'way' => $way,
                    'guesses' => $guesses,
                    'leak' => $leak === null ? null : ['from' => $leak->from, 'to' => $leak->to, 'ohms' => $leak->ohms],
                    'set_id' => $of === null ? null : $of[0]->id,
                    'set_unit' => $of === null ? null : $of[1],
                ],
            );

            return $job->refresh();
        });
    }
}

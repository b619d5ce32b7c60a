<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Bench\RecordReading;
use App\Learning\WhatWasReplaced;
use App\Models\Job;
use App\Models\Unit;
use App\Models\User;
use App\Models\Workshop;
use App\Repair\RecordEntry;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Ispira\Core\Job\JobKind;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\MapKind;
use Ispira\Core\Job\Practice;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * Opens a job: unit, complaint and the first speed map, all or nothing.
 */
final readonly class OpenJob
{
    public function __construct(
        private RecordMap $recordMap,
        private RecordReading $recordReading,
        private RecordEntry $recordEntry,
        private WhatWasReplaced $replaced,
    ) {}

    /**
     * The unit that was chosen; the one of that name, place and model; or a new one.
     *
     * @param array<string, mixed> $data validated
     */
    private static function unit(Workshop $workshop, array $data, bool $practice): Unit
    {
        if (isset($data['unitId'])) {
            return $workshop->units()->whereKey($data['unitId'])->firstOrFail();
        }
        $text = static fn(string $key): ?string => is_string($data[$key] ?? null) && $data[$key] !== ''
            ? $data[$key]
            : null;
        $known = $practice ? null : KnownUnits::named($workshop, (string) $text('unitName'));
        [$place, $model] = [$text('unitPlace'), $text('unitModel')];
        $same =
            $known !== null &&
            ($place === null || $place === $known->place) &&
            ($model === null || $model === $known->model);

        return $same
            ? $known
            : $workshop->units()->create([
                'name' => $text('unitName'),
                'place' => $place,
                'model' => $model,
                'practice' => $practice,
            ]);
    }

    /**
     * @param array<string, mixed>  $data   validated
     * @param array<string, mixed>  $parameters of the circuit, read by its family
     * @param array<string, string> $states by position
     * @param array<string, string> $answers to what is asked with the complaint, by test
     * @param Practice|null         $practice what is hidden in its unit, where that is a make-believe one
     */
    public function __invoke(
        User $user,
        array $data,
        string $family,
        array $parameters,
        array $states,
        array $answers = [],
        ?Practice $practice = null,
    ): Job {
        return DB::transaction(function () use ($user, $data, $family, $parameters, $states, $answers, $practice): Job {
            $workshop = $user->workshop;
            $number = $practice === null ? $workshop->takeJobNumber() : $workshop->takePracticeNumber();
            // The number's lock also makes a repeated submit wait for the first, and then find its job.
            $existing = $workshop->jobs()->whereKey($data['id'])->first();
            if ($existing !== null) {
                return $existing;
            }
            $unit = self::unit($workshop, $data, $practice !== null);
            $kind = JobKind::tryFrom(is_string($data['kind'] ?? null) ? $data['kind'] : '') ?? JobKind::Fault;
            $job = new Job([
                'workshop_id' => $workshop->id,
                'number' => $number,
                'unit_id' => $unit->id,
                'user_id' => $user->id,
                'owner_id' => $user->id,
                'kind' => $kind,
                // Everybody knows which circuit it has: a unit was made of it.
                'stage' => $practice === null ? $kind->flow()[0] : JobStage::Bench,
                'complaint' => $data['complaint'],
                'since' => $data['since'] ?? null,
                'intermittent' => (bool) ($data['intermittent'] ?? false),
                'replaced_before' => $data['replacedBefore'] ?? null,
                'family' => $family,
                'part' => $kind === JobKind::LoosePart ? $data['part'] : null,
                'parameters' => $parameters,
                'practice_fault' => $practice?->fault,
                'practice_seed' => $practice?->seed,
            ]);
            if ($kind === JobKind::Fault) {
                $job->again = $this->replaced->before($unit, now(), $family);
            }
            $job->id = (string) $data['id'];
            $job->save();
            if (is_string($data['also'] ?? null) && trim($data['also']) !== '') {
                ($this->recordEntry)(
                    $user,
                    $job,
                    Entry::read(strtolower((string) Str::ulid()), EntryKind::Also, ['what' => $data['also']]),
                );
            }
            if ($states !== []) {
                ($this->recordMap)($user, $job, (string) $data['mapId'], MapKind::Before, null, $states);
            }
            foreach ($answers as $test => $answer) {
                ($this->recordReading)($user, $job, new Reading((string) Str::ulid(), $test, $answer));
            }

            return $job;
        });
    }
}

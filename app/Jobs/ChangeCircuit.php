<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Bench\RecordReading;
use App\Learning\WhatWasReplaced;
use App\Models\Job;
use App\Models\Reading;
use App\Models\Strike;
use App\Models\User;
use App\Repair\RecordEntry;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Ispira\Core\Device\Family;
use Ispira\Core\Job\CircuitChange;
use Ispira\Core\Job\JobKind;
use Ispira\Core\Job\MapKind;
use Ispira\Core\Reading\Reading as CoreReading;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;

/**
 * Gives a job another circuit: readings that still say something stay, the others are struck out and kept in words.
 */
final readonly class ChangeCircuit
{
    /** Texts that one entry holds; more readings than that share them. */
    private const MOST_TEXTS = 60;

    public function __construct(
        private RecordEntry $record,
        private RecordMap $recordMap,
        private RecordReading $recordReading,
        private WhatWasReplaced $replaced,
    ) {}

    /**
     * @param array<string, mixed>  $values  of the other circuit, as its family reads them
     * @param array<string, string> $states  of its speed map, by position
     * @param array<string, string> $answers to what is asked with the complaint, by test
     *
     * @throws EntryRefused
     */
    public function __invoke(
        User $user,
        Job $job,
        string $id,
        Family $family,
        array $values,
        array $states,
        array $answers,
        string $reason,
    ): void {
        DB::transaction(function () use ($user, $job, $id, $family, $values, $states, $answers, $reason): void {
            $locked = $job->locked();
            if ($locked->entries()->where('id', $id)->exists()) {
                return;
            }
            $refusal = CircuitChange::refusal(JobStates::of($locked));
            $refusal === null || throw new EntryRefused('circuit', $refusal);
            $before = $locked->circuit();
            $change = new CircuitChange($before, $family->circuit($values), $locked->family === $family->key());
            $aside = $locked->readings->reject(static fn(Reading $one): bool => $change->keeps($one->toCore()));
            $said = array_values($aside->map(static fn(Reading $one): string => $change->said($one->toCore()))->all());
            $because = 'It was taken as if the circuit were: ' . $before->texts->get('name') . '.';
            foreach ($aside as $one) {
                Strike::query()->updateOrCreate(
                    ['reading_sequence' => $one->sequence],
                    ['user_id' => $user->id, 'reason' => $because, 'set_aside' => true, 'struck_at' => now()],
                );
            }
            $locked->update([
                'family' => $family->key(),
                'parameters' => $values,
                'test_on_bench' => null,
                'stage' => $locked->kind->afterCircuit(),
                'again' =>
                    $locked->kind === JobKind::Fault
                        ? $this->replaced->before($locked->unit, $locked->created_at, $family->key(), $locked->id)
                        : null,
            ]);
            $locked->refresh();
            $states === [] || ($this->recordMap)($user, $locked, (string) Str::ulid(), MapKind::Before, null, $states);
            foreach ($answers as $test => $answer) {
                ($this->recordReading)($user, $locked, new CoreReading((string) Str::ulid(), $test, $answer));
            }
            ($this->record)(
                $user,
                $locked,
                Entry::read($id, EntryKind::OtherCircuit, [
                    'from' => $before->texts->get('name'),
                    'to' => $family->texts()->get('name'),
                    'reason' => $reason,
                    'setAside' => self::gathered($said),
                ]),
            );
        });
    }

    /**
     * @param list<string> $said
     *
     * @return list<string>
     */
    private static function gathered(array $said): array
    {
        if ($said === []) {
            return [];
        }
        $each = max(1, (int) ceil(count($said) / self::MOST_TEXTS));

        return array_map(
            static fn(array $some): string => mb_strimwidth(implode('; ', $some), 0, 1000, '…'),
            array_chunk($said, $each),
        );
    }
}

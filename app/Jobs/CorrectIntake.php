<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Learning\WhatWasReplaced;
use App\Models\Job;
use App\Models\Unit;
use App\Models\User;
use App\Repair\RecordEntry;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Job\JobKind;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;

/**
 * Corrects what was written down when a job was opened; what stood there is kept. Another name of the unit makes it a
 * job of another unit.
 */
final readonly class CorrectIntake
{
    public function __construct(private RecordEntry $record, private WhatWasReplaced $replaced) {}

    /**
     * @param array<string, mixed> $data validated
     *
     * @return bool whether anything was different
     *
     * @throws EntryRefused
     */
    public function __invoke(User $user, Job $job, string $id, array $data): bool
    {
        return DB::transaction(function () use ($user, $job, $id, $data): bool {
            $locked = Job::query()->with('unit')->whereKey($job->id)->lockForUpdate()->firstOrFail();
            if ($locked->entries()->where('id', $id)->exists()) {
                return true;
            }
            $text = static fn(string $field): string => is_string($data[$field] ?? null) ? trim($data[$field]) : '';
            $unit = ['unit' => $text('unit'), 'place' => $text('place'), 'model' => $text('model')];
            $new = $unit + [
                'complaint' => $text('complaint'),
                'since' => $text('since'),
                'intermittent' => (bool) $data['intermittent'] ? 'comes and goes' : 'always',
                'replacedBefore' => $text('replacedBefore'),
            ];
            $old = self::asItStands($locked);
            $changed = array_keys(array_diff_assoc($new, $old));
            if ($changed === []) {
                return false;
            }
            // What was empty is said to have been: an entry keeps no empty texts.
            $said = static fn(array $values): array => array_map(
                static fn(string $value): string => $value === '' ? 'not said' : $value,
                array_intersect_key($values, array_flip($changed)),
            );
            ($this->record)(
                $user,
                $locked,
                Entry::read($id, EntryKind::Corrected, [
                    'old' => $said($old),
                    'new' => $said($new),
                    'reason' => $text('reason'),
                ]),
            );
            $or = static fn(string $value): ?string => $value === '' ? null : $value;
            $of =
                array_intersect(['unit', 'place', 'model'], $changed) === []
                    ? $locked->unit
                    : self::unit($user, $unit['unit'], $or($unit['place']), $or($unit['model']));
            $locked->refresh()->update([
                'unit_id' => $of->id,
                'again' =>
                    $locked->kind === JobKind::Fault
                        ? $this->replaced->before($of, $locked->created_at, $locked->family, $locked->id)
                        : null,
                'complaint' => $new['complaint'],
                'since' => $or($new['since']),
                'intermittent' => (bool) $data['intermittent'],
                'replaced_before' => $or($new['replacedBefore']),
            ]);

            return true;
        });
    }

    /** @return array<string, string> */
    private static function asItStands(Job $job): array
    {
        return [
            'unit' => $job->unit->name,
            'place' => (string) $job->unit->place,
            'model' => (string) $job->unit->model,
            'complaint' => $job->complaint,
            'since' => (string) $job->since,
            'intermittent' => $job->intermittent ? 'comes and goes' : 'always',
            'replacedBefore' => (string) $job->replaced_before,
        ];
    }

    /** The unit of that name, place and model, made where there is none. */
    private static function unit(User $user, string $name, ?string $place, ?string $model): Unit
    {
        return $user->workshop->units()->firstOrCreate(['name' => $name, 'place' => $place, 'model' => $model]);
    }
}

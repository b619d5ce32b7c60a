<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\Job;
use App\Models\Workshop;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * The workshop's own proven jobs, to be done once more on a make-believe machine: of each, the circuit and the fault
 * that was proven, and nothing that names a machine, a customer or a person.
 */
final class RealFaults
{
    private function __construct() {}

    /** @return list<string> families of which there are some */
    public static function families(Workshop $workshop): array
    {
        return array_values(
            array_map(
                static fn(mixed $one): string => is_string($one) ? $one : '',
                self::proven($workshop)->distinct()->orderBy('family')->pluck('family')->all(),
            ),
        );
    }

    /**
     * One of them, by chance.
     *
     * @return array{parameters: array<string, mixed>, fault: string}|null
     */
    public static function one(Workshop $workshop, string $family, int $seed): ?array
    {
        $of = self::proven($workshop)->where('family', $family);
        $count = (clone $of)->count();
        $row =
            $count === 0
                ? null
                : $of
                    ->orderBy('job_id')
                    ->orderBy('fault')
                    ->offset($seed % $count)
                    ->first();
        $job = $row === null ? null : Job::query()->find($row->job_id);

        return $row === null || !($job instanceof Job)
            ? null
            : ['parameters' => $job->parameters, 'fault' => (string) $row->fault];
    }

    private static function proven(Workshop $workshop): Builder
    {
        return DB::table('proven_faults')->where('workshop_id', $workshop->id)->where('fault', '!=', '');
    }
}

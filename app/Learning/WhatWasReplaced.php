<?php

declare(strict_types=1);

namespace App\Learning;

use App\Jobs\JobView;
use App\Models\Unit;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Device\Family;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Job\Again;
use Ispira\Core\Learning\StatedVerdict;

/**
 * What was replaced on a unit, and again and again on its model, within the time that the workshop looks back.
 */
final readonly class WhatWasReplaced
{
    /** Of a model the newest jobs are looked at, and no more. */
    private const OF_MODEL = 200;

    public function __construct(private FamilyRegistry $families) {}

    /**
     * @param string|null $family only of this kind of circuit; null for any
     * @param string      $except id of the job that asks
     *
     * @return list<Again> of the unit first
     */
    public function before(Unit $unit, Carbon $moment, ?string $family, string $except = ''): array
    {
        $months = $unit->workshop->again_months;
        if ($months === 0 || $unit->practice) {
            return [];
        }
        $since = $moment->copy()->subMonthsNoOverflow($months)->toDateString();
        $rows = DB::table('job_results')
            ->join('jobs', 'jobs.id', '=', 'job_results.job_id')
            ->where('jobs.unit_id', $unit->id)
            ->where('jobs.created_at', '<=', $moment)
            ->where('jobs.id', '<>', $except)
            ->where('job_results.closed_on', '>=', $since)
            ->when($family !== null, static fn($rows) => $rows->where('job_results.family', $family))
            ->latest('closed_on')
            ->get(['job_results.family', 'job_results.closed_on', 'job_results.verdicts', 'jobs.number'])
            ->all();
        $ofModel =
            $unit->model === null || $unit->model === ''
                ? []
                : DB::table('job_results')
                    ->join('jobs', 'jobs.id', '=', 'job_results.job_id')
                    ->where('job_results.workshop_id', $unit->workshop_id)
                    ->whereIn('job_results.family', $family === null ? array_keys($this->families->all()) : [$family])
                    ->where('job_results.model', trim($unit->model))
                    ->where('job_results.closed_on', '>=', $since)
                    ->where('jobs.created_at', '<=', $moment)
                    ->where('jobs.unit_id', '<>', $unit->id)
                    ->latest('closed_on')
                    ->limit(self::OF_MODEL)
                    ->get(['job_results.family', 'job_results.closed_on', 'job_results.verdicts', 'jobs.number'])
                    ->all();

        return [...$this->counted($rows, true, 1), ...$this->counted($ofModel, false, self::often($unit))];
    }

    /** Where a model has many units, each part goes now and then: often is on half of them. */
    private static function often(Unit $unit): int
    {
        $units =
            $unit->model === null || $unit->model === ''
                ? 0
                : $unit->workshop->units()->where('practice', false)->where('model', $unit->model)->count();

        return max(Again::OFTEN, (int) ceil($units / 2));
    }

    /**
     * @param array<\stdClass> $rows the newest first
     *
     * @return list<Again>
     */
    private function counted(array $rows, bool $ofUnit, int $least): array
    {
        $found = [];
        foreach ($rows as $row) {
            if (!$this->families->has((string) $row->family)) {
                continue;
            }
            foreach (self::parts((string) $row->verdicts) as $part) {
                $key = "$row->family $part";
                $found[$key] ??= ['row' => $row, 'part' => $part, 'times' => 0];
                ++$found[$key]['times'];
            }
        }

        return array_values(
            array_map(
                fn(array $one): Again => new Again(
                    self::label($this->families->get((string) $one['row']->family), $one['part']),
                    (string) $one['row']->closed_on,
                    JobView::numbered((int) $one['row']->number),
                    $ofUnit,
                    $one['times'],
                ),
                array_filter($found, static fn(array $one): bool => $one['times'] >= $least),
            ),
        );
    }

    /** @return list<string> what was replaced and is not known to have been replaced in vain */
    private static function parts(string $verdicts): array
    {
        $parts = [];
        foreach (StatedVerdict::list($verdicts) as $one) {
            if ($one->held !== false) {
                array_push($parts, ...explode('+', $one->remedy));
            }
        }

        return array_values(array_unique($parts));
    }

    private static function label(Family $family, string $part): string
    {
        return $family->texts()->find("parts.$part") ?? $part;
    }
}

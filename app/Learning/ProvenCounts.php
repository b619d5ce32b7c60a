<?php

declare(strict_types=1);

namespace App\Learning;

use Illuminate\Support\Facades\DB;

/**
 * What proven jobs count for, and the sums of it beside, which change with it.
 */
final class ProvenCounts
{
    /** What is left of a sum of shares after all of them were taken off again. */
    public const NOTHING = 1e-6;

    private const OF = ['workshop_id', 'family', 'model', 'remedy', 'fault'];

    private function __construct() {}

    /**
     * Puts what a job counts for in place of what it counted for before.
     *
     * @param list<array<string, mixed>> $rows as they stand in proven_faults
     */
    public static function replace(string $job, array $rows): void
    {
        DB::transaction(static function () use ($job, $rows): void {
            $before = DB::table('proven_faults')->where('job_id', $job)->lockForUpdate()->get();
            $old = array_map(
                static fn(\stdClass $row): array => ['share' => -(float) $row->share] + (array) $row,
                $before->all(),
            );
            DB::table('proven_faults')->where('job_id', $job)->delete();
            DB::table('proven_faults')->insert($rows);
            self::add([...array_values($old), ...$rows]);
        });
    }

    /** @param list<array<string, mixed>> $rows each with its share, which may be less than nothing */
    public static function add(array $rows): void
    {
        $sums = [];
        foreach ($rows as $row) {
            $of = array_intersect_key($row, array_flip(self::OF));
            ksort($of);
            $key = (string) json_encode($of);
            $sums[$key] ??= $of + ['jobs' => 0.0];
            $sums[$key]['jobs'] += is_numeric($row['share'] ?? null) ? (float) $row['share'] : 0.0;
        }
        // In one order for everybody: two jobs that close at once must not wait for each other.
        ksort($sums);
        foreach ($sums as $sum) {
            if (abs($sum['jobs']) > self::NOTHING) {
                DB::table('proven_counts')->upsert([$sum], self::OF, ['jobs' => DB::raw('jobs + values(jobs)')]);
            }
        }
    }
}

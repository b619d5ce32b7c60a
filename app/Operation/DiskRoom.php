<?php

declare(strict_types=1);

namespace App\Operation;

use App\Models\Job;
use App\Models\Workshop;
use Illuminate\Support\Facades\DB;

/**
 * How much of the disk captures and photos may take: of one job, of one workshop, and down to what stays free.
 */
final class DiskRoom
{
    private function __construct() {}

    /**
     * Bytes that may still be stored for a job.
     *
     * @throws DiskFull with words that say which limit is reached, and what to do
     */
    public static function left(Job $job, int $wanted): int
    {
        $rooms = [
            [
                self::limit('job') - self::ofJob($job->id),
                'This job holds as many captures and photos as a job may (%s). Take out what tells nothing new.',
                self::limit('job'),
            ],
            [
                self::limit('workshop') - self::ofWorkshop($job->workshop),
                'The workshop holds as many captures and photos as it may (%s). Ask whoever runs this installation.',
                self::limit('workshop'),
            ],
            [
                self::free() - self::limit('free'),
                'The disk is nearly full: %s have to stay free. Ask whoever runs this installation.',
                self::limit('free'),
            ],
        ];
        foreach ($rooms as [$left, $words, $limit]) {
            if ($left < $wanted) {
                throw new DiskFull(sprintf($words, self::words($limit)));
            }
        }

        return min(array_column($rooms, 0));
    }

    public static function ofJob(string $id): int
    {
        return (int) DB::table('captures')->where('job_id', $id)->sum('bytes') +
            (int) DB::table('photos')->where('job_id', $id)->sum('bytes');
    }

    public static function ofWorkshop(Workshop $workshop): int
    {
        $bytes = 0;
        foreach (['captures', 'photos'] as $table) {
            $bytes += (int) DB::table($table)
                ->join('jobs', 'jobs.id', '=', "$table.job_id")
                ->where('jobs.workshop_id', $workshop->id)
                ->sum("$table.bytes");
        }

        return $bytes;
    }

    /** Bytes that are free where files are kept. */
    public static function free(): int
    {
        return (int) @disk_free_space(storage_path());
    }

    /** @param 'job'|'workshop'|'free' $of */
    public static function limit(string $of): int
    {
        return config()->integer("ispira.disk.$of") * 1_000_000;
    }

    public static function words(int $bytes): string
    {
        return match (true) {
            $bytes >= 10_000_000_000 => round($bytes / 1e9) . ' GB',
            $bytes >= 1_000_000_000 => round($bytes / 1e9, 1) . ' GB',
            $bytes >= 1_000_000 => round($bytes / 1e6) . ' MB',
            default => ceil($bytes / 1e3) . ' kB',
        };
    }
}

<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Job;
use App\Models\Workshop;

/**
 * A job by its number, as it is typed: "12", "J-0012"; "P-0003" is one of practice.
 */
final class JobOfNumber
{
    private function __construct() {}

    /** @return Job|string the job, or why it was not found */
    public static function find(string $typed, ?string $workshop): Job|string
    {
        $number = (int) preg_replace('/\D/', '', $typed);
        $number += str_starts_with(strtoupper(trim($typed)), 'P') ? Job::PRACTICE_FROM : 0;
        $jobs = Job::query()
            ->where('number', $number)
            ->when(
                $workshop !== null,
                fn($query) => $query->whereIn('workshop_id', Workshop::query()->where('name', $workshop)->select('id')),
            )
            ->limit(2)
            ->get();

        return match ($jobs->count()) {
            0 => 'There is no job of that number. See the job list, and give --job=12, --job=J-0012 or --job=P-0003.',
            1 => $jobs->firstOrFail(),
            default => 'Several workshops have a job of that number: name one with --workshop.',
        };
    }
}

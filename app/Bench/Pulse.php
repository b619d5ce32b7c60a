<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Job;
use Illuminate\Support\Facades\DB;

/**
 * Tells whether somebody else has changed a job, without reading it: a short text that is another one then.
 */
final class Pulse
{
    private function __construct() {}

    public static function of(Job $job): string
    {
        $last = DB::table('readings')
            ->where('job_id', $job->id)
            ->selectRaw(
                'max(sequence) as reading, (select count(*) from strikes join readings as r on ' .
                    'r.sequence = strikes.reading_sequence where r.job_id = ? and strikes.taken_back_at is null) as struck, ' .
                    '(select count(*) from kept_readings join readings as r on ' .
                    'r.sequence = kept_readings.reading_sequence where r.job_id = ?) as kept, ' .
                    '(select max(sequence) from repair_entries where job_id = ?) as entry',
                [$job->id, $job->id, $job->id],
            )
            ->first();

        return implode('-', [$job->stage->value, ...array_map(strval(...), array_values((array) $last))]);
    }
}

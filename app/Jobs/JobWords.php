<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Job;
use App\Models\RepairEntry;
use App\Models\Replacement;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * What people remember a job by, as its list is searched for.
 */
final class JobWords
{
    private function __construct() {}

    public static function note(Job $job): void
    {
        $names = $job->workshop->names();
        $texts = app(FamilyRegistry::class)->get($job->family)->texts();
        $ordered = $job
            ->entries()
            ->where('kind', EntryKind::Ordered)
            ->get()
            ->map(
                static fn(RepairEntry $one): string => $one->toCore()->text('what') .
                    ' ' .
                    $one->toCore()->text('partNumber'),
            );
        $replaced = $job
            ->replacements()
            ->get()
            ->map(
                static fn(Replacement $one): string => $one->part_number .
                    ' ' .
                    implode(
                        ' ',
                        array_map(
                            static fn(string $part): string => (string) $texts->find("parts.$part"),
                            explode('+', $one->remedy),
                        ),
                    ),
            );
        $unit = $job->unit()->first();
        DB::table('job_words')->updateOrInsert(
            ['job_id' => $job->id],
            [
                'workshop_id' => $job->workshop_id,
                'words' => SearchWords::kept([
                    'J ' . $job->number,
                    $unit?->name,
                    $unit?->place,
                    $unit?->model,
                    $job->complaint,
                    $job->since,
                    $texts->get('name'),
                    $names[$job->user_id] ?? null,
                    $names[$job->owner_id ?? 0] ?? null,
                    ...$replaced->all(),
                    ...$ordered->all(),
                ]),
            ],
        );
    }
}

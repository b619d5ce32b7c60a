<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Job;
use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Practice\Rung;
use Ispira\Core\Repair\Work\JobOutcome;

/**
 * What the pages show of a job.
 */
final class JobView
{
    public static function head(Job $job): JobHead
    {
        return new JobHead(
            id: $job->id,
            number: self::number($job),
            unit: $job->unit->name,
            place: $job->unit->place,
            model: $job->unit->model,
            complaint: $job->complaint,
            since: $job->since,
            intermittent: $job->intermittent,
            replacedBefore: $job->replaced_before,
            stage: $job->stage,
            kind: $job->kind,
            outcome: $job->outcome,
            dueOn: $job->due_on?->toDateString(),
            flow: $job->kind->flow(),
            openedAt: $job->created_at->toIso8601String(),
            closedAt: $job->closed_at?->toIso8601String(),
            temporaryUntil: $job->outcome === JobOutcome::Temporary
                ? $job->due_on?->toDateString()
                : $job->replacements->last()?->temporary_until?->toDateString(),
            practice: $job->practice_fault !== null,
            owner: $job->owner?->name,
            partExpectedOn: $job->part_expected_on?->toDateString(),
            countersign: $job->countersign_due,
            again: $job->again(),
            tour: $job->practice_fault !== null && $job->exercise?->rung === Rung::First,
        );
    }

    public static function number(Job $job): string
    {
        return self::numbered($job->number);
    }

    public static function numbered(int $number): string
    {
        return $number > Job::PRACTICE_FROM
            ? 'P-' . str_pad((string) ($number - Job::PRACTICE_FROM), 4, '0', \STR_PAD_LEFT)
            : 'J-' . str_pad((string) $number, 4, '0', \STR_PAD_LEFT);
    }
}

<?php

declare(strict_types=1);

namespace App\Units;

use App\Jobs\JobStates;
use App\Jobs\JobView;
use App\Models\Job;
use Illuminate\Support\Carbon;
use Ispira\Core\Job\Shown\ReplacementShown;
use Ispira\Core\Pages\JobShown;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\Ledger;

/**
 * What was fitted in some jobs.
 */
final class FittedParts
{
    private function __construct() {}

    /** @return list<FittedPart> of one job, in the order fitted */
    public static function of(Job $job): array
    {
        if ($job->replacements->isEmpty()) {
            return [];
        }
        $ledger = $job->ledger();

        return array_map(static function (ReplacementShown $one) use ($job, $ledger): FittedPart {
            $months = $one->temporaryUntil === null ? self::warranty($ledger, $one) : 0;
            $until = $months === 0 ? null : Carbon::parse($one->at)->addMonthsNoOverflow($months);

            return new FittedPart(
                id: $one->id,
                label: $one->label,
                partNumber: $one->partNumber,
                on: $one->at,
                by: $one->by,
                job: JobView::number($job),
                jobId: $job->id,
                warrantyUntil: $until?->toDateString(),
                underWarranty: $until !== null && $until->isFuture(),
                temporary: $one->temporaryUntil !== null,
                held: $ledger->held($one->id),
            );
        }, JobShown::replaced($job->circuit(), JobStates::replaced($job)));
    }

    /** Months of the choice that was made before the part went in. */
    private static function warranty(Ledger $ledger, ReplacementShown $fitted): int
    {
        $before = array_filter(
            $ledger->all(EntryKind::Choice),
            static fn(Entry $one): bool => Carbon::parse((string) $one->at)->lte(
                Carbon::parse($fitted->at)->addSecond(),
            ),
        );
        $choice = end($before);

        return $choice === false ? 0 : $choice->count('warrantyMonths');
    }
}

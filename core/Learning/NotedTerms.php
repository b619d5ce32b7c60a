<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\JobState;
use Ispira\Core\Job\Replaced;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * What one job says of how long, how dear and how lasting things are.
 */
final class NotedTerms
{
    /** Fitting that took more than so many times what ships had a break in it. */
    private const BREAK_TIMES = 5.0;

    /** Nobody waits longer for one part: then something else happened. */
    private const MOST_DAYS = 90.0;

    private function __construct() {}

    /** @return list<NotedTerm> */
    public static function of(JobState $job, string $unit, WorkingHours $hours): array
    {
        if ($job->practice !== null) {
            return [];
        }

        return [...self::minutes($job, $hours), ...$job->is(JobStage::Closed) ? self::parts($job, $unit) : []];
    }

    /** @return list<NotedTerm> */
    private static function minutes(JobState $job, WorkingHours $hours): array
    {
        $noted = [];
        foreach (Taken::on($job->circuit, $job->readings, $hours) as $one) {
            if ($one->measured && $one->shipped > 0.0) {
                $kind = $one->reached === null ? TermKind::Test : TermKind::Access;
                $noted[] = new NotedTerm(
                    $kind,
                    $one->reached ?? $one->test->name(),
                    '',
                    $one->minutes / $one->shipped,
                    '',
                    substr((string) $one->at, 0, 10),
                );
            }
        }

        return $noted;
    }

    /** @return list<NotedTerm> */
    private static function parts(JobState $job, string $unit): array
    {
        $noted = [];
        foreach ($job->replacements as $one) {
            $part = $job->circuit->parts[$one->remedy] ?? null;
            $on = substr((string) $one->at, 0, 10);
            if ($part === null || $on === '' || $one->temporaryUntil !== null) {
                continue;
            }
            $order = self::order($job, $one);
            $source = $order?->text('source') ?? '';
            $term = static fn(TermKind $kind, float $value): NotedTerm => new NotedTerm(
                $kind,
                $part->key,
                $source,
                $value,
                $unit,
                $on,
            );
            $price = $order?->number('price') ?? self::quoted($job, $one);
            if ($price !== null && $price > 0.0 && $part->price > 0.0) {
                $noted[] = $term(TermKind::Price, $price / $part->price);
            }
            $days = $order === null ? null : self::days($job, $order);
            if ($days !== null) {
                $noted[] = $term(TermKind::Lead, $days);
            }
            $fitting = self::fitting($job, $one);
            if ($fitting !== null && $part->minutes > 0.0 && $fitting <= self::BREAK_TIMES * $part->minutes) {
                $noted[] = $term(TermKind::Fitting, max(0.2, $fitting / $part->minutes));
            }
            $held = $job->held($one->id);
            if ($held === true) {
                $noted[] = $term(TermKind::ComeBack, 0.0);
                $noted[] = $term(TermKind::Life, 0.0);
            } elseif ($held === false && \in_array(true, $job->ledger->saidToHold($one->id), true)) {
                // It had been called right before it was said not to have held.
                $noted[] = $term(TermKind::ComeBack, 1.0);
            }
        }

        return $noted;
    }

    private static function order(JobState $job, Replaced $replaced): ?Entry
    {
        $found = null;
        foreach ($job->ledger->all(EntryKind::Ordered) as $one) {
            $same = $replaced->partNumber !== null && $one->text('partNumber') === $replaced->partNumber;
            $found = $same ? $one : $found;
        }

        return $found;
    }

    private static function quoted(JobState $job, Replaced $replaced): ?float
    {
        $price = null;
        foreach ($job->ledger->all(EntryKind::Quote) as $one) {
            $price = $one->text('option') === $replaced->remedy ? $one->number('price') : $price;
        }

        return $price;
    }

    private static function days(JobState $job, Entry $order): ?float
    {
        foreach ($job->ledger->all(EntryKind::Arrived) as $one) {
            [$from, $to] = [self::moment($order->at), self::moment($one->at)];
            if ($one->text('of') === $order->id && $from !== null && $to !== null) {
                return min(self::MOST_DAYS, max(0.0, round(($to - $from) / 86_400.0, 2)));
            }
        }

        return null;
    }

    /** Minutes from the first thing that was taken off, or the part before it, until it was in. */
    private static function fitting(JobState $job, Replaced $replaced): ?float
    {
        $end = self::moment($replaced->at);
        if ($end === null) {
            return null;
        }
        $start = $before = null;
        foreach ($job->replacements as $one) {
            $at = self::moment($one->at);
            $before = $one->id !== $replaced->id && $at !== null && $at < $end ? $at : $before;
        }
        foreach ($job->ledger->all(EntryKind::Down) as $one) {
            $at = self::moment($one->at);
            if ($at !== null && $at <= $end && ($before === null || $at > $before)) {
                $start ??= $at;
            }
        }

        return $start === null ? null : ($end - $start) / 60.0;
    }

    /** Seconds since 1970. */
    private static function moment(?string $at): ?int
    {
        $seconds = $at === null ? false : strtotime($at);

        return $seconds === false ? null : $seconds;
    }
}

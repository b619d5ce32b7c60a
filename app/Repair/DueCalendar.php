<?php

declare(strict_types=1);

namespace App\Repair;

use App\Models\Workshop;
use Sabre\VObject\Component\VCalendar;

/**
 * What is due, as an iCalendar file (RFC 5545): one all-day event each.
 */
final class DueCalendar
{
    private function __construct() {}

    /**
     * @param list<DueJob> $jobs
     * @param list<LoanShown>      $loans
     * @param list<PartDue>        $parts
     */
    public static function of(Workshop $workshop, array $jobs, array $loans, array $parts): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Ispira//Due list//EN', 'X-WR-CALNAME' => "$workshop->name: due"]);
        foreach ($jobs as $job) {
            self::add(
                $calendar,
                "job-{$job->id}",
                $job->dueOn,
                ($job->outcome === 'adjusted' ? 'Undo: ' : 'Due: ') . "{$job->unit}, {$job->number}",
                $job->what,
                $job->place,
            );
        }
        foreach ($loans as $loan) {
            self::add(
                $calendar,
                "loan-{$loan->id}",
                $loan->dueOn,
                "Back: {$loan->what}",
                "Lent to {$loan->to} with {$loan->job}, {$loan->unit}.",
                null,
            );
        }
        foreach ($parts as $part) {
            self::add(
                $calendar,
                "part-{$part->id}",
                $part->expectedOn,
                "Expected: {$part->what}",
                "For {$part->job}, {$part->unit}" . ($part->source === null ? '.' : ", from {$part->source}."),
                null,
            );
        }

        return $calendar->serialize();
    }

    private static function add(
        VCalendar $calendar,
        string $id,
        string $day,
        string $summary,
        string $description,
        ?string $place,
    ): void {
        $event = $calendar->createComponent('VEVENT', [
            'UID' => "$id@ispira",
            'DTSTAMP' => now()->utc()->toDateTimeImmutable(),
            'SUMMARY' => $summary,
            'DESCRIPTION' => $description,
        ]);
        $event->add('DTSTART', str_replace('-', '', $day), ['VALUE' => 'DATE']);
        if ($place !== null) {
            $event->add('LOCATION', $place);
        }
        $calendar->add($event);
    }
}

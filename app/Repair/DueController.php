<?php

declare(strict_types=1);

namespace App\Repair;

use App\Http\Controller;
use App\Jobs\JobView;
use App\Models\Job;
use App\Models\Workshop;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;

/**
 * What has to be looked at again: temporary repairs, adjustments to undo, parts on order, lent parts.
 */
final class DueController extends Controller
{
    /** How many of each are shown; all of them stand in the list of jobs. */
    private const MOST_SHOWN = 20;
    private const MOST_IN_CALENDAR = 500;

    public function index(Request $request): DuePage
    {
        $workshop = $this->user($request)->workshop;

        return new DuePage(
            jobs: self::jobs($workshop, self::MOST_SHOWN),
            parts: self::parts($workshop, self::MOST_SHOWN),
            loans: RepairView::loans($workshop, self::MOST_SHOWN),
            open: self::open($workshop),
            most: self::MOST_SHOWN,
        );
    }

    /** @return list<PartDue> the one expected first at the front */
    private static function parts(Workshop $workshop, int $most): array
    {
        $parts = [];
        $jobs = $workshop
            ->jobs()
            ->with(['unit', 'entries'])
            ->whereNull('practice_fault')
            ->whereNotNull('part_expected_on')
            ->orderBy('part_expected_on')
            ->limit($most)
            ->get();
        foreach ($jobs as $job) {
            $job->setRelation('workshop', $workshop);
            foreach ($job->ledger()->onOrder() as $part) {
                $parts[] = new PartDue(
                    id: $part->id,
                    jobId: $job->id,
                    job: JobView::number($job),
                    unit: $job->unit->name,
                    what: $part->text('what'),
                    source: $part->text('source') === '' ? null : $part->text('source'),
                    expectedOn: $part->text('expectedOn'),
                    overdue: $part->text('expectedOn') < now()->toDateString(),
                );
            }
        }
        usort($parts, static fn(PartDue $a, PartDue $b): int => $a->expectedOn <=> $b->expectedOn);

        return $parts;
    }

    /** @return list<OpenJobItems> */
    private static function open(Workshop $workshop): array
    {
        return array_values(
            $workshop
                ->jobs()
                ->with(['unit', 'entries', 'readings.strike', 'replacements'])
                ->whereNull('practice_fault')
                ->where('still_open', '>', 0)
                ->orderBy('number')
                ->limit(self::MOST_SHOWN)
                ->get()
                ->each(static fn(Job $job) => $job->setRelation('workshop', $workshop))
                ->map(
                    static fn(Job $job): OpenJobItems => new OpenJobItems(
                        id: $job->id,
                        number: JobView::number($job),
                        unit: $job->unit->name,
                        closed: $job->closed_at !== null,
                        items: $job->stillOpen()->items(),
                    ),
                )
                ->all(),
        );
    }

    public function calendar(Request $request): HttpResponse
    {
        $workshop = $this->user($request)->workshop;

        return response(
            DueCalendar::of(
                $workshop,
                self::jobs($workshop, self::MOST_IN_CALENDAR),
                RepairView::loans($workshop, self::MOST_IN_CALENDAR),
                self::parts($workshop, self::MOST_IN_CALENDAR),
            ),
            200,
            [
                'Content-Type' => 'text/calendar; charset=utf-8',
                'Content-Disposition' => 'attachment; filename="due.ics"',
            ],
        );
    }

    /** @return list<DueJob> */
    private static function jobs(Workshop $workshop, int $most): array
    {
        return array_values(
            $workshop
                ->jobs()
                ->with(['unit', 'replacements'])
                ->whereNull('practice_fault')
                ->whereNotNull('due_on')
                ->orderBy('due_on')
                ->limit($most)
                ->get()
                ->map(
                    static fn(Job $job): DueJob => new DueJob(
                        id: $job->id,
                        number: JobView::number($job),
                        unit: $job->unit->name,
                        place: $job->unit->place,
                        what: $job->complaint,
                        outcome: $job->outcome === null ? '' : $job->outcome->value,
                        dueOn: (string) $job->due_on?->toDateString(),
                        overdue: $job->due_on !== null && $job->due_on->toDateString() < now()->toDateString(),
                    ),
                )
                ->all(),
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Repair;

use App\Http\Controller;
use App\Jobs\JobView;
use App\Models\Job;
use App\Models\Workshop;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Inertia\Inertia;
use Inertia\Response;

/**
 * What has to be looked at again: temporary repairs, adjustments to undo, lent parts.
 */
final class DueController extends Controller
{
    public function index(Request $request): Response
    {
        $workshop = $this->user($request)->workshop;

        return Inertia::render('Due', [
            'jobs' => self::jobs($workshop),
            'loans' => RepairView::loans($workshop->id),
            'open' => self::open($workshop),
            'today' => now()->toDateString(),
        ]);
    }

    /** @return list<array{id: string, number: string, unit: string, closed: bool, items: list<array{of: string, aspect: string, what: string, why: string}>}> */
    private static function open(Workshop $workshop): array
    {
        return array_values(
            $workshop
                ->jobs()
                ->with(['unit', 'entries', 'readings.strike', 'replacements'])
                ->where('still_open', '>', 0)
                ->orderBy('number')
                ->limit(200)
                ->get()
                ->map(
                    static fn(Job $job): array => [
                        'id' => $job->id,
                        'number' => JobView::number($job),
                        'unit' => $job->unit->name,
                        'closed' => $job->closed_at !== null,
                        'items' => $job->stillOpen()->items(),
                    ],
                )
                ->all(),
        );
    }

    public function calendar(Request $request): HttpResponse
    {
        $workshop = $this->user($request)->workshop;

        return response(DueCalendar::of($workshop, self::jobs($workshop), RepairView::loans($workshop->id)), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="due.ics"',
        ]);
    }

    /** @return list<array{id: string, number: string, unit: string, place: string|null, what: string, outcome: string, dueOn: string, overdue: bool}> */
    private static function jobs(Workshop $workshop): array
    {
        return array_values(
            $workshop
                ->jobs()
                ->with(['unit', 'replacements'])
                ->whereNotNull('due_on')
                ->orderBy('due_on')
                ->limit(500)
                ->get()
                ->map(
                    static fn(Job $job): array => [
                        'id' => $job->id,
                        'number' => JobView::number($job),
                        'unit' => $job->unit->name,
                        'place' => $job->unit->place,
                        'what' => $job->complaint,
                        'outcome' => $job->outcome === null ? '' : $job->outcome->value,
                        'dueOn' => (string) $job->due_on?->toDateString(),
                        'overdue' => $job->due_on !== null && $job->due_on->toDateString() < now()->toDateString(),
                    ],
                )
                ->all(),
        );
    }
}

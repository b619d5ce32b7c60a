<?php

declare(strict_types=1);

namespace App\Repair;

use App\Http\Controller;
use App\Jobs\JobStates;
use App\Models\Job;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Inertia\Response;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Pages\StripPages;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * What comes off and goes back on, and the wires that move: noted while it is done.
 */
final class RepairController extends Controller
{
    public function strip(Job $job, StripPages $pages): Response|RedirectResponse
    {
        return $job->stage === JobStage::Circuit
            ? $this->whereItStands($job)
            : $this->page($pages->strip(JobStates::of($job), RepairView::photos($job), RepairView::route($job)));
    }

    public function wires(Job $job, StripPages $pages): Response|RedirectResponse
    {
        return $job->stage === JobStage::Circuit
            ? $this->whereItStands($job)
            : $this->page($pages->wires(JobStates::of($job)));
    }

    public function store(Request $request, Job $job, RecordEntry $record): RedirectResponse
    {
        $data = $request->validate([
            'id' => ['required', 'ulid'],
            'kind' => ['required', 'string'],
            'data' => ['array'],
        ]);
        $kind = EntryKind::tryFrom($data['kind']);
        if ($kind === null || !in_array($kind, EntryKind::PLAIN, true)) {
            throw ValidationException::withMessages(['kind' => 'This cannot be noted like that. Reload the page.']);
        }
        $record($this->user($request), $job, Entry::read(strtolower($data['id']), $kind, $request->array('data')));

        return back(303);
    }

    /** Takes the steps and the kit of the route that worked on this model as the plan of this job. */
    public function kitOfRoute(Request $request, Job $job, RecordEntry $record): RedirectResponse
    {
        if ($job->stage === JobStage::Closed) {
            return $this->refused($job, 'This job is closed: nothing more is noted in it.');
        }
        $route = RepairView::route($job);
        $there = array_map(
            static fn(Entry $kit): string => $kit->text('sort') . $kit->text('what'),
            $job->ledger()->all(EntryKind::Kit),
        );
        foreach ($route->kit ?? [] as $kit) {
            [$sort, $what] = [(string) $kit->text('sort'), (string) $kit->text('what')];
            if (!in_array($sort . $what, $there, true)) {
                $record(
                    $this->user($request),
                    $job,
                    Entry::read(strtolower((string) Str::ulid()), EntryKind::Kit, ['sort' => $sort, 'what' => $what]),
                );
            }
        }

        return back(303);
    }
}

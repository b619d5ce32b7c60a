<?php

declare(strict_types=1);

namespace App\Repair;

use App\Http\Controller;
use App\Jobs\JobStates;
use App\Models\Job;
use App\Models\User;
use App\People\Ability;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Inertia\Response;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Pages\RepairPages;
use Ispira\Core\Pages\StripPages;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;
use Ispira\Core\Repair\Work\StillOpen;

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

    public function order(Job $job, RepairPages $pages): Response|RedirectResponse
    {
        return $job->stage === JobStage::Circuit
            ? $this->whereItStands($job)
            : $this->page($pages->order(JobStates::of($job)));
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
        $user = $this->user($request);
        $entry = Entry::read(strtolower($data['id']), $kind, $request->array('data'));
        $record($user, $job, self::countersigned($job, $entry, $user));

        return back(303);
    }

    /**
     * What a trainee closed is countersigned by somebody else who may, and under the own name.
     *
     * @throws EntryRefused
     */
    private static function countersigned(Job $job, Entry $entry, User $user): Entry
    {
        if ($entry->kind !== EntryKind::Settled || $entry->text('aspect') !== StillOpen::COUNTERSIGN) {
            return $entry;
        }
        $closing = $job->entries()->where('id', $entry->text('of'))->first();
        $user->may(Ability::Countersign) ||
            throw new EntryRefused('who', 'A technician or a lead countersigns what a trainee closed.');
        $closing?->user_id !== $user->id ||
            throw new EntryRefused('who', 'You closed it yourself: somebody else countersigns.');

        return Entry::read($entry->id, $entry->kind, ['who' => $user->name] + $entry->data);
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

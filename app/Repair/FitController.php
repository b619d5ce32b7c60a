<?php

declare(strict_types=1);

namespace App\Repair;

use App\Http\Asked;
use App\Http\Controller;
use App\Jobs\JobStates;
use App\Models\Job;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Response;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Pages\FitAsked;
use Ispira\Core\Pages\FitPages;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * The old part against its candidate, before anything is taken apart and again beside it.
 */
final class FitController extends Controller
{
    public function show(Request $request, Job $job, FitPages $pages): Response|RedirectResponse
    {
        if ($job->stage === JobStage::Circuit) {
            return $this->whereItStands($job);
        }

        return $this->page(
            $pages->fit(
                JobStates::of($job),
                new FitAsked(
                    Asked::text($request, 'type'),
                    FitAsked::described($request->query('old')),
                    FitAsked::described($request->query('new')),
                    Asked::text($request, 'candidate'),
                ),
            ),
        );
    }

    public function store(Request $request, Job $job, RecordEntry $record): RedirectResponse
    {
        $data = $request->validate(['id' => ['required', 'ulid']]);
        $record(
            $this->user($request),
            $job,
            Entry::read(
                strtolower($data['id']),
                EntryKind::Fit,
                $request->only(['when', 'type', 'candidate', 'old', 'new', 'accepted', 'reason']),
            ),
        );

        return redirect("/jobs/$job->id/fit", 303)->with('notice', 'The comparison is on record.');
    }
}

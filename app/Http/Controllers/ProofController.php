<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\RecordMap;
use App\Diagnosis\JobView;
use App\Http\Requests\MapStates;
use App\Models\Job;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Inertia\Inertia;
use Inertia\Response;
use Ispira\Core\Diagnosis\SpeedState;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\MapKind;

/**
 * The same speed map again after the repair: it closes the job or sends it back to the bench.
 */
final class ProofController extends Controller
{
    public function show(Job $job): Response|RedirectResponse
    {
        if ($job->stage === JobStage::Circuit || $job->stage === JobStage::Bench) {
            return $this->whereItStands($job);
        }
        $circuit = $job->circuit();

        return Inertia::render('Proof', [
            'job' => JobView::head($job),
            'strip' => JobView::strip($job, $circuit),
            'replacements' => JobView::replacements($job, $circuit),
            'readings' => JobView::readings($job, $circuit),
            'open' => $job->stage === JobStage::Proof,
        ]);
    }

    public function store(Request $request, Job $job, RecordMap $record): RedirectResponse
    {
        $data = $request->validate(['id' => ['required', 'ulid']]);
        if ($job->stage !== JobStage::Proof) {
            return $this->whereItStands($job, $job->maps->contains('id', $data['id']) ? null : 'This job has moved on in another window.');
        }
        $states = MapStates::read($request->input('states'), $job->circuit(), whole: true);
        $right = array_unique(array_values($states)) === [SpeedState::Right->value];
        DB::transaction(function () use ($request, $job, $record, $data, $states, $right): void {
            $locked = Job::query()->whereKey($job->id)->lockForUpdate()->firstOrFail();
            if ($locked->stage !== JobStage::Proof) {
                return;
            }
            $record($this->user($request), $locked, $data['id'], MapKind::After, null, $states);
            $locked->update($right ? ['stage' => JobStage::Closed, 'closed_at' => now()] : ['stage' => JobStage::Bench]);
        });

        return $this->whereItStands($job->refresh(), $right ? null : 'Not every position is right yet. The job is back on the bench with the new map as readings.');
    }
}

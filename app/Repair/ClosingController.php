<?php

declare(strict_types=1);

namespace App\Repair;

use App\Http\Controller;
use App\Jobs\JobStates;
use App\Models\Job;
use App\People\Ability;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Pages\JobProof;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;
use Ispira\Core\Repair\Work\JobOutcome;

/**
 * How a job ends.
 */
final class ClosingController extends Controller
{
    public function store(Request $request, Job $job, CloseJob $close, JobProof $proof): RedirectResponse
    {
        $data = $request->validate(['id' => ['required', 'ulid']]);
        $cancels = $request->input('outcome') === JobOutcome::Cancelled->value;
        if ($job->stage === JobStage::Circuit && !$cancels) {
            return $this->whereItStands($job);
        }
        if ($job->stage === JobStage::Closed && !$job->entries()->where('id', strtolower($data['id']))->exists()) {
            return $this->refused($job, 'This job was closed in another window.');
        }
        $unread = $proof->unread($state = JobStates::of($job));
        $closing = Entry::read(
            strtolower($data['id']),
            EntryKind::Closed,
            [
                'leftOut' => $state->isProved() && !$cancels ? array_column($unread, 'title') : [],
                'countersign' => !$cancels && !$this->user($request)->may(Ability::Countersign),
            ] + $request->only(['outcome', 'reason', 'dueOn', 'who']),
        );
        if ($closing->text('dueOn') !== '' && $closing->text('dueOn') <= now()->toDateString()) {
            throw new EntryRefused('dueOn', 'Give a day after today.');
        }
        $close($this->user($request), $job, $closing, $unread);

        return redirect("/jobs/$job->id/proof", 303);
    }

    /** Nothing was replaced, and it is to be proved all the same: it runs, or it was only adjusted. */
    public function begin(Job $job): RedirectResponse
    {
        DB::transaction(static function () use ($job): void {
            $locked = $job->locked();
            if ($locked->stage === JobStage::Bench && in_array(JobStage::Proof, $locked->kind->flow(), true)) {
                $locked->update(['stage' => JobStage::Proof]);
            }
        });

        return redirect("/jobs/$job->id/proof", 303);
    }
}

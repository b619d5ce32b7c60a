<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Controller;
use App\Models\Job;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/**
 * What is done to a job as a whole: it is handed over, its intake is corrected, it goes on after it was closed.
 */
final class JobCareController extends Controller
{
    public function handOver(Request $request, Job $job, HandOver $handOver): RedirectResponse
    {
        $data = $request->validate(
            [
                'id' => ['required', 'ulid'],
                'to' => ['required', 'integer'],
                'note' => ['required', 'string', 'max:500'],
            ],
            [
                'to.*' => 'Choose who goes on with it.',
                'note.required' =>
                    'Say in a sentence how it stands: what is open, what was tried, what to look out for.',
                'note.max' => 'Keep it under :max characters.',
            ],
        );
        $user = $this->user($request);
        $to = $user->workshop->users()->whereNull('disabled_at')->whereKey((int) $data['to'])->first();
        $to ?? throw ValidationException::withMessages(['to' => 'Choose who goes on with it.']);
        $handOver($user, $job, strtolower($data['id']), $to, $data['note']);

        return redirect("/jobs/$job->id/complaint", 303)->with('notice', "This is a job of $to->name now.");
    }

    public function correct(Request $request, Job $job, CorrectIntake $correct): RedirectResponse
    {
        $data = $request->validate(
            [
                'id' => ['required', 'ulid'],
                'unit' => ['required', 'string', 'max:120'],
                'place' => ['nullable', 'string', 'max:120'],
                'model' => ['nullable', 'string', 'max:120'],
                'complaint' => ['required', 'string', 'max:1000'],
                'since' => ['nullable', 'string', 'max:120'],
                'intermittent' => ['required', 'boolean'],
                'replacedBefore' => ['nullable', 'string', 'max:1000'],
                'reason' => ['nullable', 'string', 'max:250'],
            ],
            [
                'unit.required' => 'Name the unit.',
                'complaint.required' => 'Write what the user of the machine says, in a few words.',
                '*.max' => 'Keep it under :max characters.',
            ],
        );
        $changed = $correct($this->user($request), $job, strtolower($data['id']), $data);

        return redirect("/jobs/$job->id/complaint", 303)->with(
            'notice',
            $changed ? 'Corrected. What stood there before is kept.' : 'Nothing was different.',
        );
    }

    public function reopen(Request $request, Job $job, ReopenJob $reopen): RedirectResponse
    {
        $data = $request->validate(
            [
                'id' => ['required', 'ulid'],
                'cameBack' => ['required', 'boolean'],
                'reason' => ['required', 'string', 'max:500'],
            ],
            ['reason.required' => 'Say why it is opened again.', 'reason.max' => 'Keep it under :max characters.'],
        );
        $reopen($this->user($request), $job, strtolower($data['id']), $request->boolean('cameBack'), $data['reason']);

        return $this->whereItStands($job->refresh());
    }

    public function delete(Request $request, Job $job, DeleteJob $delete): RedirectResponse
    {
        $number = JobView::number($job);
        $data = $request->validate(
            ['number' => ['required', 'string'], 'reason' => ['required', 'string', 'max:250']],
            [
                'number.*' => "Type $number: so that no other job is meant.",
                'reason.required' => 'Say why: it stands in what was done.',
                'reason.max' => 'Keep it under :max characters.',
            ],
        );
        if (strcasecmp(trim($data['number']), $number) !== 0) {
            throw ValidationException::withMessages(['number' => "Type $number: so that no other job is meant."]);
        }
        $delete($this->user($request), $job, $data['reason']);

        return redirect('/', 303)->with('notice', "$number is deleted. Its number stays taken.");
    }
}

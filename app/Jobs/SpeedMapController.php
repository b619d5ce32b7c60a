<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Controller;
use App\Models\Job;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Ispira\Core\Acts\MapStates;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\MapKind;

/**
 * Adds what was remembered of earlier behaviour.
 */
final class SpeedMapController extends Controller
{
    public function store(Request $request, Job $job, RecordMap $record): RedirectResponse
    {
        $data = $request->validate(
            ['id' => ['required', 'ulid'], 'notedFor' => ['required', 'string', 'max:120']],
            ['notedFor.required' => 'Say when the fan behaved like this, for example "last winter".'],
        );
        if ($job->stage === JobStage::Closed) {
            return $this->refused($job, 'This job is closed. Open a new one for the unit.');
        }
        $record(
            $this->user($request),
            $job,
            $data['id'],
            MapKind::Remembered,
            $data['notedFor'],
            MapStates::read($request->input('states'), $job->circuit()),
        );

        return redirect("/jobs/$job->id/complaint", 303);
    }
}

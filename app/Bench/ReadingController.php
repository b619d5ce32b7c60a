<?php

declare(strict_types=1);

namespace App\Bench;

use App\Http\Asked;
use App\Http\Controller;
use App\Instruments\LiveMeter;
use App\Models\Job;
use App\Models\KeptReading;
use App\Models\Reading;
use App\Models\Strike;
use App\People\Ability;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Diagnosis\Inference\LoosePart;
use Ispira\Core\Diagnosis\Presentation\Series;
use Ispira\Core\Job\JobStage;

final class ReadingController extends Controller
{
    public function store(
        RecordReadingRequest $request,
        Job $job,
        RecordReading $record,
        LiveMeter $live,
    ): RedirectResponse {
        if ($job->stage !== JobStage::Bench && !$job->readings->contains('id', Asked::text($request, 'id'))) {
            return $this->refused($job, 'This job is no longer on the bench: the reading was not recorded.');
        }
        $circuit = $job->circuit();
        try {
            $stored = $record(
                $this->user($request),
                $job,
                $request->reading($job, $circuit, $live),
                $request->seenOn(),
            );
        } catch (ReadingRefused $error) {
            throw ValidationException::withMessages(['value' => $error->getMessage()]);
        }
        if ($stored->instrument !== null) {
            $live->letGo($this->user($request), $job, $circuit->tests[$stored->test], Asked::text($request, 'meter'));
        }

        // While a table is stepped through, the next position is up; else what is proposed.
        $next = $request->boolean('series')
            ? (new Series($circuit, $job->refresh()->caseFile()))->next($circuit->tests[$stored->test])
            : null;

        return redirect("/jobs/$job->id/bench" . ($next === null ? '' : "?test=$next->key&series=1"), 303);
    }

    public function strike(Request $request, Job $job, string $reading): RedirectResponse
    {
        $data = $request->validate(['reason' => ['nullable', 'string', 'max:250']]);
        $found = $job->readings->firstWhere('id', $reading);
        abort_unless($found instanceof Reading, 404);
        if ($job->stage !== JobStage::Bench) {
            return $this->refused($job, 'Only readings of a job on the bench can be struck out.');
        }
        if ($found->user_id !== $this->user($request)->id && !$this->user($request)->may(Ability::Remove)) {
            return $this->refused(
                $job,
                'Somebody else took that reading: a technician strikes it out. Take it again beside it.',
            );
        }
        $notice = Strike::out($found, $this->user($request), $data['reason'] ?? null)
            ? null
            : 'That reading was struck out already.';

        return redirect("/jobs/$job->id/bench" . ($request->boolean('again') ? "?test=$found->test" : ''), 303)->with(
            'notice',
            $notice,
        );
    }

    /** The clips of a part on the bench were put right: what was read through them is struck out and read again. */
    public function hookedUp(Job $job, Request $request): RedirectResponse
    {
        $done = DB::transaction(function () use ($job, $request): bool {
            $locked = $job->locked();
            if ($locked->stage !== JobStage::Bench || $locked->part === null) {
                return false;
            }
            $tests = array_filter($locked->circuit()->tests, LoosePart::isHookedUp(...));
            foreach ($locked->readings as $reading) {
                if (isset($tests[$reading->test]) && $reading->strike === null) {
                    Strike::out($reading, $this->user($request), 'The hook-up on the bench was wrong.');
                }
            }

            return true;
        });
        if (!$done) {
            return $this->refused($job, 'Only a part that lies on the bench is hooked up anew.');
        }

        return redirect("/jobs/$job->id/bench", 303);
    }

    /** Takes back what a person has just done: the newest reading of the job, or a strike. */
    public function undo(Request $request, Job $job, string $reading): RedirectResponse
    {
        $user = $this->user($request);
        $done = DB::transaction(function () use ($job, $reading, $user): bool {
            $locked = $job->locked();
            $found = $locked->readings->firstWhere('id', $reading);
            abort_unless($found instanceof Reading, 404);
            if ($locked->stage !== JobStage::Bench) {
                return false;
            }
            $strike = $found->strike;
            if ($strike !== null) {
                $isOwn = $strike->user_id === $user->id && $strike->struck_at->gt(now()->subMinute());

                return $isOwn && $strike->update(['taken_back_at' => now()]);
            }
            $newest = $locked->readings->whereNull('speed_map_id')->last();

            return $newest?->id === $found->id &&
                $found->user_id === $user->id &&
                Strike::out($found, $user, 'taken back at once');
        });

        return redirect("/jobs/$job->id/bench", 303)->with(
            'notice',
            $done ? null : 'That cannot be taken back any more: strike it out in the readings, and say why.',
        );
    }

    /** Answers the doubts about a reading: it is right as it stands. */
    public function keep(Request $request, Job $job, string $reading): RedirectResponse
    {
        $found = $job->readings->firstWhere('id', $reading);
        abort_unless($found instanceof Reading, 404);
        if ($job->stage !== JobStage::Bench) {
            return $this->refused($job, 'Only readings of a job on the bench can be answered for.');
        }
        KeptReading::query()->firstOrCreate(
            ['reading_sequence' => $found->sequence],
            ['user_id' => $this->user($request)->id, 'kept_at' => now()],
        );

        return redirect("/jobs/$job->id/bench", 303);
    }
}

<?php

declare(strict_types=1);

namespace App\Repair;

use App\Bench\ReadingRefused;
use App\Bench\RecordReading;
use App\Bench\TestValue;
use App\Http\Controller;
use App\Jobs\JobStates;
use App\Jobs\RecordMap;
use App\Models\Job;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Inertia\Response;
use Ispira\Core\Acts\MapStates;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\MapKind;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Pages\JobProof;
use Ispira\Core\Pages\RepairPages;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Proof\CheckFinding;
use Ispira\Core\Repair\Proof\ProofChecks;

/**
 * The same speed map again after the repair, and what else proves it: it can then be closed, or goes back to the bench.
 */
final class ProofController extends Controller
{
    public function __construct(
        private readonly RepairPages $pages,
        private readonly JobProof $proof,
        private readonly RecordEntry $entries,
    ) {}

    public function show(Job $job): Response|RedirectResponse
    {
        if (
            $job->stage === JobStage::Circuit ||
            ($job->stage === JobStage::Bench && in_array(JobStage::Proof, $job->kind->flow(), true))
        ) {
            return $this->whereItStands($job);
        }

        return $this->page($this->pages->proof(JobStates::of($job)));
    }

    public function store(Request $request, Job $job, RecordMap $record): RedirectResponse
    {
        $data = $request->validate(
            ['id' => ['required', 'ulid'], 'provokedBy' => ['nullable', 'string', 'max:120']],
            ['provokedBy.max' => 'Say it in 120 characters.'],
        );
        if ($job->stage !== JobStage::Proof) {
            return $job->maps->contains('id', $data['id'])
                ? $this->whereItStands($job)
                : $this->refused($job, 'This job has moved on in another window.');
        }
        $states = MapStates::read($request->input('states'), $job->circuit(), whole: true);
        $right = array_unique(array_values($states)) === [SpeedState::Right->value];
        DB::transaction(function () use ($request, $job, $record, $data, $states, $right): void {
            $locked = $job->locked();
            if ($locked->stage !== JobStage::Proof) {
                return;
            }
            $record($this->user($request), $locked, $data['id'], MapKind::After, $data['provokedBy'] ?? null, $states);
            if (!$right) {
                $this->reopen($request, $locked, 'Not every position was right after it.');
            }
        });

        return $this->whereItStands(
            $job->refresh(),
            $right
                ? null
                : 'Not every position is right yet. The job is back on the bench with the new map as readings, and the verdict is marked as not having held.',
        );
    }

    /** One of the checks that prove a repair: a reading like any other, and judged at once. */
    public function check(Request $request, Job $job, RecordReading $record, DisplayUnits $units): RedirectResponse
    {
        $data = $request->validate([
            'id' => ['required', 'ulid'],
            'test' => ['required', 'string', 'max:1000'],
            'value' => ['nullable', 'string', 'max:1000'],
        ]);
        if ($job->stage !== JobStage::Proof) {
            return $job->readings->contains('id', strtolower($data['id']))
                ? $this->whereItStands($job)
                : $this->refused($job, 'This job has moved on in another window.');
        }
        $state = JobStates::of($job);
        [$test, $value] = TestValue::read($data, $state->circuit, $units);
        $missing = ProofChecks::missing($test);
        if ($missing !== null) {
            throw ValidationException::withMessages([$test->key => $missing]);
        }
        $reading = new Reading(strtolower($data['id']), $test->key, $value);
        $finding = $this->proof->of($state)->finding($state->case, $test, $reading);
        $hasBench = in_array(JobStage::Bench, $job->kind->flow(), true);
        try {
            DB::transaction(function () use ($request, $job, $record, $reading, $finding, $hasBench): void {
                $record($this->user($request), $job, $reading);
                if ($finding === CheckFinding::Wrong && $hasBench) {
                    $this->reopen($request, $job->refresh(), 'A check after it was not right.');
                }
            });
        } catch (ReadingRefused $error) {
            throw ValidationException::withMessages([$test->key => $error->getMessage()]);
        }

        return $this->whereItStands($job->refresh(), $finding->said($hasBench));
    }

    private function reopen(Request $request, Job $job, string $because): void
    {
        $last = $job->replacements()->reorder('sequence', 'desc')->first();
        if ($last !== null) {
            ($this->entries)(
                $this->user($request),
                $job,
                Entry::read(strtolower((string) Str::ulid()), EntryKind::Held, [
                    'replacement' => $last->id,
                    'held' => false,
                    'because' => $because,
                ]),
            );
        }
        $job->update(['stage' => JobStage::Bench]);
    }
}

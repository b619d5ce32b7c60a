<?php

declare(strict_types=1);

namespace App\Repair;

use App\Bench\ReadingRefused;
use App\Http\Controller;
use App\Jobs\JobStates;
use App\Models\Job;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Inertia\Response;
use Ispira\Core\Acts\NewPart;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Pages\RepairPages;

/**
 * The new part: measured first, fitted by its procedure, and noted.
 */
final class SwapController extends Controller
{
    public function __construct(private readonly RepairPages $pages, private readonly NewPart $part) {}

    public function show(Job $job): Response|RedirectResponse
    {
        if ($job->stage === JobStage::Circuit) {
            return $this->whereItStands($job);
        }

        return $this->page($this->pages->swap(JobStates::withRuns($job)));
    }

    /** What the new part shows before it goes in. */
    public function measured(Request $request, Job $job, RecordEntry $record): RedirectResponse
    {
        $data = $request->validate(
            [
                'id' => ['required', 'ulid'],
                'test' => ['required', 'string', 'max:1000'],
                'value' => ['nullable', 'string', 'max:1000'],
                'reason' => ['nullable', 'string', 'max:500'],
            ],
            ['test.required' => 'Choose what was measured.'],
        );
        $record(
            $this->user($request),
            $job,
            $this->part->measured(JobStates::of($job), strtolower($data['id']), $data),
        );

        return redirect("/jobs/$job->id/swap", 303);
    }

    public function store(Request $request, Job $job, RecordReplacement $record): RedirectResponse
    {
        $state = JobStates::of($job);
        $data = $request->validate(
            [
                'id' => ['required', 'ulid'],
                'parts' => [Rule::requiredIf($state->conversion() === null), 'array', 'max:6'],
                'parts.*' => ['string', 'max:60', 'distinct'],
                'partNumber' => ['nullable', 'string', 'max:120'],
                'note' => ['nullable', 'string', 'max:2000'],
                'temporaryUntil' => ['bail', 'nullable', 'string', 'date_format:Y-m-d', 'after:today'],
                'done' => ['nullable', 'array', 'max:20'],
                'done.*' => ['string', 'max:200'],
            ],
            [
                'parts.required' => 'Choose what was replaced or repaired.',
                'temporaryUntil.*' => 'Give the day on which the part is due, after today.',
            ],
        );
        $replaced = $this->part->replaced(
            $state,
            $data['id'],
            array_values($data['parts'] ?? []),
            $data,
            now()->toIso8601String(),
        );
        try {
            $record($this->user($request), $job, $replaced);
        } catch (ReadingRefused $error) {
            return $this->refused($job->refresh(), $error->getMessage());
        }

        return redirect("/jobs/$job->id/proof", 303);
    }
}

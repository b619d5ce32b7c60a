<?php

declare(strict_types=1);

namespace App\Repair;

use App\Bench\ReadingRefused;
use App\Bench\TestValue;
use App\Http\Controller;
use App\Jobs\JobStates;
use App\Models\Job;
use App\Procedures\RunView;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Inertia\Response;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Pages\JobDiagnosis;
use Ispira\Core\Pages\JobProof;
use Ispira\Core\Pages\RepairPages;
use Ispira\Core\Pages\TemporaryOffer;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * The new part: measured first, fitted by its procedure, and noted.
 */
final class SwapController extends Controller
{
    public function __construct(
        private readonly RepairPages $pages,
        private readonly JobDiagnosis $diagnosis,
        private readonly TemporaryOffer $temporary,
    ) {}

    public function show(Job $job): Response|RedirectResponse
    {
        if ($job->stage === JobStage::Circuit) {
            return $this->whereItStands($job);
        }
        $runs = $job
            ->runs()
            ->with(['job.unit', 'marks'])
            ->get()
            ->map(RunView::listed(...))
            ->all();

        return $this->page($this->pages->swap(JobStates::of($job), array_values($runs)));
    }

    /** What the new part shows before it goes in. */
    public function measured(Request $request, Job $job, RecordEntry $record, JobProof $proof): RedirectResponse
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
        $state = JobStates::of($job);
        [$test, $value] = TestValue::read($data, $state->circuit, app(DisplayUnits::class), 'value');
        $checks = $proof->of($state);
        $right = $checks->isRight($test, new Reading('new', $test->key, $value));
        $record(
            $this->user($request),
            $job,
            Entry::read(strtolower($data['id']), EntryKind::Measured, [
                'test' => $test->key,
                'number' => is_float($value) ? $value : null,
                'answer' => is_string($value) ? $value : null,
                'right' => $right,
                'expected' => $checks->expected($test),
                'reason' => $data['reason'] ?? null,
            ]),
        );

        return redirect("/jobs/$job->id/swap", 303);
    }

    public function store(Request $request, Job $job, RecordReplacement $record): RedirectResponse
    {
        $state = JobStates::of($job);
        $conversion = $state->conversion();
        $data = $request->validate(
            [
                'id' => ['required', 'ulid'],
                'parts' => [Rule::requiredIf($conversion === null), 'array', 'max:6'],
                'parts.*' => ['string', 'max:60', 'distinct'],
                'partNumber' => ['nullable', 'string', 'max:120'],
                'note' => ['nullable', 'string', 'max:2000'],
                'temporaryUntil' => ['nullable', 'date_format:Y-m-d', 'after:today'],
                'done' => ['nullable', 'array', 'max:20'],
                'done.*' => ['string', 'max:200'],
            ],
            [
                'parts.required' => 'Choose what was replaced or repaired.',
                'temporaryUntil.*' => 'Give the day on which the part is due, after today.',
            ],
        );
        $left = array_diff($conversion->changes ?? [], $data['done'] ?? []);
        if ($left !== []) {
            throw ValidationException::withMessages([
                'done' =>
                    'Not done yet: ' . implode('; ', $left) . '. Tick each when it is done, or choose another way.',
            ]);
        }
        $parts = array_values($conversion->parts ?? $data['parts']);
        sort($parts);
        foreach ($parts as $part) {
            if (!isset($state->circuit->parts[$part])) {
                throw ValidationException::withMessages(['parts' => 'This circuit has no such part. Reload the page.']);
            }
        }
        $until = $this->temporary->until($state, $parts, $data['temporaryUntil'] ?? null);
        $verdict = $job->stage === JobStage::Bench ? $this->diagnosis->of($state)->diagnosis : null;
        $snapshot =
            $verdict === null
                ? null
                : [
                    'verdict' => $verdict->verdict,
                    'suspects' => array_slice($verdict->suspects, 0, 4),
                    'guessing' => $this->diagnosis->priceOfGuessing($state),
                ];
        try {
            $record(
                $this->user($request),
                $job,
                $data['id'],
                implode('+', $parts),
                $data['partNumber'] ?? null,
                $conversion === null
                    ? $data['note'] ?? null
                    : trim("Converted: $conversion->name. " . ($data['note'] ?? '')),
                $snapshot,
                $until,
            );
        } catch (ReadingRefused $error) {
            return $this->whereItStands($job->refresh(), $error->getMessage());
        }

        return redirect("/jobs/$job->id/proof", 303);
    }
}

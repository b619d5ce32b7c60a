<?php

declare(strict_types=1);

namespace App\Repair;

use App\Http\Controller;
use App\Jobs\JobStates;
use App\Models\Job;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Inertia\Response;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Pages\Cures;
use Ispira\Core\Pages\JobDiagnosis;
use Ispira\Core\Pages\RemedyAsked;
use Ispira\Core\Pages\RepairPages;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * What can be done about the suspects, and which of it is done.
 */
final class RemedyController extends Controller
{
    public function __construct(
        private readonly RepairPages $pages,
        private readonly JobDiagnosis $diagnosis,
        private readonly Cures $cures,
    ) {}

    public function show(Request $request, Job $job): Response|RedirectResponse
    {
        if ($job->stage === JobStage::Circuit) {
            return $this->whereItStands($job);
        }
        $text = static fn(string $field): string => $request->string($field)->toString();

        return $this->page(
            $this->pages->remedy(
                JobStates::of($job),
                new RemedyAsked(
                    standing: $text('standing'),
                    potted: $request->boolean('potted'),
                    tool: $text('tool'),
                    price: $text('price'),
                    saving: $text('saving'),
                    perYear: $text('perYear'),
                ),
            ),
        );
    }

    public function store(Request $request, Job $job, RecordEntry $record): RedirectResponse
    {
        $data = $request->validate(
            [
                'id' => ['required', 'ulid'],
                'option' => ['required', 'string', 'max:150'],
                'reason' => ['required', 'string', 'max:1000'],
                'partNumber' => ['nullable', 'string', 'max:120'],
            ],
            [
                'option.required' => 'Choose one of the ways.',
                'reason.required' => 'Say in a few words why this way: whoever comes next will ask.',
            ],
        );
        if ($job->stage !== JobStage::Bench) {
            return $this->whereItStands($job, 'This job has moved on: the remedy was chosen already.');
        }
        $state = JobStates::of($job);
        $outlook = $this->cures->outlook(
            $state,
            $this->diagnosis->plain($state),
            RemedyAsked::money($request->string('standing')->toString()) ?? 0.0,
            $request->boolean('potted'),
        );
        $option =
            array_column($outlook->options, null, 'key')[$data['option']] ??
            throw ValidationException::withMessages([
                'option' => 'This way is not offered any more: the odds have changed. Choose again.',
            ]);
        $option->leadDays !== null ||
            throw ValidationException::withMessages(['option' => 'It is not to be had: choose another way.']);
        $record(
            $this->user($request),
            $job,
            Entry::read(strtolower($data['id']), EntryKind::Choice, [
                'option' => $option->key,
                'label' => $option->label,
                'parts' => $option->parts,
                'kind' => $option->kind,
                'purchase' => $option->price,
                'selling' => $request->input('selling'),
                'minutes' => $option->minutes,
                'leadDays' => $option->leadDays,
                'warrantyMonths' => $option->warrantyMonths,
                'partNumber' =>
                    $data['partNumber'] ?? (str_starts_with($option->key, 'number:') ? substr($option->key, 7) : null),
                'expected' => $option->expected,
                'reason' => $data['reason'],
                'lasting' => $request->input('lasting'),
            ]),
        );

        return redirect("/jobs/$job->id/fit", 303);
    }
}

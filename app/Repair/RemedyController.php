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
use Ispira\Core\Acts\RemedyChosen;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Pages\RemedyAsked;
use Ispira\Core\Pages\RepairPages;

/**
 * What can be done about the suspects, and which of it is done.
 */
final class RemedyController extends Controller
{
    public function __construct(private readonly RepairPages $pages) {}

    public function show(Request $request, Job $job): Response|RedirectResponse
    {
        if ($job->stage === JobStage::Circuit) {
            return $this->whereItStands($job);
        }
        $text = static fn(string $field): string => Asked::text($request, $field);

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

    public function store(Request $request, Job $job, RecordEntry $record, RemedyChosen $chosen): RedirectResponse
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
            return $job->entries()->where('id', strtolower($data['id']))->exists()
                ? $this->whereItStands($job)
                : $this->refused($job, 'This job has moved on: the remedy was chosen already.');
        }
        $entry = $chosen->entry(JobStates::of($job), strtolower($data['id']), $request->all());
        $record($this->user($request), $job, $entry);

        return redirect("/jobs/$job->id/fit", 303)->with('notice', RemedyChosen::said($entry));
    }
}

<?php

declare(strict_types=1);

namespace App\Repair;

use App\Http\Controller;
use App\Jobs\JobView;
use App\Models\Job;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Kernel\NumberReader;
use Ispira\Core\Kernel\UnreadableNumber;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Remedy\BreakEven;

/**
 * What can be done about the suspects, and which of it is done.
 */
final class RemedyController extends Controller
{
    public function __construct(private readonly RemedyView $remedies) {}

    public function show(Request $request, Job $job): RemedyPage|RedirectResponse
    {
        if ($job->stage === JobStage::Circuit) {
            return $this->whereItStands($job);
        }
        $circuit = $job->circuit();
        $standing = $this->money($request, 'standing') ?? 0.0;
        $tools = $job->stage === JobStage::Bench ? $this->remedies->tools($job, $circuit) : [];

        return new RemedyPage(
            job: JobView::head($job),
            open: $job->stage === JobStage::Bench,
            outlook: $this->remedies->outlook(
                $job,
                $circuit,
                $this->remedies->diagnosis($job, $circuit),
                $standing,
                $request->boolean('potted'),
            ),
            potted: $request->boolean('potted'),
            standing: $request->string('standing')->limit(20, '')->toString(),
            choices: RepairView::entries($job->ledger(), EntryKind::Choice),
            tools: $tools,
            breakEven: $this->breakEven($request, $tools),
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
        $circuit = $job->circuit();
        $outlook = $this->remedies->outlook(
            $job,
            $circuit,
            $this->remedies->diagnosis($job, $circuit),
            $this->money($request, 'standing') ?? 0.0,
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

    /**
     * @param list<ToolWorth> $tools
     */
    private function breakEven(Request $request, array $tools): ?BreakEvenShown
    {
        $price = $this->money($request, 'price');
        $tool = array_column($tools, null, 'key')[$request->string('tool')->toString()] ?? null;
        if ($price === null || $tool === null) {
            return null;
        }
        $saving = $this->money($request, 'saving') ?? $tool->saving;
        $even = new BreakEven($price, $saving, $this->money($request, 'perYear') ?? 0.0);

        return new BreakEvenShown(
            tool: $tool->key,
            label: $tool->label,
            price: $request->string('price')->toString(),
            perYear: $request->string('perYear')->toString(),
            typed: $request->string('saving')->toString(),
            saving: $saving,
            jobs: $even->jobs,
            months: $even->months,
        );
    }

    private function money(Request $request, string $field): ?float
    {
        $given = $request->input($field);
        if ($given === null || $given === '') {
            return null;
        }
        try {
            return max(0.0, min(1e6, NumberReader::read($given, '')));
        } catch (UnreadableNumber) {
            return null;
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Repair;

use App\Bench\JobDiagnosis;
use App\Bench\ReadingRefused;
use App\Bench\TestValue;
use App\Http\Controller;
use App\Jobs\JobView;
use App\Models\Job;
use App\Procedures\RunView;
use App\Procedures\WorkshopLibrary;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\OfferedRemedy;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\Named;
use Ispira\Core\Kernel\Titled;
use Ispira\Core\Procedure\Procedure;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Proof\NewPartTests;
use Ispira\Core\Repair\Proof\ProofChecks;

/**
 * The new part: measured first, fitted by its procedure, and noted.
 */
final class SwapController extends Controller
{
    public function __construct(private readonly RemedyView $remedies) {}

    public function show(Job $job, WorkshopLibrary $library, DisplayUnits $units): SwapPage|RedirectResponse
    {
        if ($job->stage === JobStage::Circuit) {
            return $this->whereItStands($job);
        }
        $circuit = $job->circuit();
        $words = new Words($circuit, $units);
        $diagnosis = $this->remedies->diagnosis($job, $circuit);
        $checks = new ProofChecks($circuit, $job->repairSheet(), $diagnosis->evidence, $units);
        $ledger = $job->ledger();

        return new SwapPage(
            job: JobView::head($job),
            open: $job->stage === JobStage::Bench,
            choice: array_slice(RepairView::entries($ledger, EntryKind::Choice), -1)[0] ?? null,
            changes: self::conversion($job)->changes ?? [],
            leading: $diagnosis->suspects[0]->namesParts() ? $diagnosis->suspects[0]->remedy : 'none',
            parts: array_map(
                static fn(Part $part): Named => new Named(key: $part->key, label: $words->part($part->key)),
                array_values($circuit->parts),
            ),
            repairCaution: $circuit->texts->find('repair') ?? Words::general('repair'),
            temporary: TemporaryOffer::of($job, $circuit),
            tests: array_map(
                static fn(Test $test): PartTest => new PartTest(
                    key: $test->key,
                    title: $words->test($test),
                    unit: $words->unit($test->probe->quantity)->symbol,
                    expected: $checks->expected($test),
                    choices: array_map(
                        static fn(string $value): Choice => new Choice(
                            value: $value,
                            label: $words->choice($test, $value),
                        ),
                        Judged::answers($circuit, $test),
                    ),
                    cautions: $words->cautions($test),
                ),
                $this->partTests($job, $circuit, $diagnosis),
            ),
            measured: array_map(
                static fn(Entry $one): PartMeasured => new PartMeasured(
                    id: $one->id,
                    title: isset($circuit->tests[$one->text('test')])
                        ? $words->test($circuit->tests[$one->text('test')])
                        : '',
                    right: $one->flag('right'),
                    expected: $one->text('expected'),
                    reason: $one->text('reason') === '' ? null : $one->text('reason'),
                ),
                $ledger->all(EntryKind::Measured),
            ),
            procedures: array_values(
                array_map(
                    static fn(Procedure $one): Titled => new Titled(key: $one->key, title: $one->title),
                    array_filter(
                        $library->of($job->workshop),
                        static fn(Procedure $one): bool => $one->serves($job->family),
                    ),
                ),
            ),
            runs: array_values(
                $job
                    ->runs()
                    ->with(['job.unit', 'marks'])
                    ->get()
                    ->map(RunView::listed(...))
                    ->all(),
            ),
            replacements: JobView::replacements($job, $circuit),
        );
    }

    /** What the new part shows before it goes in. */
    public function measured(Request $request, Job $job, RecordEntry $record, DisplayUnits $units): RedirectResponse
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
        $circuit = $job->circuit();
        [$test, $value] = TestValue::read($data, $circuit, $units, 'value');
        $checks = new ProofChecks(
            $circuit,
            $job->repairSheet(),
            $this->remedies->diagnosis($job, $circuit)->evidence,
            $units,
        );
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

    public function store(
        Request $request,
        Job $job,
        RecordReplacement $record,
        JobDiagnosis $diagnosis,
    ): RedirectResponse {
        $data = $request->validate(
            [
                'id' => ['required', 'ulid'],
                'parts' => [Rule::requiredIf(self::conversion($job) === null), 'array', 'max:6'],
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
        $circuit = $job->circuit();
        $conversion = self::conversion($job);
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
            if (!isset($circuit->parts[$part])) {
                throw ValidationException::withMessages(['parts' => 'This circuit has no such part. Reload the page.']);
            }
        }
        $until = TemporaryOffer::until($job, $circuit, $parts, $data['temporaryUntil'] ?? null);
        $verdict = $job->stage === JobStage::Bench ? $diagnosis->of($job, $circuit)->diagnosis : null;
        $snapshot =
            $verdict === null
                ? null
                : [
                    'verdict' => $verdict->verdict,
                    'suspects' => array_slice($verdict->suspects, 0, 4),
                    'guessing' => $diagnosis->priceOfGuessing($job, $circuit),
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

    /** The conversion that was chosen for a job; null where it is none. */
    private static function conversion(Job $job): ?OfferedRemedy
    {
        $option = $job->repairSheet()->option($job->ledger()->latest(EntryKind::Choice)?->text('option') ?? '');

        return $option?->isConversion() ? $option : null;
    }

    /** @return list<Test> what the new part should show, and the old one did not */
    private function partTests(Job $job, CircuitModel $circuit, Diagnosis $diagnosis): array
    {
        $leading = $diagnosis->suspects[0] ?? null;

        return $leading === null || !$leading->namesParts()
            ? []
            : (new NewPartTests($circuit, $diagnosis->evidence))->of($job->caseFile(), $leading->leading());
    }
}

<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Captures\ImportCapture;
use App\Models\Job;
use App\Models\Reading;
use App\Models\RepairEntry;
use App\Models\Replacement;
use App\Models\SpeedMap;
use App\Models\Unit;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use Ispira\Core\Acts\PlanAnswered;
use Ispira\Core\Capture\Format\CsvExport;
use Ispira\Core\Capture\ImportSettings;
use Ispira\Core\Capture\SampleStore;
use Ispira\Core\Capture\SimulatedScope;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\LoosePart;
use Ispira\Core\Diagnosis\Inference\PredictionStore;
use Ispira\Core\Diagnosis\Presentation\DiagnosisFormat;
use Ispira\Core\Diagnosis\Presentation\Shown\DiagnosisShown;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Job\JobKind;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\MapKind;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Planning\PlannerRegistry;
use Ispira\Core\Reading\Reading as CoreReading;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Work\JobOutcome;

/**
 * Works a job of the demo on a simulated unit with a hidden fault, as a technician would who follows the proposals.
 */
final class DemoJob
{
    private readonly Job $job;

    private readonly CircuitModel $circuit;

    private SimulatedUnit $unit;

    private Carbon $clock;

    /** @param array<string, mixed> $parameters */
    public function __construct(
        private readonly User $user,
        Unit $unit,
        string $family,
        array $parameters,
        int $daysAgo,
        string $complaint,
        private readonly string $fault,
        private readonly int $seed,
        bool $intermittent,
        ?string $since,
        ?string $replacedBefore,
        JobKind $kind = JobKind::Fault,
        ?string $part = null,
    ) {
        $declared = app(FamilyRegistry::class)->get($family);
        $values = $declared->parameters()->read($parameters);
        $this->circuit =
            $part === null ? $declared->circuit($values) : LoosePart::of($declared->circuit($values), $part);
        $this->clock = Carbon::now()
            ->subDays($daysAgo)
            ->setTime(8 + ($seed % 7), $seed % 60);
        if ($this->clock->isFuture()) {
            $this->clock = Carbon::now()->subHours(2);
        }
        $this->job = new Job([
            'workshop_id' => $user->workshop_id,
            'number' => $user->workshop->takeJobNumber(),
            'unit_id' => $unit->id,
            'user_id' => $user->id,
            'owner_id' => $user->id,
            'kind' => $kind,
            'part' => $part,
            'stage' => JobStage::Bench,
            'complaint' => $complaint,
            'since' => $since,
            'intermittent' => $intermittent,
            'replaced_before' => $replacedBefore,
            'family' => $family,
            'parameters' => $values,
        ]);
        $this->job->created_at = $this->clock->copy();
        $this->job->save();
        $this->unit = new SimulatedUnit($this->circuit, $this->hypothesis($this->fault), new RandomSource($seed), 0.0);
        if ($kind === JobKind::Fault || $kind === JobKind::Remote) {
            $this->map(MapKind::Before, 0);
            $this->answer();
        } elseif ($kind->hasMap()) {
            $this->allRight(MapKind::Before, 0);
        }
        $this->touch();
    }

    /** Does the proposed tests, at most so many. */
    public function investigate(int $most): self
    {
        for ($n = 0; $n < $most; ++$n) {
            $test = $this->diagnosis()['next'];
            if ($test === null) {
                break;
            }
            $this->record(
                $this->unit->read((string) Str::ulid($this->clock), $test, $this->job->replacements()->count()),
                null,
            );
        }
        $this->touch();

        return $this;
    }

    public function replace(string $remedy, ?string $partNumber, string $note, ?int $temporaryDays = null): self
    {
        $this->clock->addMinutes(45);
        $shown = $this->diagnosis()['shown'];
        Replacement::query()->create([
            'id' => (string) Str::ulid($this->clock),
            'job_id' => $this->job->id,
            'user_id' => $this->user->id,
            'remedy' => $remedy,
            'part_number' => $partNumber,
            'note' => $note,
            'verdict' => [
                'verdict' => $shown->verdict,
                'suspects' => array_slice($shown->suspects, 0, 4),
                'guessing' => (new Engine(app(PredictionStore::class)))->diagnose(
                    $this->circuit,
                    $this->job->caseFile()->mapOnly($this->circuit),
                    $this->job->decisionSettings(),
                )->guessing,
            ],
            'temporary_until' => $temporaryDays === null ? null : $this->clock->copy()->addDays($temporaryDays),
            'replaced_at' => $this->clock,
        ]);
        $this->job->update(['stage' => JobStage::Proof]);
        $this->touch();

        return $this;
    }

    /** Every position is right again. */
    public function prove(): self
    {
        $this->clock->addMinutes(6);
        $this->allRight(MapKind::After, 1);
        $last = $this->job->replacements()->reorder('sequence', 'desc')->first();
        $until = $last?->temporary_until?->toDateString();
        $this->note(EntryKind::Closed, [
            'outcome' => $until === null ? JobOutcome::Repaired->value : JobOutcome::Temporary->value,
            'dueOn' => $until,
        ]);
        $this->note(EntryKind::Held, ['replacement' => $last?->id, 'held' => true]);
        $this->job->update([
            'stage' => JobStage::Closed,
            'closed_at' => $this->clock,
            'outcome' => $until === null ? JobOutcome::Repaired : JobOutcome::Temporary,
            'due_on' => $until,
        ]);
        $this->touch();

        return $this;
    }

    /**
     * Notes something of the repair.
     *
     * @param array<string, mixed> $data as its kind declares
     */
    public function note(EntryKind $kind, array $data, float $minutes = 0.5): string
    {
        $this->clock->addSeconds((int) round(60.0 * $minutes));
        $id = strtolower((string) Str::ulid($this->clock));
        $entry = Entry::read($id, $kind, $data);
        RepairEntry::query()->create([
            'id' => $id,
            'job_id' => $this->job->id,
            'user_id' => $this->user->id,
            'kind' => $kind,
            'data' => $entry->data,
            'noted_at' => $this->clock,
        ]);
        if ($kind === EntryKind::Closed) {
            $this->job->recountOpen();
        }

        return $id;
    }

    /**
     * Takes apart, in order: what, fastener, length, count, where it is put, clip.
     *
     * @param list<array{0: string, 1: string|null, 2: string|null, 3: int, 4: string|null, 5: string|null}> $steps
     */
    public function strip(array $steps, bool $together): self
    {
        $off = [];
        foreach ($steps as [$what, $fastener, $length, $count, $where, $clip]) {
            $off[] = [
                $this->note(
                    EntryKind::Down,
                    [
                        'what' => $what,
                        'fastener' => $fastener,
                        'length' => $length,
                        'count' => $count,
                        'where' => $where,
                        'clip' => $clip,
                    ],
                    2.5,
                ),
                $count,
            ];
        }
        foreach ($together ? array_reverse($off) : [] as [$id, $count]) {
            $this->note(EntryKind::Up, ['of' => $id, 'count' => $count], 1.5);
        }

        return $this;
    }

    /** The new pack works, but the motor still drags: the proof sends the job back. */
    public function failProof(): self
    {
        $this->clock->addMinutes(6);
        $left = explode('+', $this->fault)[0] . '#1';
        $this->unit = new SimulatedUnit(
            $this->circuit,
            $this->hypothesis($left),
            new RandomSource($this->seed + 1),
            0.0,
        );
        $this->map(MapKind::After, 1);
        $this->note(EntryKind::Held, [
            'replacement' => $this->job->replacements()->reorder('sequence', 'desc')->first()?->id,
            'held' => false,
            'because' => 'Not every position was right after it.',
        ]);
        $this->job->update(['stage' => JobStage::Bench]);
        $this->touch();

        return $this;
    }

    /** @param array<array-key, string> $states */
    public function remember(string $notedFor, array $states): self
    {
        $map = $this->newMap(MapKind::Remembered, 0, $notedFor);
        foreach ($states as $position => $state) {
            $this->record(
                new CoreReading(
                    (string) Str::ulid($this->clock),
                    "speed@$position",
                    $state,
                    trust: MapKind::Remembered->trust(),
                ),
                $map,
            );
        }
        $this->touch();

        return $this;
    }

    /** Captures of the command signal in every running position, as the scope saved them. */
    public function capture(): self
    {
        foreach ($this->circuit->tests as $test) {
            $position = $this->circuit->positions[$this->circuit->setUps[$test->setUp]->position];
            if ($test->probe->quantity !== Quantity::Duty || !$position->runs()) {
                continue;
            }
            $this->clock->addMinute();
            $duty = $this->unit->read('capture', $test, 0)->value;
            $folder = sys_get_temp_dir() . '/ispira-demo-' . Str::ulid();
            (new SimulatedScope(
                20_000.0,
                100.0,
                is_float($duty) ? $duty : 0.0,
                0.05,
                $test->probe->full,
                1.2e-4,
                0.04,
                chance: new RandomSource($this->seed),
            ))->into($store = new SampleStore($folder), 8000, 'command');
            $file = "$folder/step-$position->key.csv";
            File::put($file, implode('', iterator_to_array((new CsvExport($store))->parts(), false)));
            app(ImportCapture::class)(
                $this->user,
                $this->job,
                strtolower((string) Str::ulid($this->clock)),
                $file,
                basename($file),
                (string) $position->key,
                new ImportSettings(),
            )->update(['taken_at' => $this->clock]);
            File::deleteDirectory($folder);
        }

        return $this;
    }

    /** Ends it without a replacement. */
    public function close(JobOutcome $outcome, ?string $reason, ?int $dueInDays = null): self
    {
        $due = $dueInDays === null ? null : $this->clock->copy()->addDays($dueInDays)->toDateString();
        $this->note(EntryKind::Closed, ['outcome' => $outcome->value, 'reason' => $reason, 'dueOn' => $due]);
        $this->job->update([
            'stage' => JobStage::Closed,
            'closed_at' => $this->clock,
            'outcome' => $outcome,
            'due_on' => $due,
        ]);
        $this->touch();

        return $this;
    }

    /**
     * Keeps the answer of a planner.
     *
     * @param array<string, string|list<string>> $values against those of its example
     */
    public function plan(string $planner, array $values): self
    {
        $planner = app(PlannerRegistry::class)->find($planner) ?? throw new \LogicException("No planner $planner.");
        $all = $values + $planner->parameters()->defaults();
        $this->note(EntryKind::Planned, (new PlanAnswered($planner, $all))->entry('of-the-demo')->data);
        $this->touch();

        return $this;
    }

    /** Straight to the proof: nothing is looked for. */
    public function toProof(bool $done = false): self
    {
        if ($done) {
            $this->allRight(MapKind::After, 0);
        }
        $this->job->update(['stage' => JobStage::Proof]);
        $this->touch();

        return $this;
    }

    public function leaveCircuit(): self
    {
        $this->job->update(['stage' => JobStage::Circuit]);

        return $this;
    }

    private function hypothesis(string $key): Hypothesis
    {
        foreach (HypothesisList::of($this->circuit, $this->job->intermittent ?? false) as $hypothesis) {
            if ($hypothesis->key === $key || $hypothesis->faultKey() === $key) {
                return $hypothesis;
            }
        }

        throw new \LogicException("The circuit has no fault $key.");
    }

    /** @return array{next: Test|null, shown: DiagnosisShown} */
    private function diagnosis(): array
    {
        $case = $this->job->unsetRelations()->caseFile();
        $diagnosis = (new Engine(app(PredictionStore::class)))->diagnose(
            $this->circuit,
            $case,
            $this->user->workshop->decisionSettings(),
        );
        $cause = $diagnosis->verdict === null ? null : $diagnosis->verdict->causesToCheck[0] ?? null;

        return [
            'next' => $diagnosis->next->test ?? ($cause === null ? null : $this->circuit->tests[$cause->test]),
            'shown' => (new DiagnosisFormat($this->circuit, $case, $diagnosis))->shown(),
        ];
    }

    private function allRight(MapKind $kind, int $episode): void
    {
        $map = $this->newMap($kind, $episode, null);
        foreach ($this->circuit->positions as $position) {
            $this->record(
                new CoreReading(
                    (string) Str::ulid($this->clock),
                    $this->circuit->speedTest($position->key)->key,
                    'right',
                    episode: $episode,
                ),
                $map,
            );
        }
    }

    private function map(MapKind $kind, int $episode): void
    {
        $map = $this->newMap($kind, $episode, null);
        foreach ($this->circuit->positions as $position) {
            $this->record(
                $this->unit->read(
                    (string) Str::ulid($this->clock),
                    $this->circuit->speedTest($position->key),
                    $episode,
                ),
                $map,
            );
        }
    }

    /** What is asked with the complaint, where it stands out. */
    private function answer(): void
    {
        foreach ($this->circuit->tests as $test) {
            $reading = $test->asked ? $this->unit->read((string) Str::ulid($this->clock), $test, 0) : null;
            if (
                $reading !== null &&
                $reading->value !== array_key_first($this->circuit->observations[$test->probe->at]->usual)
            ) {
                $this->record($reading, null);
            }
        }
    }

    private function newMap(MapKind $kind, int $episode, ?string $notedFor): string
    {
        return SpeedMap::query()->create([
            'job_id' => $this->job->id,
            'kind' => $kind,
            'noted_for' => $notedFor,
            'episode' => $episode,
            'taken_at' => $this->clock,
        ])->id;
    }

    private function record(CoreReading $reading, ?string $map): void
    {
        $this->clock->addSeconds($map === null ? 170 : 8);
        Reading::query()->create([
            'id' => $reading->id,
            'job_id' => $this->job->id,
            'speed_map_id' => $map,
            'user_id' => $this->user->id,
            ...Reading::columns($reading),
            'number' => is_float($reading->value) ? round($reading->value, 2) : null,
            'episode' => $reading->episode,
            'taken_at' => $this->clock,
        ]);
    }

    private function touch(): void
    {
        Job::query()
            ->whereKey($this->job->id)
            ->update(['updated_at' => $this->clock]);
    }
}

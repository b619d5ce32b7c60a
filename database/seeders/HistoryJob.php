<?php

declare(strict_types=1);

namespace Database\Seeders;

use Illuminate\Support\Carbon;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Presentation\DiagnosisFormat;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Job\FiledReading;
use Ispira\Core\Job\JobFile;
use Ispira\Core\Job\JobKind;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\MapKind;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Work\JobOutcome;
use Ispira\Core\Repair\Work\StillOpen;

/**
 * Works a whole job of the past on a simulated unit with a hidden fault, with the minutes, orders, guesses and mistakes
 * of a person.
 */
final class HistoryJob
{
    private const MOST_TESTS = 16;
    private const MOST_REPLACEMENTS = 3;
    private const SOURCES = ['Lakeside parts', 'Coast supply', 'Halvmark stores'];

    /** How much longer than as shipped a test takes each person, and how often a break comes between. */
    private const PACE = ['Runa Tveld' => 0.75, 'Iska Moren' => 0.95, 'Dav Ollin' => 1.5];
    private const BREAKS = 0.05;

    /** How often somebody buys on the speed map. */
    private const GUESSES = 0.14;

    private Carbon $clock;
    private CaseFile $case;
    private int $number = 0;

    /** @var list<FiledReading> */
    private array $readings = [];

    /** @var list<array{id: string, kind: MapKind, notedFor: string|null, episode: int}> */
    private array $maps = [];

    /** @var list<array{id: string|null, remedy: string, partNumber: string|null, note: string|null, temporaryUntil: string|null, at: string|null, by: string|null}> */
    private array $replacements = [];

    /** @var list<array<string, mixed>> what the engine said each time */
    private array $verdicts = [];

    /** @var list<Entry> */
    private array $entries = [];

    /** @var list<string> places that were reached already */
    private array $opened = [];

    private ?JobOutcome $outcome = null;

    private string $complaint = '';

    /** @param array<string, mixed> $parameters */
    public function __construct(
        private readonly string $by,
        private readonly string $family,
        private readonly array $parameters,
        private readonly CircuitModel $circuit,
        private readonly Engine $engine,
        private readonly Hypothesis $hidden,
        private readonly RandomSource $chance,
        private readonly Carbon $openedAt,
    ) {
        $this->clock = $openedAt->copy();
        $this->case = new CaseFile([], [], $hidden->comesAndGoes);
    }

    /** @return bool false where nothing of the fault was noticed, so that nobody complained */
    public function work(): bool
    {
        $unit = new SimulatedUnit($this->circuit, $this->hidden, new RandomSource($this->seed()), 0.0);
        $noticed = $this->map($unit, MapKind::Before) | $this->answer($unit);
        if (!$noticed) {
            return false;
        }
        $this->complaint = HistoryWords::complaint($this->circuit, $this->readings);
        while (count($this->replacements) < self::MOST_REPLACEMENTS) {
            $diagnosis = $this->investigate($unit);
            $suspect = $diagnosis->verdict->suspect ?? $diagnosis->suspects[0];
            if (!$suspect->namesParts()) {
                $suspect->remedy === HypothesisList::NOTHING_WRONG && !$this->map($unit, MapKind::After)
                    ? $this->close($this->replacements === [] ? JobOutcome::ProvenGood : JobOutcome::Repaired)
                    : $this->close(JobOutcome::NotRepaired, 'Nothing in the list explains it: goes to the maker.');

                return true;
            }
            $this->replace($suspect->remedy, $diagnosis);
            $unit = $this->after($unit, $suspect->remedy);
            $right = !$this->map($unit, MapKind::After);
            if (!$right) {
                $this->held(false, 'Not every position was right after it.');
                continue;
            }
            $this->close(JobOutcome::Repaired);
            if ($unit->remedy() === HypothesisList::NOTHING_WRONG) {
                return true;
            }
            // It only stayed away for the proof.
            $this->comesBack();
        }
        $this->close(JobOutcome::NotRepaired, 'Given up: not worth another part.');

        return true;
    }

    public function file(string $name, string $place, string $model): JobFile
    {
        return new JobFile(
            [
                'kind' => JobKind::Fault,
                'stage' => JobStage::Closed,
                'number' => null,
                'complaint' => $this->complaint,
                'since' => null,
                'intermittent' => $this->case->intermittent,
                'replacedBefore' => null,
                'openedAt' => $this->openedAt->toIso8601String(),
                'closedAt' => $this->clock->toIso8601String(),
                'part' => null,
                'outcome' => $this->outcome,
                'dueOn' => null,
                'again' => [],
            ],
            ['name' => $name, 'place' => $place, 'model' => $model, 'notes' => null],
            $this->family,
            $this->parameters,
            $this->maps,
            $this->readings,
            $this->replacements,
            $this->entries,
        );
    }

    /** @return list<array<string, mixed>> */
    public function verdicts(): array
    {
        return $this->verdicts;
    }

    private function investigate(SimulatedUnit $unit): Diagnosis
    {
        $guesses = $this->replacements === [] && $this->chance->happens(self::GUESSES);
        for ($done = 0; ; ++$done) {
            $diagnosis = $this->engine->diagnose($this->circuit, $this->case, new DecisionSettings());
            $cause = $diagnosis->verdict === null ? null : $diagnosis->verdict->causesToCheck[0] ?? null;
            $next = $diagnosis->next->test ?? ($cause === null ? null : $this->circuit->tests[$cause->test]);
            if ($next === null || $done >= self::MOST_TESTS || ($guesses && $diagnosis->suspects[0]->namesParts())) {
                return $diagnosis;
            }
            $this->take($unit, $next, null);
        }
    }

    private function take(SimulatedUnit $unit, Test $test, ?string $map): Reading
    {
        $minutes =
            $map !== null
                ? 0.15
                : $this->circuit->minutes($test, $this->opened) *
                        self::PACE[$this->by] *
                        exp(0.3 * $this->chance->normal()) +
                    ($this->chance->happens(self::BREAKS) ? $this->chance->between(40.0, 90.0) : 0.0);
        $this->clock->addSeconds((int) round(60.0 * max(0.15, $minutes)));
        array_push($this->opened, ...$test->access);
        $read = $unit->read($this->id(), $test, count($this->replacements));
        $value = is_float($read->value) ? round($read->value, 2) : $read->value;
        $reading = $read->showing($value);
        $this->case = $this->case->with($reading);
        $this->readings[] = new FiledReading(
            $reading,
            $map,
            $this->clock->toIso8601String(),
            null,
            null,
            [],
            null,
            $this->by,
        );

        return $reading;
    }

    /** @return bool whether anything was noticed */
    private function map(SimulatedUnit $unit, MapKind $kind): bool
    {
        $map = $this->id();
        $this->maps[] = ['id' => $map, 'kind' => $kind, 'notedFor' => null, 'episode' => count($this->replacements)];
        $this->clock->addMinutes(3);
        $wrong = false;
        foreach ($this->circuit->positions as $position) {
            $read = $this->take($unit, $this->circuit->speedTest((string) $position->key), $map);
            $wrong = $wrong || $read->value !== 'right';
        }

        return $wrong;
    }

    private function answer(SimulatedUnit $unit): bool
    {
        $odd = false;
        foreach ($this->circuit->tests as $test) {
            if ($test->asked) {
                $read = $this->take($unit, $test, null);
                $odd =
                    $odd ||
                    ($this->circuit->observations[$test->probe->at] ?? null)?->usual === null ||
                    $read->value !== array_key_first($this->circuit->observations[$test->probe->at]->usual);
            }
        }

        return $odd;
    }

    private function replace(string $remedy, Diagnosis $diagnosis): void
    {
        $words = new Words($this->circuit);
        $label = $words->remedy($remedy);
        $number = null;
        if ($this->chance->happens(0.6)) {
            $number = strtoupper(substr($remedy, 0, 2)) . '-' . (int) $this->chance->between(1000.0, 9999.0);
            $this->order($label, $remedy, $number);
        }
        $shown = (new DiagnosisFormat($this->circuit, $this->case, $diagnosis))->shown();
        $this->clock->addMinutes(5);
        $minutes = 0.0;
        foreach (explode('+', $remedy) as $part) {
            $minutes +=
                $this->circuit->parts[$part]->minutes * self::PACE[$this->by] * exp(0.25 * $this->chance->normal());
        }
        $down = $this->note(EntryKind::Down, ['what' => $label, 'count' => 0]);
        $this->clock->addSeconds((int) round(60.0 * $minutes));
        $this->note(EntryKind::Up, ['of' => $down, 'count' => 0]);
        $this->replacements[] = [
            'id' => $this->id(),
            'remedy' => $remedy,
            'partNumber' => $number,
            'note' => null,
            'temporaryUntil' => null,
            'at' => $this->clock->toIso8601String(),
            'by' => $this->by,
        ];
        $map = $this->engine->diagnose($this->circuit, $this->case->mapOnly($this->circuit), new DecisionSettings());
        $this->verdicts[] = [
            'verdict' => $shown->verdict,
            'suspects' => HistoryWords::suspects($shown),
            'guessing' => round($map->guessing, 2),
        ];
        $this->case = $this->case->afterReplacing($remedy);
    }

    private function order(string $label, string $remedy, string $number): void
    {
        $source = self::SOURCES[(int) $this->chance->between(0.0, count(self::SOURCES) - 0.001)];
        $days = $source === 'Halvmark stores' ? 0 : max(1, (int) round(2.5 * exp(0.5 * $this->chance->normal())));
        $price = 0.0;
        foreach (explode('+', $remedy) as $part) {
            $price += $this->circuit->parts[$part]->price;
        }
        $id = $this->note(EntryKind::Ordered, [
            'what' => $label,
            'partNumber' => $number,
            'source' => $source,
            'expectedOn' => $this->clock->copy()->addDays(2)->toDateString(),
            'price' => max(1.0, round($price * exp(0.2 + 0.2 * $this->chance->normal()), 2)),
        ]);
        if ($days > 0) {
            $this->clock = $this->clock
                ->copy()
                ->addDays($days)
                ->setTime(8 + (int) $this->chance->between(0.0, 5.0), 20);
        }
        $this->note(EntryKind::Arrived, ['of' => $id]);
    }

    /** The unit once a part is new: what was at fault elsewhere still is. */
    private function after(SimulatedUnit $unit, string $remedy): SimulatedUnit
    {
        $left = array_diff(
            $this->hidden->parts,
            $this->case->replacements,
            ...array_map(static fn(string $one): array => explode('+', $one), $this->case->replacements),
        );
        if ($left === $this->hidden->parts || count($left) === count($this->hidden->parts)) {
            return $unit;
        }
        $hypotheses = HypothesisList::of($this->circuit, $this->case->intermittent);
        foreach ($left === [] ? [] : $hypotheses as $one) {
            if ($one->parts === array_values($left)) {
                return new SimulatedUnit($this->circuit, $one, new RandomSource($this->seed()), 0.0);
            }
        }

        return new SimulatedUnit(
            $this->circuit,
            $hypotheses[HypothesisList::NOTHING_WRONG],
            new RandomSource($this->seed()),
            0.0,
        );
    }

    private function held(bool $held, ?string $because = null): void
    {
        $last = $this->replacements[count($this->replacements) - 1] ?? null;
        if ($last !== null) {
            $this->note(EntryKind::Held, ['replacement' => $last['id'], 'held' => $held, 'because' => $because]);
        }
    }

    private function close(JobOutcome $outcome, ?string $reason = null): void
    {
        $trainee = $this->by === 'Dav Ollin';
        $closed = $this->note(EntryKind::Closed, [
            'outcome' => $outcome->value,
            'reason' => $reason,
            'countersign' => $trainee,
        ]);
        if ($outcome === JobOutcome::Repaired) {
            $this->held(true);
        }
        if ($trainee) {
            $this->note(
                EntryKind::Settled,
                [
                    'of' => $closed,
                    'aspect' => StillOpen::COUNTERSIGN,
                    'who' => 'Iska Moren',
                    'how' => 'Looked at together.',
                ],
                'Iska Moren',
            );
        }
        $this->outcome = $outcome;
    }

    private function comesBack(): void
    {
        $this->clock = $this->clock->copy()->addDays((int) $this->chance->between(9.0, 40.0));
        $why = 'It was back after some days.';
        $this->held(false, $why);
        $this->note(EntryKind::Reopened, ['cameBack' => true, 'reason' => $why]);
    }

    /** @param array<string, mixed> $data */
    private function note(EntryKind $kind, array $data, ?string $by = null): string
    {
        $this->clock->addSeconds(40);
        $id = $this->id();
        $this->entries[] = Entry::read($id, $kind, $data, $this->clock->toIso8601String(), $by ?? $this->by);

        return $id;
    }

    private function id(): string
    {
        return '00000000000000000000' . str_pad((string) ++$this->number, 6, '0', \STR_PAD_LEFT);
    }

    private function seed(): int
    {
        return (int) $this->chance->between(1.0, 1e9);
    }
}

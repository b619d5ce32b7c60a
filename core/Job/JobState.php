<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\OfferedRemedy;
use Ispira\Core\Device\RepairSheet;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Odds;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Procedure\StartedRun;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\Ledger;
use Ispira\Core\Repair\Work\FollowUps;
use Ispira\Core\Repair\Work\StillOpen;

/**
 * One job as it stands: all that its pages show and its rules read, wherever it is kept.
 */
final readonly class JobState
{
    public CaseFile $case;

    /**
     * @param array<string, mixed>  $parameters   of the circuit, as its family reads them
     * @param string|null           $part         the one on the bench, where the job is about a loose part
     * @param list<FiledReading>    $readings     in the order taken, without what was set aside with another circuit
     * @param list<array{id: string, kind: MapKind, notedFor: string|null, episode: int}> $maps in the order taken
     * @param list<Replaced>        $replacements in the order made
     * @param Practice|null         $practice     what is hidden in its unit, where that is a make-believe one
     * @param list<StartedRun>      $runs         of procedures, in the order begun
     * @param Odds                  $odds         with which its diagnosis begins
     */
    public function __construct(
        public JobHead $head,
        public string $family,
        public array $parameters,
        public ?string $part,
        public CircuitModel $circuit,
        public RepairSheet $repairSheet,
        public array $readings,
        public array $maps,
        public array $replacements,
        public Ledger $ledger,
        public ?Practice $practice = null,
        public array $runs = [],
        public Odds $odds = new Odds(),
    ) {
        $this->case = new CaseFile(
            array_map(static fn(FiledReading $one): Reading => $one->reading, $readings),
            array_map(static fn(Replaced $one): string => $one->remedy, $replacements),
            $head->intermittent,
            Again::replacedBefore($head->again, ReplacedBefore::count($head->replacedBefore)),
            odds: $odds,
        );
    }

    /**
     * The same with what is given by name in place of its own.
     *
     * @param list<FiledReading>|null $readings
     * @param list<array{id: string, kind: MapKind, notedFor: string|null, episode: int}>|null $maps
     * @param list<Replaced>|null     $replacements
     * @param list<StartedRun>|null   $runs
     */
    public function with(
        ?JobHead $head = null,
        ?array $readings = null,
        ?array $maps = null,
        ?array $replacements = null,
        ?Ledger $ledger = null,
        ?array $runs = null,
        ?Practice $practice = null,
    ): self {
        return new self(
            $head ?? $this->head,
            $this->family,
            $this->parameters,
            $this->part,
            $this->circuit,
            $this->repairSheet,
            $readings ?? $this->readings,
            $maps ?? $this->maps,
            $replacements ?? $this->replacements,
            $ledger ?? $this->ledger,
            $practice ?? $this->practice,
            $runs ?? $this->runs,
            $this->odds,
        );
    }

    public function inStage(JobStage $stage): self
    {
        return $this->with(head: $this->head->inStage($stage));
    }

    public function is(JobStage $stage): bool
    {
        return $this->head->stage === $stage;
    }

    /** Whether jobs of its kind pass a stage. */
    public function passes(JobStage $stage): bool
    {
        return \in_array($stage, $this->head->kind->flow(), true);
    }

    /** What it leaves to be done. */
    public function stillOpen(): StillOpen
    {
        return new StillOpen($this->ledger, FollowUps::of($this->repairSheet, $this->case));
    }

    /** The conversion that was chosen for it; null where it is none. */
    public function conversion(): ?OfferedRemedy
    {
        $option = $this->repairSheet->option($this->ledger->latest(EntryKind::Choice)?->text('option') ?? '');

        return $option?->isConversion() ? $option : null;
    }

    /** Whether what was replaced has cured the machine, as it was noted last; null where nothing was. */
    public function held(string $replacement): ?bool
    {
        return $this->ledger->held($replacement);
    }

    public function lastReplaced(): ?Replaced
    {
        return $this->replacements[\count($this->replacements) - 1] ?? null;
    }

    /** Whether every position was right, the last time the map was taken since the last replacement. */
    public function isProved(): bool
    {
        $maps = $this->proofMaps();
        $states = $maps === [] ? [] : $this->statesOf($maps[\count($maps) - 1]);

        return $states !== [] && array_unique($states) === [SpeedState::Right->value];
    }

    public function run(string $id): ?StartedRun
    {
        foreach ($this->runs as $run) {
            if ($run->id === $id) {
                return $run;
            }
        }

        return null;
    }

    /** How often the map was taken since the last replacement, each position right. */
    public function passesOfProof(): int
    {
        return \count(
            array_filter(
                $this->proofMaps(),
                fn(string $map): bool => array_diff($this->statesOf($map), [SpeedState::Right->value]) === [],
            ),
        );
    }

    /** @return list<string> ids of the maps that were taken since the last replacement */
    private function proofMaps(): array
    {
        $episode = \count($this->replacements);

        return array_column(
            array_filter(
                $this->maps,
                static fn(array $map): bool => $map['kind'] === MapKind::After && $map['episode'] === $episode,
            ),
            'id',
        );
    }

    /** @return list<string> what the cells of a map stand at, without those that were struck out */
    private function statesOf(string $map): array
    {
        $states = [];
        foreach ($this->readings as $one) {
            if ($one->map === $map && !$one->reading->struck) {
                $states[] = (string) $one->reading->value;
            }
        }

        return $states;
    }
}

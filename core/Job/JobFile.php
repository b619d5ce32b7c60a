<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Procedure\Marked;
use Ispira\Core\Procedure\Procedure;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Work\JobOutcome;

/**
 * One job as it is written to a file and read from one (see docs/formats/job.schema.json).
 */
final readonly class JobFile
{
    public const NAME = 'ispira-job';
    public const VERSION = 2;

    /**
     * @param array{kind: JobKind, stage: JobStage|null, number: string|null, complaint: string, since: string|null, intermittent: bool, replacedBefore: string|null, openedAt: string|null, closedAt: string|null, part: string|null, outcome: JobOutcome|null, dueOn: string|null, again: list<Again>} $job
     * @param array{name: string, place: string|null, model: string|null, notes: string|null}|null $unit
     * @param array<string, mixed> $parameters   of the circuit, as its family reads them
     * @param list<array{id: string, kind: MapKind, notedFor: string|null, episode: int}> $maps
     * @param list<FiledReading>   $readings     in the order taken
     * @param list<array{id: string|null, remedy: string, partNumber: string|null, note: string|null, temporaryUntil: string|null, at: string|null, by: string|null}> $replacements
     * @param list<Entry>          $entries      noted between verdict and closed job
     * @param list<array{procedure: Procedure, startedAt: string, marks: list<Marked>}> $runs of procedures
     * @param list<array{id: string, reading: string|null, caption: string|null, takenAt: string|null, by: string|null, jpeg: string}> $photos with the picture as it is
     */
    public function __construct(
        public array $job,
        public ?array $unit,
        public string $family,
        public array $parameters,
        public array $maps,
        public array $readings,
        public array $replacements,
        public array $entries = [],
        public array $runs = [],
        public array $photos = [],
    ) {}

    public function caseFile(): CaseFile
    {
        return new CaseFile(
            array_map(static fn(FiledReading $filed): Reading => $filed->reading, $this->readings),
            array_column($this->replacements, 'remedy'),
            $this->job['intermittent'],
            Again::replacedBefore($this->job['again'], ReplacedBefore::count($this->job['replacedBefore'])),
        );
    }
}

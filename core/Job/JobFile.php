<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

use Ispira\Core\Diagnosis\CaseFile;
use Ispira\Core\Diagnosis\Reading;

/**
 * One job as it is written to a file and read from one (see docs/formats/job.schema.json).
 */
final readonly class JobFile
{
    public const NAME = 'ispira-job';
    public const VERSION = 1;

    /**
     * @param array{kind: JobKind, stage: JobStage|null, number: string|null, complaint: string, since: string|null, intermittent: bool, replacedBefore: string|null, openedAt: string|null, closedAt: string|null} $job
     * @param array{name: string, place: string|null, model: string|null, notes: string|null}|null $unit
     * @param array<string, mixed> $parameters   of the circuit, as its family reads them
     * @param list<array{id: string, kind: MapKind, notedFor: string|null, episode: int}> $maps
     * @param list<FiledReading>   $readings     in the order taken
     * @param list<array{id: string|null, remedy: string, partNumber: string|null, note: string|null, temporaryUntil: string|null, at: string|null}> $replacements
     */
    public function __construct(
        public array $job,
        public ?array $unit,
        public string $family,
        public array $parameters,
        public array $maps,
        public array $readings,
        public array $replacements,
    ) {
    }

    public function caseFile(): CaseFile
    {
        return new CaseFile(
            array_map(static fn (FiledReading $filed): Reading => $filed->reading, $this->readings),
            array_column($this->replacements, 'remedy'),
            $this->job['intermittent'],
            ReplacedBefore::count($this->job['replacedBefore']),
        );
    }
}

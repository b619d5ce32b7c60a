<?php

declare(strict_types=1);

namespace Ispira\Core\Away;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Repairable;
use Ispira\Core\Device\RepairSheet;
use Ispira\Core\Diagnosis\Decision\Terms;
use Ispira\Core\Diagnosis\Inference\LoosePart;
use Ispira\Core\Diagnosis\Inference\Odds;
use Ispira\Core\Job\FiledReading;
use Ispira\Core\Job\JobFile;
use Ispira\Core\Job\JobFileFormat;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\JobState;
use Ispira\Core\Job\Practice;
use Ispira\Core\Job\Replaced;
use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\FileError;
use Ispira\Core\Kernel\NumberLanguage;
use Ispira\Core\Kernel\Record;
use Ispira\Core\Procedure\Procedure;
use Ispira\Core\Procedure\ProcedureFormat;
use Ispira\Core\Procedure\Run;
use Ispira\Core\Procedure\StartedRun;
use Ispira\Core\Repair\Fit\PartsFormat;
use Ispira\Core\Repair\Ledger\Ledger;
use Ispira\Core\Repair\Work\JobOutcome;
use Ispira\Core\Repair\Work\StillOpen;

/**
 * A job that was taken along, with what of its workshop it needs (see docs/formats/kept-job.schema.json).
 */
final readonly class KeptJob
{
    public const NAME = 'ispira-kept-job';
    public const VERSION = 1;

    /** @param string $me name of the person who took it along */
    private function __construct(public JobState $job, public KeptWorkplace $place, public string $me) {}

    /**
     * @param string       $today        as the device has it, YYYY-MM-DD
     * @param list<string> $missingTools that were reported since, in place of those of then; null for none
     *
     * @throws FileError when it was kept by another version, or is not whole
     */
    public static function read(
        string $json,
        FamilyRegistry $families,
        string $today,
        ?array $missingTools = null,
    ): self {
        $data = json_decode($json, true);
        if (
            !\is_array($data) ||
            ($data['format'] ?? null) !== self::NAME ||
            ($data['version'] ?? null) !== self::VERSION
        ) {
            throw FileError::at('format', 'This job was taken along by another version: take it along again.');
        }
        $kept = new Record($data, 'kept', [
            'format',
            'version',
            'id',
            'me',
            'job',
            'people',
            'verdicts',
            'workplace',
            'runs',
            'practice',
            'owner',
            'odds',
        ]);
        $file = (new JobFileFormat($families))->read((string) json_encode($kept->get('job')));
        $people = $kept->get('people');
        $verdicts = $kept->get('verdicts');

        return new self(
            self::job(
                $kept->text('id'),
                $file,
                $families,
                \is_array($people) ? $people : [],
                \is_array($verdicts) ? $verdicts : [],
                self::practice($kept),
                $kept->get('runs'),
                $kept->optionalText('owner'),
                Odds::read($kept->get('odds')),
            ),
            self::workplace($kept, $today, $missingTools),
            $kept->text('me'),
        );
    }

    /**
     * @param array<array-key, mixed> $people   names by id of reading
     * @param array<array-key, mixed> $verdicts by id of what was replaced
     */
    private static function job(
        string $id,
        JobFile $file,
        FamilyRegistry $families,
        array $people,
        array $verdicts,
        ?Practice $practice,
        mixed $runs,
        ?string $owner,
        Odds $odds,
    ): JobState {
        $family = $families->get($file->family);
        $circuit = $family->circuit($file->parameters);
        $replacements = array_map(static function (array $one) use ($verdicts): Replaced {
            $verdict = $verdicts[$one['id'] ?? ''] ?? null;

            return new Replaced(
                $one['id'] ?? '',
                $one['remedy'],
                $one['partNumber'],
                $one['note'],
                $one['temporaryUntil'],
                $one['at'],
                \is_array($verdict) ? $verdict : null,
                $one['by'],
            );
        }, $file->replacements);

        return new JobState(
            self::head($id, $file, $replacements, $practice !== null, $owner),
            $file->family,
            $file->parameters,
            $file->job['part'],
            $file->job['part'] === null ? $circuit : LoosePart::of($circuit, $file->job['part']),
            $family instanceof Repairable ? $family->repairSheet() : new RepairSheet(),
            array_map(static function (FiledReading $one) use ($people): FiledReading {
                $by = $people[$one->reading->id] ?? null;

                return $one->by(\is_string($by) ? $by : $one->by ?? '');
            }, $file->readings),
            $file->maps,
            $replacements,
            Ledger::of($file->entries),
            $practice,
            self::runs($file, \is_array($runs) ? array_values($runs) : []),
            $odds,
        );
    }

    /**
     * @param list<mixed> $ids in the order of the file
     *
     * @return list<StartedRun>
     */
    private static function runs(JobFile $file, array $ids): array
    {
        $runs = [];
        foreach ($file->runs as $number => $one) {
            $id = $ids[$number] ?? null;
            if (\is_string($id)) {
                $runs[] = new StartedRun(
                    $id,
                    $one['procedure']->key,
                    $one['startedAt'],
                    // No moment of the server counts on a device: only what it waits by itself.
                    Run::of($one['procedure'], 0.0, $one['marks']),
                );
            }
        }

        return $runs;
    }

    private static function practice(Record $kept): ?Practice
    {
        return $kept->get('practice') === null ? null : Practice::read($kept->get('practice'));
    }

    /** @param list<Replaced> $replacements */
    private static function head(
        string $id,
        JobFile $file,
        array $replacements,
        bool $practice,
        ?string $owner,
    ): JobHead {
        $job = $file->job;
        $last = $replacements[\count($replacements) - 1] ?? null;
        $ledger = Ledger::of($file->entries);

        return new JobHead(
            id: $id,
            number: $job['number'] ?? '',
            unit: $file->unit['name'] ?? '',
            place: $file->unit['place'] ?? null,
            model: $file->unit['model'] ?? null,
            complaint: $job['complaint'],
            since: $job['since'],
            intermittent: $job['intermittent'],
            replacedBefore: $job['replacedBefore'],
            stage: $job['stage'] ?? JobStage::Bench,
            kind: $job['kind'],
            outcome: $job['outcome'],
            dueOn: $job['dueOn'],
            flow: $job['kind']->flow(),
            openedAt: $job['openedAt'] ?? '',
            closedAt: $job['closedAt'],
            temporaryUntil: $job['outcome'] === JobOutcome::Temporary ? $job['dueOn'] : $last?->temporaryUntil,
            practice: $practice,
            owner: $owner,
            partExpectedOn: ($ledger->onOrder()[0] ?? null)?->text('expectedOn'),
            countersign: (new StillOpen($ledger))->isUnsigned(),
            again: $job['again'],
        );
    }

    /** @param list<string>|null $missingTools */
    private static function workplace(Record $kept, string $today, ?array $missingTools): KeptWorkplace
    {
        $place = new Record($kept->get('workplace'), 'workplace', [
            'unitSystem',
            'unitExceptions',
            'numbers',
            'labourPerHour',
            'comeBackHours',
            'missingTools',
            'leadOhms',
            'parts',
            'procedures',
            'lessons',
            'terms',
        ]);
        $exceptions = $place->get('unitExceptions');
        $units = [];
        foreach (\is_array($exceptions) ? $exceptions : [] as $base => $symbol) {
            if (\is_string($symbol)) {
                $units[(string) $base] = $symbol;
            }
        }
        $tools = $place->get('missingTools');
        $procedures = [];
        foreach ($place->items('procedures', 500) as $one) {
            $procedure = ProcedureFormat::read((string) json_encode($one));
            $procedures[$procedure->key] = $procedure;
        }
        uasort($procedures, static fn(Procedure $a, Procedure $b): int => $a->title <=> $b->title);

        return new KeptWorkplace(
            new DisplayUnits(
                $place->text('unitSystem'),
                $units,
                NumberLanguage::tryFrom($place->optionalText('numbers') ?? '') ?? NumberLanguage::Point,
            ),
            $place->optionalNumber('labourPerHour') ?? 0.0,
            $place->optionalNumber('comeBackHours') ?? 0.0,
            $missingTools ?? array_values(array_filter(\is_array($tools) ? $tools : [], \is_string(...))),
            $place->optionalNumber('leadOhms') ?? 0.0,
            array_map(
                static fn(mixed $one, int $n) => PartsFormat::part($one, "parts[$n]"),
                $items = $place->items('parts', 20_000),
                array_keys($items),
            ),
            $procedures,
            $today,
            array_values(array_filter($place->items('lessons', 20), \is_string(...))),
            Terms::read($place->get('terms')),
        );
    }
}

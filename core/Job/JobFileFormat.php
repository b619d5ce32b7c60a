<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Kernel\FileError;
use Ispira\Core\Kernel\Record;
use Ispira\Core\Procedure\Marked;
use Ispira\Core\Procedure\MarkKind;
use Ispira\Core\Procedure\Procedure;
use Ispira\Core\Procedure\ProcedureError;
use Ispira\Core\Procedure\ProcedureFormat;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;
use Ispira\Core\Repair\Work\JobOutcome;

/**
 * Reads and writes job files. Reading refuses unknown fields, so that nothing is lost without a word.
 */
final readonly class JobFileFormat
{
    public const MOST_BYTES = 30_000_000;
    private const MOST_MAPS = 200;
    private const MOST_ENTRIES = 2000;
    private const MOST_RUNS = 100;
    private const MOST_PHOTOS = 100;

    public function __construct(private FamilyRegistry $families) {}

    /** @throws FileError with a message for the user */
    public function read(string $json): JobFile
    {
        if (\strlen($json) > self::MOST_BYTES) {
            throw new FileError('The file is larger than 30 MB: that is no job file.');
        }
        try {
            $data = json_decode($json, true, 32, \JSON_THROW_ON_ERROR);
        } catch (\JsonException) {
            throw new FileError('The file is not complete JSON: it may have been cut off. Export it again.');
        }
        if (!\is_array($data) || ($data['format'] ?? null) !== JobFile::NAME) {
            throw FileError::at('format', 'must be "' . JobFile::NAME . '": this is not a job file.');
        }
        if (!\in_array($data['version'] ?? null, range(1, JobFile::VERSION), true)) {
            throw FileError::at('version', 'only versions 1 to ' . JobFile::VERSION . ' can be read here.');
        }
        $file = new Record($data, 'file', [
            'format',
            'version',
            'job',
            'unit',
            'circuit',
            'maps',
            'readings',
            'replacements',
            'repair',
            'runs',
            'photos',
        ]);
        $circuit = new Record($file->get('circuit'), 'circuit', ['family', 'parameters']);
        $family = $circuit->text('family');
        $parameters = $circuit->get('parameters') ?? [];
        try {
            $values = $this->families
                ->get($family)
                ->parameters()
                ->read(
                    \is_array($parameters)
                        ? $parameters
                        : throw FileError::at('circuit.parameters', 'must be an object.'),
                );
        } catch (ParameterError $error) {
            $field = (string) array_key_first($error->messages);
            throw FileError::at("circuit.$field", $error->messages[$field] ?? '');
        }
        $model = $this->families->get($family)->circuit($values);
        $replacements = $this->replacements($file, $model);
        $maps = $this->maps($file, \count($replacements));
        $readings = (new ReadingsFormat($model, $data['version'] === 1))->read(
            $file,
            array_column($maps, 'id'),
            \count($replacements),
        );
        $photos = $this->photos(
            $file,
            array_map(static fn(FiledReading $filed): string => $filed->reading->id, $readings),
        );
        $job = $this->job($file);
        if ($job['part'] !== null && !isset($model->parts[$job['part']])) {
            throw FileError::at('job.part', "the circuit has no part \"{$job['part']}\".");
        }

        return new JobFile(
            $job,
            $this->unit($file),
            $family,
            $values,
            $maps,
            $readings,
            $replacements,
            $this->entries($file, $replacements, array_column($photos, 'id')),
            $this->runs($file),
            $photos,
        );
    }

    /** The newest version whose rules hold for all its readings: what was taken under older ones stays readable. */
    private function version(JobFile $file): int
    {
        $model = $this->families->get($file->family)->circuit($file->parameters);

        return (new ReadingsFormat($model, false))->hold($file->readings) ? JobFile::VERSION : 1;
    }

    /** @return array<string, mixed> */
    public function toArray(JobFile $file): array
    {
        return [
            'format' => JobFile::NAME,
            'version' => $this->version($file),
            'job' =>
                [
                    'kind' => $file->job['kind']->value,
                    'stage' => $file->job['stage']?->value,
                    'outcome' => $file->job['outcome']?->value,
                ] + $file->job,
            'unit' => $file->unit,
            'circuit' => ['family' => $file->family, 'parameters' => $file->parameters],
            'maps' => array_map(static fn(array $map): array => ['kind' => $map['kind']->value] + $map, $file->maps),
            'readings' => array_map(ReadingsFormat::toArray(...), $file->readings),
            'replacements' => $file->replacements,
            'repair' => array_map(
                static fn(Entry $entry): array => [
                    'id' => $entry->id,
                    'kind' => $entry->kind->value,
                    'at' => $entry->at,
                    'by' => $entry->by,
                    'data' => (object) $entry->data,
                ],
                $file->entries,
            ),
            'runs' => array_map(
                static fn(array $run): array => [
                    'startedAt' => $run['startedAt'],
                    'procedure' => ProcedureFormat::toArray($run['procedure']),
                    'marks' => array_map(
                        static fn(Marked $mark): array => [
                            'kind' => $mark->kind->value,
                            'step' => $mark->step,
                            'at' => $mark->at,
                            'note' => $mark->note,
                            'by' => $mark->by,
                        ],
                        $run['marks'],
                    ),
                ],
                $file->runs,
            ),
            'photos' => array_map(
                static fn(array $photo): array => ['jpeg' => base64_encode($photo['jpeg'])] + $photo,
                $file->photos,
            ),
        ];
    }

    /** @return array{kind: JobKind, stage: JobStage|null, number: string|null, complaint: string, since: string|null, intermittent: bool, replacedBefore: string|null, openedAt: string|null, closedAt: string|null, part: string|null, outcome: JobOutcome|null, dueOn: string|null, again: list<Again>} */
    private function job(Record $file): array
    {
        $job = new Record($file->get('job') ?? [], 'job', [
            'kind',
            'stage',
            'number',
            'complaint',
            'since',
            'intermittent',
            'replacedBefore',
            'openedAt',
            'closedAt',
            'part',
            'outcome',
            'dueOn',
            'again',
        ]);
        $outcome = $job->optionalText('outcome');
        $stage = $job->optionalText('stage');

        return [
            'kind' =>
                JobKind::tryFrom($job->optionalText('kind') ?? 'fault') ??
                throw FileError::at('job.kind', 'is not a kind of job.'),
            'stage' =>
                $stage === null
                    ? null
                    : JobStage::tryFrom($stage) ?? throw FileError::at('job.stage', 'is not a stage of a job.'),
            'number' => $job->optionalText('number'),
            'complaint' => $job->optionalText('complaint') ?? '',
            'since' => $job->optionalText('since'),
            'intermittent' => $job->flag('intermittent', false),
            'replacedBefore' => $job->optionalText('replacedBefore'),
            'openedAt' => $job->moment('openedAt'),
            'closedAt' => $job->moment('closedAt'),
            'part' => $job->optionalText('part'),
            'outcome' =>
                $outcome === null
                    ? null
                    : JobOutcome::tryFrom($outcome) ??
                        throw FileError::at('job.outcome', 'is no way in which a job ends.'),
            'dueOn' => $job->day('dueOn'),
            'again' => Again::list($job->get('again'), 'job'),
        ];
    }

    /** @return array{name: string, place: string|null, model: string|null, notes: string|null}|null */
    private function unit(Record $file): ?array
    {
        if ($file->get('unit') === null) {
            return null;
        }
        $unit = new Record($file->get('unit'), 'unit', ['name', 'place', 'model', 'notes']);

        return [
            'name' => $unit->text('name'),
            'place' => $unit->optionalText('place'),
            'model' => $unit->optionalText('model'),
            'notes' => $unit->optionalText('notes'),
        ];
    }

    /** @return list<array{id: string|null, remedy: string, partNumber: string|null, note: string|null, temporaryUntil: string|null, at: string|null, by: string|null}> */
    private function replacements(Record $file, CircuitModel $model): array
    {
        $replacements = [];
        foreach ($file->items('replacements', 50) as $number => $item) {
            $record = new Record($item, "replacements[$number]", [
                'id',
                'remedy',
                'partNumber',
                'note',
                'temporaryUntil',
                'at',
                'by',
            ]);
            $remedy = $record->text('remedy');
            foreach (explode('+', $remedy) as $part) {
                isset($model->parts[$part]) ||
                    throw FileError::at("replacements[$number].remedy", "the circuit has no part \"$part\".");
            }
            $replacements[] = [
                'id' => $record->optionalText('id'),
                'remedy' => $remedy,
                'partNumber' => $record->optionalText('partNumber'),
                'note' => $record->optionalText('note'),
                'temporaryUntil' => $record->day('temporaryUntil'),
                'at' => $record->moment('at'),
                'by' => $record->optionalText('by'),
            ];
        }

        return $replacements;
    }

    /** @return list<array{id: string, kind: MapKind, notedFor: string|null, episode: int}> */
    private function maps(Record $file, int $episodes): array
    {
        $maps = [];
        foreach ($file->items('maps', self::MOST_MAPS) as $number => $item) {
            $record = new Record($item, "maps[$number]", ['id', 'kind', 'notedFor', 'episode']);
            $maps[] = [
                'id' => $record->text('id'),
                'kind' =>
                    MapKind::tryFrom($record->text('kind')) ??
                    throw FileError::at("maps[$number].kind", 'must be before, remembered or after.'),
                'notedFor' => $record->optionalText('notedFor'),
                'episode' => ReadingsFormat::episode($record, "maps[$number]", $episodes),
            ];
        }

        return $maps;
    }

    /**
     * @param list<array{id: string|null, remedy: string, partNumber: string|null, note: string|null, temporaryUntil: string|null, at: string|null, by: string|null}> $replacements
     * @param list<string> $photos
     *
     * @return list<Entry>
     */
    private function entries(Record $file, array $replacements, array $photos): array
    {
        $entries = [];
        $known = array_column($replacements, 'id');
        foreach ($file->items('repair', self::MOST_ENTRIES) as $number => $item) {
            $path = "repair[$number]";
            $record = new Record($item, $path, ['id', 'kind', 'at', 'by', 'data']);
            $kind =
                EntryKind::tryFrom($record->text('kind')) ?? throw FileError::at("$path.kind", 'is no kind of entry.');
            $data = $record->get('data') ?? [];
            try {
                $entry = Entry::read(
                    $record->text('id'),
                    $kind,
                    \is_array($data) ? $data : throw FileError::at("$path.data", 'must be an object.'),
                    $record->moment('at'),
                    $record->optionalText('by'),
                );
            } catch (EntryRefused $refused) {
                throw FileError::at("$path.data.$refused->field", $refused->getMessage());
            }
            isset($entries[$entry->id]) && throw FileError::at("$path.id", 'stands here twice.');
            $there = [
                'of' => array_map(strval(...), array_keys($entries)),
                'replacement' => $known,
                'photo' => $photos,
            ];
            foreach ($entry->refersTo() as $field => $id) {
                \in_array($id, $there[$field] ?? [], true) ||
                    throw FileError::at(
                        "$path.data.$field",
                        'names something that does not stand before it in the file.',
                    );
            }
            $entries[$entry->id] = $entry;
        }

        return array_values($entries);
    }

    /** @return list<array{procedure: Procedure, startedAt: string, marks: list<Marked>}> */
    private function runs(Record $file): array
    {
        $runs = [];
        foreach ($file->items('runs', self::MOST_RUNS) as $number => $item) {
            $path = "runs[$number]";
            $record = new Record($item, $path, ['startedAt', 'procedure', 'marks']);
            try {
                $procedure = ProcedureFormat::read((string) json_encode($record->get('procedure')));
            } catch (ProcedureError $error) {
                throw FileError::at("$path.procedure", $error->getMessage());
            }
            $marks = [];
            foreach ($record->items('marks', 500) as $n => $one) {
                $mark = new Record($one, "$path.marks[$n]", ['kind', 'step', 'at', 'note', 'by']);
                $marks[] = new Marked(
                    MarkKind::tryFrom($mark->text('kind')) ??
                        throw FileError::at("$path.marks[$n].kind", 'is no mark of a run.'),
                    $mark->count('step'),
                    $mark->optionalNumber('at') ??
                        throw FileError::at("$path.marks[$n].at", 'must be seconds since 1970.'),
                    $mark->optionalText('note'),
                    by: $mark->optionalText('by'),
                );
            }
            $runs[] = [
                'procedure' => $procedure,
                'startedAt' =>
                    $record->moment('startedAt') ?? throw FileError::at("$path.startedAt", 'must be a date and time.'),
                'marks' => $marks,
            ];
        }

        return $runs;
    }

    /**
     * @param list<string> $readings
     *
     * @return list<array{id: string, reading: string|null, caption: string|null, takenAt: string|null, by: string|null, jpeg: string}>
     */
    private function photos(Record $file, array $readings): array
    {
        $photos = [];
        foreach ($file->items('photos', self::MOST_PHOTOS) as $number => $item) {
            $path = "photos[$number]";
            $record = new Record($item, $path, ['id', 'reading', 'caption', 'takenAt', 'by', 'jpeg']);
            $reading = $record->optionalText('reading');
            $reading === null ||
                \in_array($reading, $readings, true) ||
                throw FileError::at("$path.reading", 'no reading has this id.');
            $given = $record->get('jpeg');
            $jpeg = \is_string($given) ? base64_decode($given, true) : false;
            if ($jpeg === false || !str_starts_with($jpeg, "\xFF\xD8")) {
                throw FileError::at("$path.jpeg", 'must be a JPEG picture in base64.');
            }
            $photos[] = [
                'id' => $record->text('id'),
                'reading' => $reading,
                'caption' => $record->optionalText('caption'),
                'takenAt' => $record->moment('takenAt'),
                'by' => $record->optionalText('by'),
                'jpeg' => $jpeg,
            ];
        }

        return $photos;
    }
}

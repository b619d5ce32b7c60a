<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Kernel\FileError;
use Ispira\Core\Kernel\Record;
use Ispira\Core\Procedure\Marked;
use Ispira\Core\Procedure\MarkKind;
use Ispira\Core\Procedure\Procedure;
use Ispira\Core\Procedure\ProcedureError;
use Ispira\Core\Procedure\ProcedureFormat;
use Ispira\Core\Quality\Doubt;
use Ispira\Core\Quality\QualityCheck;
use Ispira\Core\Quality\QualityRule;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\Trust;
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
    private const MOST_READINGS = 5000;
    private const MOST_MAPS = 200;
    private const MOST_ENTRIES = 2000;
    private const MOST_RUNS = 100;
    private const MOST_PHOTOS = 100;
    private const LARGEST_NUMBER = 1e8;

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
        if (($data['version'] ?? null) !== JobFile::VERSION) {
            throw FileError::at('version', 'only version ' . JobFile::VERSION . ' can be read here.');
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
        $readings = $this->readings($file, $model, array_column($maps, 'id'), \count($replacements));
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

    /** @return array<string, mixed> */
    public function toArray(JobFile $file): array
    {
        return [
            'format' => JobFile::NAME,
            'version' => JobFile::VERSION,
            'job' =>
                [
                    'kind' => $file->job['kind']->value,
                    'stage' => $file->job['stage']?->value,
                    'outcome' => $file->job['outcome']?->value,
                ] + $file->job,
            'unit' => $file->unit,
            'circuit' => ['family' => $file->family, 'parameters' => $file->parameters],
            'maps' => array_map(static fn(array $map): array => ['kind' => $map['kind']->value] + $map, $file->maps),
            'readings' => array_map(
                static fn(FiledReading $filed): array => [
                    'id' => $filed->reading->id,
                    'test' => $filed->reading->test,
                    'map' => $filed->map,
                    'value' => $filed->reading->value ?? 'over-range',
                    'steady' => $filed->reading->steady,
                    'trust' => $filed->reading->trust->value,
                    'supplyVolts' => $filed->reading->supplyVolts,
                    'misbehaved' => $filed->reading->misbehaved,
                    'instrument' => $filed->reading->instrument,
                    'leadOhms' => $filed->reading->leadOhms,
                    'doubts' => array_map(static fn(Doubt $doubt): array => $doubt->toArray(), $filed->doubts),
                    'keptAt' => $filed->keptAt,
                    'episode' => $filed->reading->episode,
                    'takenAt' => $filed->takenAt,
                    'struckAt' => $filed->struckAt,
                    'struckBecause' => $filed->struckBecause,
                ],
                $file->readings,
            ),
            'replacements' => $file->replacements,
            'repair' => array_map(
                static fn(Entry $entry): array => [
                    'id' => $entry->id,
                    'kind' => $entry->kind->value,
                    'at' => $entry->at,
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

    /** @return array{kind: JobKind, stage: JobStage|null, number: string|null, complaint: string, since: string|null, intermittent: bool, replacedBefore: string|null, openedAt: string|null, closedAt: string|null, part: string|null, outcome: JobOutcome|null, dueOn: string|null} */
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

    /** @return list<array{id: string|null, remedy: string, partNumber: string|null, note: string|null, temporaryUntil: string|null, at: string|null}> */
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
                'episode' => $this->episode($record, "maps[$number]", $episodes),
            ];
        }

        return $maps;
    }

    /**
     * @param list<string> $maps
     *
     * @return list<FiledReading>
     */
    private function readings(Record $file, CircuitModel $model, array $maps, int $episodes): array
    {
        $readings = [];
        $ids = [];
        $episode = 0;
        foreach ($file->items('readings', self::MOST_READINGS) as $number => $item) {
            $path = "readings[$number]";
            $record = new Record($item, $path, [
                'id',
                'test',
                'map',
                'value',
                'steady',
                'trust',
                'supplyVolts',
                'misbehaved',
                'instrument',
                'leadOhms',
                'doubts',
                'keptAt',
                'episode',
                'takenAt',
                'struckAt',
                'struckBecause',
            ]);
            $id = $record->optionalText('id') ?? "reading-$number";
            if (isset($ids[$id])) {
                throw FileError::at("$path.id", "two readings have the id \"$id\".");
            }
            $ids[$id] = true;
            $test = $record->text('test');
            isset($model->tests[$test]) || throw FileError::at("$path.test", "the circuit has no test \"$test\".");
            $map = $record->optionalText('map');
            if ($map !== null && !\in_array($map, $maps, true)) {
                throw FileError::at("$path.map", "no map has the id \"$map\".");
            }
            $own = $this->episode($record, $path, $episodes);
            if ($own < $episode) {
                throw FileError::at("$path.episode", 'readings must stand in the order taken.');
            }
            $episode = $own;
            $doubts = $this->doubts($record, $path);
            $readings[] = new FiledReading(
                new Reading(
                    $id,
                    $test,
                    $this->value($record->get('value'), $model, $test, "$path.value"),
                    $record->flag('steady', true),
                    Trust::tryFrom($record->optionalText('trust') ?? 'measured') ??
                        throw FileError::at("$path.trust", 'must be measured or remembered.'),
                    $this->supply($record, $path),
                    $record->get('struckAt') !== null,
                    $own,
                    $record->get('misbehaved') === null ? null : $record->flag('misbehaved', false),
                    $record->optionalText('instrument'),
                    $this->leads($record, $path),
                    $record->get('keptAt') === null
                        ? array_map(static fn(Doubt $doubt): string => $doubt->rule, $doubts)
                        : [],
                    $record->get('keptAt') !== null,
                ),
                $map,
                $record->moment('takenAt'),
                $record->moment('struckAt'),
                $record->optionalText('struckBecause'),
                $doubts,
                $record->moment('keptAt'),
            );
        }

        return $readings;
    }

    /**
     * @param list<array{id: string|null, remedy: string, partNumber: string|null, note: string|null, temporaryUntil: string|null, at: string|null}> $replacements
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
            $record = new Record($item, $path, ['id', 'kind', 'at', 'data']);
            $kind =
                EntryKind::tryFrom($record->text('kind')) ?? throw FileError::at("$path.kind", 'is no kind of entry.');
            $data = $record->get('data') ?? [];
            try {
                $entry = Entry::read(
                    $record->text('id'),
                    $kind,
                    \is_array($data) ? $data : throw FileError::at("$path.data", 'must be an object.'),
                    $record->moment('at'),
                );
            } catch (EntryRefused $refused) {
                throw FileError::at("$path.data.$refused->field", $refused->getMessage());
            }
            isset($entries[$entry->id]) && throw FileError::at("$path.id", 'stands here twice.');
            foreach (
                ['of' => array_map(strval(...), array_keys($entries)), 'replacement' => $known, 'photo' => $photos]
                as $field => $ids
            ) {
                $entry->text($field) === '' ||
                    \in_array($entry->text($field), $ids, true) ||
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
                $mark = new Record($one, "$path.marks[$n]", ['kind', 'step', 'at', 'note']);
                $marks[] = new Marked(
                    MarkKind::tryFrom($mark->text('kind')) ??
                        throw FileError::at("$path.marks[$n].kind", 'is no mark of a run.'),
                    $mark->count('step'),
                    $mark->optionalNumber('at') ??
                        throw FileError::at("$path.marks[$n].at", 'must be seconds since 1970.'),
                    $mark->optionalText('note'),
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
     * @return list<array{id: string, reading: string|null, caption: string|null, takenAt: string|null, jpeg: string}>
     */
    private function photos(Record $file, array $readings): array
    {
        $photos = [];
        foreach ($file->items('photos', self::MOST_PHOTOS) as $number => $item) {
            $path = "photos[$number]";
            $record = new Record($item, $path, ['id', 'reading', 'caption', 'takenAt', 'jpeg']);
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
                'jpeg' => $jpeg,
            ];
        }

        return $photos;
    }

    /** @return list<Doubt> */
    private function doubts(Record $record, string $path): array
    {
        if (($record->get('doubts') ?? []) === []) {
            return [];
        }
        $rules = array_map(static fn(QualityRule $rule): string => $rule->key(), QualityCheck::rules());
        $doubts = [];
        foreach ($record->items('doubts', \count($rules)) as $number => $item) {
            $doubt = new Record($item, "$path.doubts[$number]", ['rule', 'sentence']);
            \in_array($doubt->text('rule'), $rules, true) ||
                throw FileError::at("$path.doubts[$number].rule", 'is no rule about readings.');
            $doubts[] = new Doubt($doubt->text('rule'), $doubt->text('sentence'));
        }

        return $doubts;
    }

    private function leads(Record $record, string $path): float
    {
        $ohms = $record->optionalNumber('leadOhms') ?? 0.0;

        return $ohms >= 0.0 && $ohms <= 10.0
            ? $ohms
            : throw FileError::at("$path.leadOhms", 'must lie between 0 and 10 Ω.');
    }

    private function supply(Record $record, string $path): ?float
    {
        $volts = $record->optionalNumber('supplyVolts');
        if ($volts !== null && ($volts < 1.0 || $volts > 1000.0)) {
            throw FileError::at("$path.supplyVolts", 'must lie between 1 and 1000 V.');
        }

        return $volts;
    }

    private function episode(Record $record, string $path, int $episodes): int
    {
        $episode = $record->count('episode');

        return $episode <= $episodes
            ? $episode
            : throw FileError::at("$path.episode", 'comes after more replacements than the file has.');
    }

    private function value(mixed $value, CircuitModel $model, string $test, string $path): float|string|null
    {
        $probe = $model->tests[$test]->probe;
        if ($probe->quantity->isNumber()) {
            if ($value === 'over-range') {
                return null;
            }
            if (
                (!\is_int($value) && !\is_float($value)) ||
                abs($value) > self::LARGEST_NUMBER ||
                (\in_array($probe->quantity, [Quantity::Ohms, Quantity::Duty], true) && $value < 0)
            ) {
                throw FileError::at(
                    $path,
                    "must be a possible value in {$probe->quantity->unit()}, or \"over-range\".",
                );
            }

            return (float) $value;
        }
        $allowed = Judged::answers($model, $model->tests[$test]);
        if (!\is_string($value) || !\in_array($value, $allowed, true)) {
            throw FileError::at($path, 'must be one of: ' . implode(', ', $allowed) . '.');
        }

        return $value;
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

use Ispira\Core\Diagnosis\Judged;
use Ispira\Core\Diagnosis\Reading;
use Ispira\Core\Diagnosis\Trust;
use Ispira\Core\Family\CircuitModel;
use Ispira\Core\Family\FamilyRegistry;
use Ispira\Core\Family\ParameterError;
use Ispira\Core\Family\Quantity;
use Ispira\Core\Quality\Doubt;
use Ispira\Core\Quality\QualityCheck;
use Ispira\Core\Quality\QualityRule;

/**
 * Reads and writes job files. Reading refuses unknown fields, so that nothing is lost without a word.
 */
final readonly class JobFileFormat
{
    public const MOST_BYTES = 2_000_000;
    private const MOST_READINGS = 5000;
    private const MOST_MAPS = 200;
    private const LARGEST_NUMBER = 1e8;

    public function __construct(private FamilyRegistry $families)
    {
    }

    /** @throws FileError with a message for the user */
    public function read(string $json): JobFile
    {
        if (\strlen($json) > self::MOST_BYTES) {
            throw new FileError('The file is larger than 2 MB: that is no job file.');
        }
        try {
            $data = json_decode($json, true, 32, \JSON_THROW_ON_ERROR);
        } catch (\JsonException) {
            throw new FileError('The file is not complete JSON: it may have been cut off. Export it again.');
        }
        if (!\is_array($data) || ($data['format'] ?? null) !== JobFile::NAME) {
            throw FileError::at('format', 'must be "'.JobFile::NAME.'": this is not a job file.');
        }
        if (($data['version'] ?? null) !== JobFile::VERSION) {
            throw FileError::at('version', 'only version '.JobFile::VERSION.' can be read here.');
        }
        $file = new Record($data, 'file', ['format', 'version', 'job', 'unit', 'circuit', 'maps', 'readings', 'replacements']);
        $circuit = new Record($file->get('circuit'), 'circuit', ['family', 'parameters']);
        $family = $circuit->text('family');
        $parameters = $circuit->get('parameters') ?? [];
        try {
            $values = $this->families->get($family)->parameters()->read(\is_array($parameters) ? $parameters : throw FileError::at('circuit.parameters', 'must be an object.'));
        } catch (ParameterError $error) {
            $field = (string) array_key_first($error->messages);
            throw FileError::at("circuit.$field", $error->messages[$field] ?? '');
        }
        $model = $this->families->get($family)->circuit($values);
        $replacements = $this->replacements($file, $model);
        $maps = $this->maps($file, \count($replacements));

        return new JobFile($this->job($file), $this->unit($file), $family, $values, $maps, $this->readings($file, $model, array_column($maps, 'id'), \count($replacements)), $replacements);
    }

    /** @return array<string, mixed> */
    public function toArray(JobFile $file): array
    {
        return [
            'format' => JobFile::NAME,
            'version' => JobFile::VERSION,
            'job' => ['kind' => $file->job['kind']->value, 'stage' => $file->job['stage']?->value] + $file->job,
            'unit' => $file->unit,
            'circuit' => ['family' => $file->family, 'parameters' => $file->parameters],
            'maps' => array_map(static fn (array $map): array => ['kind' => $map['kind']->value] + $map, $file->maps),
            'readings' => array_map(static fn (FiledReading $filed): array => [
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
                'doubts' => array_map(static fn (Doubt $doubt): array => $doubt->toArray(), $filed->doubts),
                'keptAt' => $filed->keptAt,
                'episode' => $filed->reading->episode,
                'takenAt' => $filed->takenAt,
                'struckAt' => $filed->struckAt,
                'struckBecause' => $filed->struckBecause,
            ], $file->readings),
            'replacements' => $file->replacements,
        ];
    }

    /** @return array{kind: JobKind, stage: JobStage|null, number: string|null, complaint: string, since: string|null, intermittent: bool, replacedBefore: string|null, openedAt: string|null, closedAt: string|null} */
    private function job(Record $file): array
    {
        $job = new Record($file->get('job') ?? [], 'job', ['kind', 'stage', 'number', 'complaint', 'since', 'intermittent', 'replacedBefore', 'openedAt', 'closedAt']);
        $stage = $job->optionalText('stage');

        return [
            'kind' => JobKind::tryFrom($job->optionalText('kind') ?? 'fault') ?? throw FileError::at('job.kind', 'is not a kind of job.'),
            'stage' => $stage === null ? null : JobStage::tryFrom($stage) ?? throw FileError::at('job.stage', 'is not a stage of a job.'),
            'number' => $job->optionalText('number'),
            'complaint' => $job->optionalText('complaint') ?? '',
            'since' => $job->optionalText('since'),
            'intermittent' => $job->flag('intermittent', false),
            'replacedBefore' => $job->optionalText('replacedBefore'),
            'openedAt' => $job->moment('openedAt'),
            'closedAt' => $job->moment('closedAt'),
        ];
    }

    /** @return array{name: string, place: string|null, model: string|null, notes: string|null}|null */
    private function unit(Record $file): ?array
    {
        if ($file->get('unit') === null) {
            return null;
        }
        $unit = new Record($file->get('unit'), 'unit', ['name', 'place', 'model', 'notes']);

        return ['name' => $unit->text('name'), 'place' => $unit->optionalText('place'), 'model' => $unit->optionalText('model'), 'notes' => $unit->optionalText('notes')];
    }

    /** @return list<array{id: string|null, remedy: string, partNumber: string|null, note: string|null, temporaryUntil: string|null, at: string|null}> */
    private function replacements(Record $file, CircuitModel $model): array
    {
        $replacements = [];
        foreach ($file->items('replacements', 50) as $number => $item) {
            $record = new Record($item, "replacements[$number]", ['id', 'remedy', 'partNumber', 'note', 'temporaryUntil', 'at']);
            $remedy = $record->text('remedy');
            foreach (explode('+', $remedy) as $part) {
                isset($model->parts[$part]) || throw FileError::at("replacements[$number].remedy", "the circuit has no part \"$part\".");
            }
            $replacements[] = ['id' => $record->optionalText('id'), 'remedy' => $remedy, 'partNumber' => $record->optionalText('partNumber'), 'note' => $record->optionalText('note'), 'temporaryUntil' => $record->day('temporaryUntil'), 'at' => $record->moment('at')];
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
                'kind' => MapKind::tryFrom($record->text('kind')) ?? throw FileError::at("maps[$number].kind", 'must be before, remembered or after.'),
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
            $record = new Record($item, $path, ['id', 'test', 'map', 'value', 'steady', 'trust', 'supplyVolts', 'misbehaved', 'instrument', 'leadOhms', 'doubts', 'keptAt', 'episode', 'takenAt', 'struckAt', 'struckBecause']);
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
                    Trust::tryFrom($record->optionalText('trust') ?? 'measured') ?? throw FileError::at("$path.trust", 'must be measured or remembered.'),
                    $this->supply($record, $path),
                    $record->get('struckAt') !== null,
                    $own,
                    $record->get('misbehaved') === null ? null : $record->flag('misbehaved', false),
                    $record->optionalText('instrument'),
                    $this->leads($record, $path),
                    $record->get('keptAt') === null ? array_map(static fn (Doubt $doubt): string => $doubt->rule, $doubts) : [],
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

    /** @return list<Doubt> */
    private function doubts(Record $record, string $path): array
    {
        if (($record->get('doubts') ?? []) === []) {
            return [];
        }
        $rules = array_map(static fn (QualityRule $rule): string => $rule->key(), QualityCheck::rules());
        $doubts = [];
        foreach ($record->items('doubts', \count($rules)) as $number => $item) {
            $doubt = new Record($item, "$path.doubts[$number]", ['rule', 'sentence']);
            \in_array($doubt->text('rule'), $rules, true) || throw FileError::at("$path.doubts[$number].rule", 'is no rule about readings.');
            $doubts[] = new Doubt($doubt->text('rule'), $doubt->text('sentence'));
        }

        return $doubts;
    }

    private function leads(Record $record, string $path): float
    {
        $ohms = $record->optionalNumber('leadOhms') ?? 0.0;

        return $ohms >= 0.0 && $ohms <= 10.0 ? $ohms : throw FileError::at("$path.leadOhms", 'must lie between 0 and 10 Ω.');
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

        return $episode <= $episodes ? $episode : throw FileError::at("$path.episode", 'comes after more replacements than the file has.');
    }

    private function value(mixed $value, CircuitModel $model, string $test, string $path): float|string|null
    {
        $probe = $model->tests[$test]->probe;
        if ($probe->quantity->isNumber()) {
            if ($value === 'over-range') {
                return null;
            }
            if ((!\is_int($value) && !\is_float($value)) || abs($value) > self::LARGEST_NUMBER || (\in_array($probe->quantity, [Quantity::Ohms, Quantity::Duty], true) && $value < 0)) {
                throw FileError::at($path, "must be a possible value in {$probe->quantity->unit()}, or \"over-range\".");
            }

            return (float) $value;
        }
        $allowed = Judged::answers($model, $model->tests[$test]);
        if (!\is_string($value) || !\in_array($value, $allowed, true)) {
            throw FileError::at($path, 'must be one of: '.implode(', ', $allowed).'.');
        }

        return $value;
    }
}

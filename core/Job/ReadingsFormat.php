<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Kernel\FileError;
use Ispira\Core\Kernel\Record;
use Ispira\Core\Quality\Doubt;
use Ispira\Core\Quality\QualityCheck;
use Ispira\Core\Quality\QualityRule;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\RefusedReading;
use Ispira\Core\Reading\Trust;

/**
 * The readings of a job file.
 */
final readonly class ReadingsFormat
{
    /** What one job may hold: a diagnosis of more would hold up everybody who asks beside it. */
    public const MOST_READINGS = 1000;

    /** @param bool $early whether the file is of version 1, which knew no limits by circuit */
    public function __construct(private CircuitModel $circuit, private bool $early) {}

    /**
     * @param list<string> $maps
     *
     * @return list<FiledReading>
     *
     * @throws FileError
     */
    public function read(Record $file, array $maps, int $episodes): array
    {
        $intake = Judged::intake($this->circuit, onRecord: $this->early);
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
                'by',
            ]);
            $id = $record->optionalText('id') ?? "reading-$number";
            if (isset($ids[$id])) {
                throw FileError::at("$path.id", "two readings have the id \"$id\".");
            }
            $ids[$id] = true;
            $test = $this->taken($path, static fn(): Test => $intake->test($record->text('test')));
            $map = $record->optionalText('map');
            if ($map !== null && !\in_array($map, $maps, true)) {
                throw FileError::at("$path.map", "no map has the id \"$map\".");
            }
            $own = self::episode($record, $path, $episodes);
            // What is remembered was seen on the machine as it was before.
            $now = $record->optionalText('trust') !== Trust::Remembered->value;
            if ($now && $own < $episode) {
                throw FileError::at("$path.episode", 'readings must stand in the order taken.');
            }
            $episode = $now ? $own : $episode;
            $doubts = $this->doubts($record, $path);
            $readings[] = new FiledReading(
                new Reading(
                    $id,
                    $test->key,
                    $this->taken($path, static fn(): float|string|null => $intake->value($test, $record->get('value'))),
                    $record->flag('steady', true),
                    Trust::tryFrom($record->optionalText('trust') ?? 'measured') ??
                        throw FileError::at("$path.trust", 'must be measured or remembered.'),
                    $this->taken($path, static fn(): ?float => $intake->supply($record->get('supplyVolts'))),
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
                $record->optionalText('by'),
            );
        }

        return $readings;
    }

    /** @return array<string, mixed> */
    public static function toArray(FiledReading $filed): array
    {
        return [
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
            'by' => $filed->by,
        ];
    }

    /**
     * Whether all readings keep to the limits of the circuit.
     *
     * @param list<FiledReading> $readings
     */
    public function hold(array $readings): bool
    {
        $intake = Judged::intake($this->circuit);
        try {
            foreach ($readings as $filed) {
                $intake->value($intake->test($filed->reading->test), $filed->reading->value ?? 'OL');
                $intake->supply($filed->reading->supplyVolts);
            }
        } catch (RefusedReading) {
            return false;
        }

        return true;
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

    /**
     * @template T
     *
     * @param \Closure(): T $take
     *
     * @return T
     *
     * @throws FileError
     */
    private function taken(string $path, \Closure $take): mixed
    {
        try {
            return $take();
        } catch (RefusedReading $refused) {
            $field = $refused->field === RefusedReading::SUPPLY ? 'supplyVolts' : $refused->field;
            throw FileError::at("$path.$field", $refused->getMessage());
        }
    }

    private function leads(Record $record, string $path): float
    {
        $ohms = $record->optionalNumber('leadOhms') ?? 0.0;

        return $ohms >= 0.0 && $ohms <= 10.0
            ? $ohms
            : throw FileError::at("$path.leadOhms", 'must lie between 0 and 10 Ω.');
    }

    public static function episode(Record $record, string $path, int $episodes): int
    {
        $episode = $record->count('episode');

        return $episode <= $episodes
            ? $episode
            : throw FileError::at("$path.episode", 'comes after more replacements than the file has.');
    }
}

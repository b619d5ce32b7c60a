<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Kernel\FileError;
use Ispira\Core\Kernel\Record;

/**
 * Reads and writes the experience of a workshop (see docs/formats/experience.schema.json).
 */
final readonly class ExperienceFormat
{
    public const NAME = 'ispira-experience';
    public const VERSION = 1;
    public const MOST_BYTES = 2_000_000;

    private const MOST_COUNTS = 20_000;
    private const MOST_JOBS = 1_000_000.0;
    private const LONGEST = 120;

    public function __construct(private FamilyRegistry $families) {}

    /**
     * Counts of a kind of circuit that is not known here are left out.
     *
     * @throws FileError
     */
    public function read(string $json): Experience
    {
        if (\strlen($json) > self::MOST_BYTES) {
            throw new FileError('The file is larger than 2 MB: that is no experience file.');
        }
        $file = Record::document(json_decode($json, true, 16), 'file', self::NAME, self::VERSION, [
            'name',
            'madeOn',
            'counts',
        ]);
        $name = trim($file->text('name'));
        if ($name === '' || mb_strlen($name) > self::LONGEST) {
            throw FileError::at('name', 'must be the name of a workshop, of at most ' . self::LONGEST . ' characters.');
        }
        $counts = [];
        foreach ($file->items('counts', self::MOST_COUNTS) as $number => $item) {
            $count = self::count($item, "counts[$number]");
            if ($this->families->has($count->family)) {
                $counts[] = $count;
            }
        }

        return new Experience(
            $name,
            $file->day('madeOn') ?? throw FileError::at('madeOn', 'must be a day such as 2026-03-01.'),
            $counts,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(Experience $experience): array
    {
        return [
            'format' => self::NAME,
            'version' => self::VERSION,
            'name' => $experience->name,
            'madeOn' => $experience->madeOn,
            'counts' => array_map(
                static fn(CountedFault $one): array => [
                    'family' => $one->family,
                    'model' => $one->model === '' ? null : $one->model,
                    'remedy' => $one->remedy,
                    'fault' => $one->fault === '' ? null : $one->fault,
                    'jobs' => round($one->jobs, 3),
                ],
                $experience->counts,
            ),
        ];
    }

    private static function count(mixed $item, string $path): CountedFault
    {
        $record = new Record($item, $path, ['family', 'model', 'remedy', 'fault', 'jobs']);
        $jobs = $record->optionalNumber('jobs') ?? 0.0;
        if ($jobs < 0.0 || $jobs > self::MOST_JOBS) {
            throw FileError::at("$path.jobs", 'must be from 0 to a million.');
        }
        $texts = [
            'family' => $record->text('family'),
            'model' => trim($record->optionalText('model') ?? ''),
            'remedy' => $record->text('remedy'),
            'fault' => $record->optionalText('fault') ?? '',
        ];
        foreach ($texts as $field => $text) {
            if (mb_strlen($text) > self::LONGEST) {
                throw FileError::at("$path.$field", 'may have at most ' . self::LONGEST . ' characters.');
            }
        }

        return new CountedFault($texts['family'], $texts['model'], $texts['remedy'], $texts['fault'], $jobs);
    }
}

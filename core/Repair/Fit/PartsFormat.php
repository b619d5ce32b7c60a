<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Fit;

use Ispira\Core\Kernel\FileError;
use Ispira\Core\Kernel\Record;

/**
 * Reads and writes catalogues of parts (see docs/formats/parts.schema.json), as JSON and as a table.
 */
final class PartsFormat
{
    public const NAME = 'ispira-parts';
    public const VERSION = 1;
    public const MOST_BYTES = 2_000_000;

    private const MOST_PARTS = 2000;
    private const COLUMNS = [
        'number',
        'name',
        'type',
        'make',
        'fits',
        'supersedes',
        'price',
        'freight',
        'selling',
        'leadDays',
        'warrantyMonths',
        'lifeYears',
        'comeBack',
        'lost',
    ];
    private const NUMBERS = [
        'price',
        'freight',
        'selling',
        'leadDays',
        'warrantyMonths',
        'lifeYears',
        'comeBack',
        'lost',
    ];

    private function __construct() {}

    /**
     * @return list<CataloguePart>
     *
     * @throws FileError
     */
    public static function read(string $json): array
    {
        if (\strlen($json) > self::MOST_BYTES) {
            throw new FileError('The file is larger than 2 MB: that is no catalogue of parts.');
        }
        $file = Record::document(json_decode($json, true, 16), 'file', self::NAME, self::VERSION, ['parts']);
        $parts = [];
        foreach ($file->items('parts', self::MOST_PARTS) as $number => $item) {
            $parts[] = self::part($item, "parts[$number]");
        }

        return $parts;
    }

    /**
     * @param list<CataloguePart> $parts
     *
     * @return array<string, mixed>
     */
    public static function toArray(array $parts): array
    {
        return [
            'format' => self::NAME,
            'version' => self::VERSION,
            'parts' => array_map(self::partToArray(...), $parts),
        ];
    }

    /** @return array<string, mixed> */
    public static function partToArray(CataloguePart $part): array
    {
        return [
            'number' => $part->number,
            'name' => $part->name,
            'type' => $part->type->value,
            'make' => $part->make,
            'fits' => $part->fits,
            'supersedes' => $part->supersedes,
            'price' => $part->price,
            'freight' => $part->freight,
            'selling' => $part->selling,
            'leadDays' => $part->leadDays,
            'warrantyMonths' => $part->warrantyMonths,
            'lifeYears' => $part->lifeYears,
            'comeBack' => $part->comeBack,
            'lost' => $part->lost,
            'attributes' => (object) $part->attributes,
        ];
    }

    /**
     * The same as rows of a table: one column for each attribute that any part has.
     *
     * @param list<CataloguePart> $parts
     *
     * @return list<list<string>>
     */
    public static function rows(array $parts): array
    {
        $used = array_values(
            array_filter(
                array_column(FitAttribute::cases(), 'value'),
                static fn(string $key): bool => array_filter(
                    $parts,
                    static fn(CataloguePart $part): bool => isset($part->attributes[$key]),
                ) !== [],
            ),
        );
        $rows = [[...self::COLUMNS, ...$used]];
        foreach ($parts as $part) {
            $text = static fn(float|int|null $number): string => $number === null ? '' : (string) $number;
            $rows[] = [
                $part->number,
                $part->name,
                $part->type->value,
                $part->make,
                implode('; ', $part->fits),
                implode('; ', $part->supersedes),
                $text($part->price),
                $text($part->freight),
                $text($part->selling),
                $text($part->leadDays),
                $text($part->warrantyMonths),
                $text($part->lifeYears),
                $text($part->comeBack),
                $text($part->lost),
                ...array_map(static fn(string $key): string => $part->attributes[$key] ?? '', $used),
            ];
        }

        return $rows;
    }

    /**
     * @param list<list<string>> $rows with the names of the columns first, in any order
     *
     * @return list<CataloguePart>
     *
     * @throws FileError
     */
    public static function fromRows(array $rows): array
    {
        $head = array_map(static fn(string $name): string => trim($name, "\u{FEFF} \t"), $rows[0] ?? []);
        $known = [...self::COLUMNS, ...array_column(FitAttribute::cases(), 'value')];
        foreach ($head as $name) {
            \in_array($name, $known, true) ||
                throw new FileError(
                    "The table has a column \"$name\" that means nothing here. Export a catalogue to see the columns.",
                );
        }
        if (!\in_array('number', $head, true) || \count($rows) > self::MOST_PARTS + 1) {
            throw new FileError(
                'The first row names the columns, "number" among them; at most ' . self::MOST_PARTS . ' parts follow.',
            );
        }
        $parts = [];
        foreach (\array_slice($rows, 1) as $at => $row) {
            if (array_filter($row, static fn(string $cell): bool => trim($cell) !== '') === []) {
                continue;
            }
            $item = ['attributes' => []];
            foreach ($head as $column => $name) {
                $cell = trim($row[$column] ?? '');
                if ($cell === '') {
                    continue;
                }
                if (\in_array($name, ['fits', 'supersedes'], true)) {
                    $item[$name] = array_values(
                        array_filter(
                            array_map(trim(...), explode(';', $cell)),
                            static fn(string $one): bool => $one !== '',
                        ),
                    );
                } elseif (\in_array($name, self::NUMBERS, true)) {
                    is_numeric(str_replace(',', '.', $cell)) ||
                        throw new FileError('Row ' . ($at + 2) . ", column $name: \"$cell\" is no number.");
                    $item[$name] = 0 + str_replace(',', '.', $cell);
                } elseif (\in_array($name, self::COLUMNS, true)) {
                    $item[$name] = $cell;
                } else {
                    $item['attributes'][$name] = $cell;
                }
            }
            $parts[] = self::part($item, 'row ' . ($at + 2));
        }

        return $parts;
    }

    /** @throws FileError */
    public static function part(mixed $item, string $path): CataloguePart
    {
        $one = new Record($item, $path, [...self::COLUMNS, 'attributes']);
        $type =
            PartType::tryFrom($one->optionalText('type') ?? 'other') ??
            throw FileError::at(
                "$path.type",
                'must be one of: ' . implode(', ', array_column(PartType::cases(), 'value')) . '.',
            );
        $make = $one->optionalText('make') ?? 'aftermarket';
        \in_array($make, CataloguePart::MAKES, true) ||
            throw FileError::at("$path.make", 'must be one of: ' . implode(', ', CataloguePart::MAKES) . '.');
        $fits = self::texts($one, 'fits', $path);
        foreach ($fits as $fit) {
            preg_match('/^[a-z0-9-]+:[a-z0-9+-]+$/', $fit) === 1 ||
                throw FileError::at("$path.fits", "\"$fit\" is not written as family:part.");
        }
        $attributes = [];
        $given = $one->get('attributes');
        foreach (\is_array($given) ? $given : [] as $key => $value) {
            $attribute =
                FitAttribute::tryFrom((string) $key) ??
                throw FileError::at("$path.attributes", "\"$key\" is no attribute of a part.");
            (\is_scalar($value) && mb_strlen((string) $value) <= 200) ||
                throw FileError::at("$path.attributes.$key", 'must be a short text.');
            $choices = $attribute->choices();
            $choices === [] ||
                isset($choices[(string) $value]) ||
                throw FileError::at(
                    "$path.attributes.$key",
                    'must be one of: ' . implode(', ', array_keys($choices)) . '.',
                );
            if ((string) $value !== '') {
                $attributes[$attribute->value] = (string) $value;
            }
        }
        // In the order of the attributes, however they were written.
        $order = array_flip(array_column(FitAttribute::cases(), 'value'));
        uksort($attributes, static fn(string $a, string $b): int => $order[$a] <=> $order[$b]);
        $number = trim($one->text('number'));
        ($number !== '' && mb_strlen($number) <= 80) ||
            throw FileError::at("$path.number", 'must be a part number of at most 80 characters.');

        return new CataloguePart(
            $number,
            $one->text('name'),
            $type,
            $make,
            $fits,
            self::texts($one, 'supersedes', $path),
            $attributes,
            self::within($one, 'price', $path, 1e6) ?? 0.0,
            self::within($one, 'freight', $path, 1e6) ?? 0.0,
            self::within($one, 'selling', $path, 1e6),
            $one->get('leadDays') === null ? null : $one->count('leadDays'),
            $one->count('warrantyMonths'),
            self::within($one, 'lifeYears', $path, 100.0) ?? 8.0,
            self::within($one, 'comeBack', $path, 1.0) ?? 0.06,
            self::within($one, 'lost', $path, 1e6) ?? 0.0,
        );
    }

    private static function within(Record $record, string $field, string $path, float $most): ?float
    {
        $number = $record->optionalNumber($field);

        return $number === null || ($number >= 0.0 && $number <= $most)
            ? $number
            : throw FileError::at("$path.$field", "must lie between 0 and $most.");
    }

    /** @return list<string> */
    private static function texts(Record $record, string $field, string $path): array
    {
        $texts = [];
        foreach ($record->items($field, 60) as $text) {
            $texts[] =
                \is_string($text) && mb_strlen($text) <= 120
                    ? $text
                    : throw FileError::at("$path.$field", 'must be a list of short texts.');
        }

        return $texts;
    }
}

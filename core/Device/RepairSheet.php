<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

use Ispira\Core\Kernel\FileError;
use Ispira\Core\Kernel\Record;

/**
 * What a family says of its repairs: what is bought, in which other ways it can be cured, how the repair is proved.
 */
final readonly class RepairSheet
{
    private const MOST = 40;

    /**
     * @param array<string, string> $types   kind of part for the fit check, by the parts that are bought as goods
     * @param list<OfferedRemedy>   $options beside a new part
     * @param list<string>          $proof   names of tests that prove the repair beside the speed map
     */
    public function __construct(public array $types = [], public array $options = [], public array $proof = []) {}

    /** @throws FileError */
    public static function fromFile(string $path): self
    {
        $file = new Record(json_decode((string) file_get_contents($path), true), basename(\dirname($path)), [
            'types',
            'options',
            'proof',
        ]);
        $types = [];
        foreach (\is_array($file->get('types')) ? $file->get('types') : [] as $part => $type) {
            $types[(string) $part] = \is_string($type) ? $type : throw FileError::at("types.$part", 'must be a text.');
        }
        $options = [];
        foreach ($file->items('options', self::MOST) as $number => $item) {
            $one = new Record($item, "options[$number]", [
                'key',
                'name',
                'kind',
                'parts',
                'faults',
                'price',
                'minutes',
                'leadDays',
                'warrantyMonths',
                'lifeYears',
                'comeBack',
                'lost',
                'why',
                'whyNot',
            ]);
            $options[] = new OfferedRemedy(
                $one->text('key'),
                $one->text('name'),
                $one->text('kind'),
                self::texts($one, 'parts'),
                self::texts($one, 'faults'),
                $one->optionalNumber('price') ?? 0.0,
                $one->optionalNumber('minutes') ?? 0.0,
                $one->get('leadDays') === null ? null : $one->count('leadDays'),
                $one->count('warrantyMonths'),
                $one->optionalNumber('lifeYears') ?? 10.0,
                $one->optionalNumber('comeBack') ?? 0.05,
                $one->optionalNumber('lost') ?? 0.0,
                $one->text('why'),
                $one->text('whyNot'),
            );
        }

        return new self($types, $options, self::texts($file, 'proof'));
    }

    /** @return list<string> */
    private static function texts(Record $record, string $field): array
    {
        return array_values(array_filter($record->items($field, self::MOST), is_string(...)));
    }
}

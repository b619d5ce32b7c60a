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
     * @param NeverLeftOut          $never   those of them that no note replaces
     * @param list<Adjustable>      $adjusts what can be adjusted
     * @param list<FollowedUp>      $follow  findings that leave something to look into
     * @param list<string>          $neverUsed parts that are not bought used without the maker's word
     * @param array<string, list<string>> $refit what to mind when a proven good part goes back, by part
     * @param array<string, string> $leads   family whose circuit a part belongs to, where that is another one
     */
    public function __construct(
        public array $types = [],
        public array $options = [],
        public array $proof = [],
        public NeverLeftOut $never = new NeverLeftOut(),
        public array $adjusts = [],
        public array $follow = [],
        public array $leads = [],
        public array $refit = [],
        public array $neverUsed = [],
    ) {}

    /**
     * Checks without which changes of what can be adjusted do not close.
     *
     * @param list<string> $changed keys of {@see Adjustable}; an unknown one counts as any of them
     *
     * @return list<string> names of tests
     */
    public function provedBy(array $changed): array
    {
        $tests = [];
        $known = array_column($this->adjusts, null, 'key');
        foreach ($changed as $key) {
            foreach (isset($known[$key]) ? [$known[$key]] : $this->adjusts as $one) {
                array_push($tests, ...$one->proves);
            }
        }

        return array_values(array_unique($tests));
    }

    /** @throws FileError */
    public static function fromFile(string $path): self
    {
        $file = new Record(json_decode((string) file_get_contents($path), true), basename(\dirname($path)), [
            'types',
            'options',
            'proof',
            'never',
            'adjusts',
            'follow',
            'leads',
            'refit',
            'neverUsed',
        ]);
        $types = self::map($file, 'types');
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
                'changes',
                'proves',
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
                self::texts($one, 'changes'),
                self::texts($one, 'proves'),
            );
        }

        return new self(
            $types,
            $options,
            self::texts($file, 'proof'),
            self::never($file),
            self::adjusts($file),
            self::follow($file),
            self::map($file, 'leads'),
            self::lists($file, 'refit'),
            self::texts($file, 'neverUsed'),
        );
    }

    /** The offered way of a key; null where the family offers none. */
    public function option(string $key): ?OfferedRemedy
    {
        return array_column($this->options, null, 'key')[$key] ?? null;
    }

    private static function never(Record $file): NeverLeftOut
    {
        if ($file->get('never') === null) {
            return new NeverLeftOut();
        }
        $never = new Record($file->get('never'), 'never', ['tests', 'because', 'outOfService']);

        return new NeverLeftOut(
            self::texts($never, 'tests'),
            $never->text('because'),
            $never->get('outOfService') === true,
        );
    }

    /** @return list<Adjustable> */
    private static function adjusts(Record $file): array
    {
        return array_map(static function (mixed $item): Adjustable {
            $one = new Record($item, 'adjusts', ['key', 'name', 'proves']);

            return new Adjustable($one->text('key'), $one->text('name'), self::texts($one, 'proves'));
        }, $file->items('adjusts', self::MOST));
    }

    /** @return list<FollowedUp> */
    private static function follow(Record $file): array
    {
        return array_map(static function (mixed $item): FollowedUp {
            $one = new Record($item, 'follow', ['key', 'found', 'open']);

            return new FollowedUp($one->text('key'), self::lists($one, 'found'), $one->text('open'));
        }, $file->items('follow', self::MOST));
    }

    /** @return array<string, list<string>> */
    private static function lists(Record $file, string $field): array
    {
        $given = \is_array($file->get($field)) ? $file->get($field) : [];
        $keys = array_map(strval(...), array_keys($given));
        $lists = new Record($given, $field, $keys);

        return array_combine($keys, array_map(static fn(string $key): array => self::texts($lists, $key), $keys));
    }

    /** @return array<string, string> */
    private static function map(Record $file, string $field): array
    {
        $map = [];
        foreach (\is_array($file->get($field)) ? $file->get($field) : [] as $part => $value) {
            $map[(string) $part] = \is_string($value) ? $value : throw FileError::at("$field.$part", 'must be a text.');
        }

        return $map;
    }

    /** @return list<string> */
    private static function texts(Record $record, string $field): array
    {
        return array_values(array_filter($record->items($field, self::MOST), is_string(...)));
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Ledger;

use Ispira\Core\Kernel\NumberReader;
use Ispira\Core\Kernel\UnreadableNumber;

/**
 * One thing that was noted during a repair. It is never changed: what corrects it is an entry of its own.
 *
 * @phpstan-type Value string|int|float|bool|null|list<string>|array<string, string>
 */
final readonly class Entry
{
    /** What stands for an entry where a finding left what is settled: findings keep no id of their own. */
    public const FINDING = 'finding';

    private const LONGEST = 1000;
    private const MOST_ITEMS = 60;
    private const MOST_COUNTED = 999;
    private const LARGEST = 1e7;

    /**
     * @param array<string, Value> $data as its kind declares
     * @param string|null          $at   moment as ISO 8601
     * @param string|null          $by   name of the person who noted it, where it is known
     */
    private function __construct(
        public string $id,
        public EntryKind $kind,
        public array $data,
        public ?string $at,
        public ?string $by,
    ) {}

    /**
     * @param array<array-key, mixed> $given
     *
     * @throws EntryRefused
     */
    public static function read(string $id, EntryKind $kind, array $given, ?string $at = null, ?string $by = null): self
    {
        $fields = $kind->fields();
        foreach (array_diff(array_keys($given), array_keys($fields)) as $unknown) {
            throw new EntryRefused((string) $unknown, "is no field of \"$kind->value\".");
        }
        $data = [];
        foreach ($fields as $field => $type) {
            $data[$field] = self::value($field, $type, $given[$field] ?? null);
        }

        return new self($id, $kind, $data, $at, $by);
    }

    /** @return array<string, string> ids of what it belongs to, by field: entries, replacements, photos */
    public function refersTo(): array
    {
        $ids = [];
        // What was adjusted is a key of the family, and a finding is no entry.
        $free = $this->kind === EntryKind::Adjusted || $this->text('of') === self::FINDING ? ['of'] : [];
        foreach (array_diff(['of', 'replacement', 'photo'], $free) as $field) {
            if ($this->text($field) !== '') {
                $ids[$field] = $this->text($field);
            }
        }

        return $ids;
    }

    public function text(string $field): string
    {
        $value = $this->data[$field] ?? '';

        return \is_string($value) ? $value : '';
    }

    public function count(string $field): int
    {
        $value = $this->data[$field] ?? 0;

        return \is_int($value) ? $value : 0;
    }

    public function number(string $field): ?float
    {
        $value = $this->data[$field] ?? null;

        return \is_float($value) || \is_int($value) ? (float) $value : null;
    }

    public function flag(string $field): bool
    {
        return ($this->data[$field] ?? false) === true;
    }

    /** @return list<string> */
    public function list(string $field): array
    {
        $value = $this->data[$field] ?? [];

        return \is_array($value) ? array_values($value) : [];
    }

    /** @return array<string, string> */
    public function map(string $field): array
    {
        $map = [];
        foreach (\is_array($this->data[$field] ?? null) ? $this->data[$field] : [] as $key => $value) {
            $map[(string) $key] = $value;
        }

        return $map;
    }

    /**
     * @param string|list<string> $type
     *
     * @return Value
     */
    private static function value(string $field, string|array $type, mixed $given): string|int|float|bool|array|null
    {
        if (\is_array($type)) {
            return \is_string($given) && \in_array($given, $type, true)
                ? $given
                : throw new EntryRefused($field, 'Choose one of: ' . implode(', ', $type) . '.');
        }
        $optional = str_ends_with($type, '?');
        if ($given === null || $given === '' || (\is_string($given) && trim($given) === '')) {
            return match (true) {
                $optional => null,
                $type === 'flag' => false,
                $type === 'map', $type === 'list' => [],
                default => throw new EntryRefused($field, 'Fill this in.'),
            };
        }

        return match (rtrim($type, '?')) {
            'text' => self::oneText($field, $given),
            'count' => self::oneCount($field, $given),
            'number' => self::oneNumber($field, $given),
            'flag' => \is_bool($given) ? $given : throw new EntryRefused($field, 'must be true or false.'),
            'day' => \is_string($given) &&
            preg_match('/^(\d{4})-(\d\d)-(\d\d)$/', $given, $d) === 1 &&
            checkdate((int) $d[2], (int) $d[3], (int) $d[1])
                ? $given
                : throw new EntryRefused($field, 'Give a day such as 2026-03-01.'),
            'switches' => \is_string($given) && preg_match('/^[01]{1,12}$/', $given) === 1
                ? $given
                : throw new EntryRefused($field, 'Give each switch as on or off, at most twelve.'),
            'list' => self::texts($field, $given, true),
            default => self::texts($field, $given, false),
        };
    }

    private static function oneText(string $field, mixed $given): string
    {
        return \is_string($given) && mb_strlen($given) <= self::LONGEST
            ? trim($given)
            : throw new EntryRefused($field, 'Keep it to a text of at most ' . self::LONGEST . ' characters.');
    }

    private static function oneCount(string $field, mixed $given): int
    {
        $number = \is_string($given) && preg_match('/^\s*\d{1,3}\s*$/', $given) === 1 ? (int) trim($given) : $given;

        return \is_int($number) && $number >= 0 && $number <= self::MOST_COUNTED
            ? $number
            : throw new EntryRefused($field, 'Give a whole number from 0 to ' . self::MOST_COUNTED . '.');
    }

    private static function oneNumber(string $field, mixed $given): float
    {
        try {
            $number = NumberReader::read($given, '');
        } catch (UnreadableNumber $error) {
            throw new EntryRefused($field, $error->getMessage());
        }

        return abs($number) <= self::LARGEST
            ? $number
            : throw new EntryRefused($field, 'That is more than any number of a job.');
    }

    /** @return list<string>|array<string, string> */
    private static function texts(string $field, mixed $given, bool $list): array
    {
        if (!\is_array($given) || \count($given) > self::MOST_ITEMS || ($list && !array_is_list($given))) {
            throw new EntryRefused($field, 'is not what belongs here.');
        }
        $texts = $named = [];
        foreach ($given as $key => $one) {
            if ($one !== null && $one !== '') {
                $text = self::oneText($field, \is_int($one) || \is_float($one) ? (string) $one : $one);
                $texts[] = $text;
                $named[(string) $key] = $text;
            }
        }

        return $list ? $texts : $named;
    }
}

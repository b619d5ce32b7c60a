<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Ledger;

/**
 * An entry as pages show it: in JSON the fields of its kind stand beside its id.
 *
 * @phpstan-import-type Value from Entry
 */
final readonly class EntryShown implements \JsonSerializable
{
    /** @param array<string, Value> $data as its kind declares */
    private function __construct(
        public string $id,
        public EntryKind $kind,
        public ?string $at,
        public ?string $by,
        public array $data,
    ) {}

    public static function of(Entry $entry): self
    {
        return new self($entry->id, $entry->kind, $entry->at, $entry->by, $entry->data);
    }

    public function text(string $field): string
    {
        $value = $this->data[$field] ?? '';

        return \is_string($value) ? $value : '';
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['id' => $this->id, 'kind' => $this->kind->value, 'at' => $this->at, 'by' => $this->by, ...$this->data];
    }
}

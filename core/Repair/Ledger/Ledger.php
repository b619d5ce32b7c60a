<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Ledger;

/**
 * What was noted during a repair, in its order, without what was taken back.
 */
final readonly class Ledger
{
    /** @param array<string, Entry> $entries by id */
    private function __construct(private array $entries) {}

    /** @param list<Entry> $entries in the order noted */
    public static function of(array $entries): self
    {
        $standing = [];
        foreach ($entries as $entry) {
            if ($entry->kind === EntryKind::Removed) {
                unset($standing[$entry->text('of')]);
            } else {
                $standing[$entry->id] = $entry;
            }
        }

        return new self($standing);
    }

    /** @return list<Entry> all that stand, in the order noted */
    public function entries(): array
    {
        return array_values($this->entries);
    }

    /** @return list<Entry> */
    public function all(EntryKind ...$kinds): array
    {
        return array_values(
            array_filter($this->entries, static fn(Entry $one): bool => \in_array($one->kind, $kinds, true)),
        );
    }

    public function latest(EntryKind $kind): ?Entry
    {
        $all = $this->all($kind);

        return $all === [] ? null : $all[\count($all) - 1];
    }

    public function find(string $id): ?Entry
    {
        return $this->entries[$id] ?? null;
    }

    /**
     * Those that say something of another entry.
     *
     * @return list<Entry>
     */
    public function about(string $id, EntryKind $kind): array
    {
        return array_values(array_filter($this->all($kind), static fn(Entry $one): bool => $one->text('of') === $id));
    }
}

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

    /** @return list<bool> whether a replacement cured the machine, each time that it was noted */
    public function saidToHold(string $replacement): array
    {
        return array_map(
            static fn(Entry $one): bool => $one->flag('held'),
            array_values(
                array_filter(
                    $this->all(EntryKind::Held),
                    static fn(Entry $one): bool => $one->text('replacement') === $replacement,
                ),
            ),
        );
    }

    /** The same as it was noted last; null where nothing was. */
    public function held(string $replacement): ?bool
    {
        $said = $this->saidToHold($replacement);

        return $said === [] ? null : $said[\count($said) - 1];
    }

    /** How the job ended; null where it goes on, or goes on again. */
    public function ending(): ?Entry
    {
        $both = $this->all(EntryKind::Closed, EntryKind::Reopened);
        $last = $both === [] ? null : $both[\count($both) - 1];

        return $last?->kind === EntryKind::Closed ? $last : null;
    }

    /** @return list<Entry> parts that were ordered and have not arrived, the one expected first at the front */
    public function onOrder(): array
    {
        $arrived = array_map(static fn(Entry $one): string => $one->text('of'), $this->all(EntryKind::Arrived));
        $waiting = array_filter(
            $this->all(EntryKind::Ordered),
            static fn(Entry $one): bool => !\in_array($one->id, $arrived, true),
        );
        usort(
            $waiting,
            static fn(Entry $a, Entry $b): int => [$a->text('expectedOn'), $a->at] <=> [$b->text('expectedOn'), $b->at],
        );

        return $waiting;
    }

    /** @return list<Entry> what was lent and is not back */
    public function lent(): array
    {
        $back = array_map(static fn(Entry $one): string => $one->text('of'), $this->all(EntryKind::Returned));

        return array_values(
            array_filter($this->all(EntryKind::Loan), static fn(Entry $one): bool => !\in_array($one->id, $back, true)),
        );
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

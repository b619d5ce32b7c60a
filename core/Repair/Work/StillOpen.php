<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Work;

use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\Ledger;

/**
 * What a job leaves open: one list, from plugs to follow-ups. Each stands until somebody settles it by name.
 */
final readonly class StillOpen
{
    /** What of a closed job a person settles who may countersign. */
    public const COUNTERSIGN = 'countersign';

    /** @param list<OpenItem> $found what the findings of the job leave, see {@see FollowUps} */
    public function __construct(private Ledger $ledger, private array $found = []) {}

    /** @return list<OpenItem> "of" is the entry that left it, "aspect" what of it */
    public function items(): array
    {
        $settled = array_map(self::key(...), $this->entries());

        return array_values(
            array_filter(
                $this->all(),
                static fn(OpenItem $item): bool => !\in_array("{$item->of} {$item->aspect}", $settled, true),
            ),
        );
    }

    /** @return list<string> what has to be looked into before the job closes as repaired */
    public function beforeClosing(): array
    {
        return array_column(
            array_filter($this->items(), static fn(OpenItem $item): bool => $item->of === Entry::FINDING),
            'what',
        );
    }

    /** @return list<SettledItem> */
    public function settled(): array
    {
        $what = [];
        foreach ($this->all() as $item) {
            $what["{$item->of} {$item->aspect}"] = $item->what;
        }

        return array_map(
            static fn(Entry $one): SettledItem => new SettledItem(
                what: $what[self::key($one)] ?? $one->text('aspect'),
                who: $one->text('who'),
                how: $one->text('how'),
                at: $one->at,
            ),
            $this->entries(),
        );
    }

    /** Whether how the job was closed still waits for somebody who may countersign. */
    public function isUnsigned(): bool
    {
        return \in_array(self::COUNTERSIGN, array_column($this->items(), 'aspect'), true);
    }

    public function isOpen(Entry $settling): bool
    {
        foreach ($this->items() as $item) {
            if ("{$item->of} {$item->aspect}" === self::key($settling)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Entry> */
    private function entries(): array
    {
        return $this->ledger->all(EntryKind::Settled);
    }

    private static function key(Entry $settling): string
    {
        return "{$settling->text('of')} {$settling->text('aspect')}";
    }

    /** @return list<OpenItem> */
    private function all(): array
    {
        return [
            ...$this->found,
            ...$this->also(),
            ...$this->plugs(),
            ...$this->leftOff(),
            ...$this->newParts(),
            ...$this->atTheEnd(),
        ];
    }

    /** @return list<OpenItem> what else the user of the machine complained of */
    private function also(): array
    {
        return array_map(
            static fn(Entry $one): OpenItem => self::item($one, "Also complained of: {$one->text('what')}"),
            $this->ledger->all(EntryKind::Also),
        );
    }

    /** @return list<OpenItem> plugs that were not latched or locked when they were last looked at */
    private function plugs(): array
    {
        $newest = [];
        foreach ($this->ledger->all(EntryKind::Plug) as $plug) {
            $newest[$plug->text('what')] = $plug;
        }
        $items = [];
        foreach ($newest as $what => $plug) {
            if (!$plug->flag('latched') || !$plug->flag('locked')) {
                $items[] = self::item(
                    $plug,
                    "$what: " . ($plug->flag('latched') ? 'its lock is not closed' : 'not latched'),
                );
            }
        }

        return $items;
    }

    /** @return list<OpenItem> screws and parts that did not go back on */
    private function leftOff(): array
    {
        $items = [];
        foreach ((new StripDown($this->ledger))->steps() as $step) {
            if ($step->done && $step->left > 0) {
                $items[] = new OpenItem(
                    of: $step->id,
                    aspect: 'left',
                    what: "{$step->what}: {$step->left} of {$step->count} not put back",
                    why: (string) $step->reason,
                );
            }
        }

        return $items;
    }

    /** @return list<OpenItem> new parts that went in though a test spoke against them */
    private function newParts(): array
    {
        return array_values(
            array_map(
                static fn(Entry $one): OpenItem => self::item(
                    $one,
                    "New part fitted though it did not show {$one->text('expected')}",
                ),
                array_filter(
                    $this->ledger->all(EntryKind::Measured),
                    static fn(Entry $one): bool => !$one->flag('right'),
                ),
            ),
        );
    }

    /** @return list<OpenItem> what the end of the job itself leaves to do */
    private function atTheEnd(): array
    {
        $closed = $this->ledger->ending();
        if ($closed === null) {
            return [];
        }
        $items = [];
        foreach ($closed->list('leftOut') as $number => $title) {
            $items[] = new OpenItem(
                of: $closed->id,
                aspect: "check-$number",
                what: "Not measured: $title",
                why: $closed->text('reason'),
            );
        }
        if ($closed->flag('countersign')) {
            $items[] = new OpenItem(
                of: $closed->id,
                aspect: self::COUNTERSIGN,
                what: 'Closed by a trainee: to be countersigned',
                why: $closed->text('reason'),
            );
        }
        foreach ($this->ledger->onOrder() as $part) {
            $items[] = self::item($part, "Ordered and not arrived: {$part->text('what')}");
        }
        $day = $closed->text('dueOn');
        $end = match (JobOutcome::from($closed->text('outcome'))) {
            JobOutcome::Temporary => "Only bridged, due on $day",
            JobOutcome::Watched => "To be watched, looked at again on $day",
            JobOutcome::NotInService => "Not in service, looked at next on $day",
            JobOutcome::HandedOver => "Handed to {$closed->text('who')}, looked at next on $day",
            default => null,
        };

        return $end === null
            ? $items
            : [...$items, new OpenItem(of: $closed->id, aspect: 'end', what: $end, why: $closed->text('reason'))];
    }

    private static function item(Entry $entry, string $what): OpenItem
    {
        return new OpenItem(of: $entry->id, aspect: $entry->kind->value, what: $what, why: $entry->text('reason'));
    }
}

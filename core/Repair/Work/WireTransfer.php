<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Work;

use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;
use Ispira\Core\Repair\Ledger\Ledger;

/**
 * Wires that move from an old part to a new one, by what each of them does, not by its colour or place.
 */
final readonly class WireTransfer
{
    public const ONE_AT_A_TIME = 'one-at-a-time';
    public const PHOTO_AND_TAGS = 'photo-and-tags';

    public function __construct(private Ledger $ledger) {}

    public function method(): ?string
    {
        return $this->ledger->latest(EntryKind::Method)?->text('method');
    }

    /** @return list<WireRow> */
    public function rows(): array
    {
        return array_map(
            fn(Entry $wire): WireRow => new WireRow(
                id: $wire->id,
                function: $wire->text('function'),
                from: $wire->text('from'),
                to: $wire->text('to'),
                colour: $wire->text('colour'),
                label: $wire->text('label'),
                moved: $this->ledger->about($wire->id, EntryKind::WireMoved) !== [],
                checked: $this->ledger->about($wire->id, EntryKind::WireChecked) !== [],
            ),
            $this->ledger->all(EntryKind::Wire),
        );
    }

    /** @return list<string> what to mind before a wire is moved */
    public function warnings(): array
    {
        $warnings = $colours = $targets = [];
        foreach ($this->rows() as $row) {
            $colours[mb_strtolower($row->colour)][] = $row->function;
            $targets[mb_strtolower($row->to)][] = $row->function;
        }
        foreach ($colours as $colour => $functions) {
            if (\count($functions) > 1) {
                $warnings[] =
                    "Two wires are $colour: " .
                    implode(' and ', $functions) .
                    '. Tag them before either comes off: the colour does not tell them apart.';
            }
        }
        foreach ($targets as $target => $functions) {
            if (\count($functions) > 1) {
                $warnings[] = "Two wires go to terminal $target: " . implode(' and ', $functions) . '. Is that meant?';
            }
        }

        return $warnings;
    }

    /** @return list<string> what is not done yet */
    public function open(): array
    {
        $open = [];
        foreach ($this->rows() as $row) {
            if (!$row->moved || !$row->checked) {
                $open[] = $row->function . ($row->moved ? ' is not checked' : ' is not moved');
            }
        }
        foreach ($this->switches() as $one) {
            if ($one->new === null) {
                $open[] = "The switches {$one->name} are not set on the new part";
            }
        }

        return $open;
    }

    /** @return list<SwitchRow> */
    public function switches(): array
    {
        return array_map(function (Entry $one): SwitchRow {
            $set = $this->ledger->about($one->id, EntryKind::SwitchesSet);
            $last = $set === [] ? null : $set[\count($set) - 1];

            return new SwitchRow(
                id: $one->id,
                name: $one->text('name'),
                old: $one->text('old'),
                new: $last?->text('new'),
                reason: $last?->text('reason') ?? '',
            );
        }, $this->ledger->all(EntryKind::Switches));
    }

    /** @throws EntryRefused */
    public function accept(Entry $entry): void
    {
        match ($entry->kind) {
            EntryKind::Wire => $this->acceptWire($entry),
            EntryKind::WireMoved => $this->acceptMove($this->row($entry)),
            EntryKind::WireChecked => $this->row($entry)->moved ||
                throw new EntryRefused('of', 'It is not moved yet: move it, then pull at it and check it.'),
            EntryKind::SwitchesSet => $this->acceptSwitches($entry),
            EntryKind::Plug => ($entry->flag('latched') && $entry->flag('locked')) ||
                $entry->text('reason') !== '' ||
                throw new EntryRefused(
                    'reason',
                    'A plug is done when its latch and its secondary lock hold. If one of them does not, say why it stays.',
                ),
            default => null,
        };
    }

    private function acceptWire(Entry $wire): void
    {
        $this->method() !== null ||
            throw new EntryRefused('method', 'Choose how the wires are moved first: one at a time, or photo and tags.');
        if ($this->method() === self::PHOTO_AND_TAGS && $wire->text('label') === '') {
            throw new EntryRefused('label', 'Every wire needs its tag before the part comes off.');
        }
        foreach ($this->rows() as $row) {
            if (
                mb_strtolower($row->from) === mb_strtolower($wire->text('from')) &&
                $row->function === $wire->text('function')
            ) {
                throw new EntryRefused('from', 'This wire is in the table already.');
            }
            if (
                mb_strtolower($row->to) === mb_strtolower($wire->text('to')) &&
                self::isTap($row->function) &&
                self::isTap($wire->text('function'))
            ) {
                throw new EntryRefused(
                    'to',
                    "Terminal {$row->to} has the {$row->function} already. Two speed taps fed at once burn the winding: cap the idle one by itself.",
                );
            }
            if ($row->label !== '' && $row->label === $wire->text('label')) {
                throw new EntryRefused('label', "The tag \"{$row->label}\" is on another wire: {$row->function}.");
            }
        }
    }

    private static function isTap(string $function): bool
    {
        return preg_match('/\b(tap|speed)/i', $function) === 1;
    }

    private function acceptMove(WireRow $row): void
    {
        foreach ($this->rows() as $other) {
            if (
                $this->method() === self::ONE_AT_A_TIME &&
                $other->id !== $row->id &&
                $other->moved &&
                !$other->checked
            ) {
                throw new EntryRefused('of', "One at a time: check \"{$other->function}\" before the next comes off.");
            }
        }
    }

    private function acceptSwitches(Entry $set): void
    {
        $old = $this->ledger->find($set->text('of'));
        if ($old === null || $old->kind !== EntryKind::Switches) {
            throw new EntryRefused('of', 'These switches are not on record any more. Reload the page.');
        }
        if (\strlen($old->text('old')) !== \strlen($set->text('new'))) {
            throw new EntryRefused('new', 'The old part has ' . \strlen($old->text('old')) . ' switches here.');
        }
        if ($old->text('old') !== $set->text('new') && $set->text('reason') === '') {
            throw new EntryRefused('reason', 'The new setting differs from the old one: say why, or set it alike.');
        }
    }

    private function row(Entry $entry): WireRow
    {
        foreach ($this->rows() as $row) {
            if ($row->id === $entry->text('of')) {
                return $row;
            }
        }

        throw new EntryRefused('of', 'This wire is not in the table any more. Reload the page.');
    }
}

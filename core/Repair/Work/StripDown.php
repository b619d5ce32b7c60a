<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Work;

use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;
use Ispira\Core\Repair\Ledger\Ledger;

/**
 * What came off, in order, and what went back on in the reverse of it.
 */
final readonly class StripDown
{
    public function __construct(private Ledger $ledger) {}

    /** @return list<StepBack> in the order taken off */
    public function steps(): array
    {
        return array_map(fn(Entry $down): StepBack => $this->step($down), $this->ledger->all(EntryKind::Down));
    }

    /** @return list<StepBack> in the order in which it goes together */
    public function reassembly(): array
    {
        return array_reverse($this->steps());
    }

    /**
     * Steps that are not back on, neither whole nor with a reason.
     *
     * @return list<StepBack>
     */
    public function open(): array
    {
        return array_values(array_filter($this->steps(), static fn(StepBack $step): bool => !$step->done));
    }

    /** Fasteners and parts taken off and not put back. */
    public function leftOver(): int
    {
        return array_sum(array_column($this->steps(), 'left'));
    }

    /** Fasteners that were missing before anything was touched: they belong there, and are not of this repair. */
    public function missingBefore(): int
    {
        return array_sum(
            array_map(
                static fn(Entry $found): int => $found->text('condition') === 'missing' ? $found->count('count') : 0,
                $this->ledger->all(EntryKind::Found),
            ),
        );
    }

    /** Minutes from the first to the last part taken off; null when there were fewer than two. */
    public function minutes(): ?float
    {
        $times = array_values(
            array_filter(
                array_map(
                    static fn(Entry $down): int|false => $down->at === null ? false : strtotime($down->at),
                    $this->ledger->all(EntryKind::Down),
                ),
                is_int(...),
            ),
        );

        return \count($times) < 2 ? null : (max($times) - min($times)) / 60.0;
    }

    /** @throws EntryRefused */
    public function accept(Entry $entry): void
    {
        match ($entry->kind) {
            EntryKind::Down => $this->acceptDown($entry),
            EntryKind::Up => $this->acceptUp($entry),
            default => null,
        };
    }

    private function acceptDown(Entry $down): void
    {
        if (!$down->flag('irreversible')) {
            return;
        }
        foreach (
            [
                'behind' => 'Say what lies behind: it cannot be undone.',
                'alternative' => 'Name the other way, even if it takes longer.',
            ]
            as $field => $message
        ) {
            $down->text($field) !== '' || throw new EntryRefused($field, $message);
        }
        $down->number('alternativeMinutes') !== null ||
            throw new EntryRefused('alternativeMinutes', 'Give the minutes of the other way.');
        $down->flag('confirmed') ||
            throw new EntryRefused(
                'confirmed',
                "This cannot be undone. Behind it: {$down->text('behind')}. The other way: {$down->text(
                    'alternative',
                )}. Confirm that it is to be done all the same.",
            );
    }

    private function acceptUp(Entry $up): void
    {
        $down = $this->ledger->find($up->text('of'));
        if ($down === null || $down->kind !== EntryKind::Down) {
            throw new EntryRefused('of', 'That step is not on record any more. Reload the page.');
        }
        $order = array_column($this->reassembly(), 'id');
        foreach (\array_slice($order, 0, (int) array_search($down->id, $order, true)) as $before) {
            if ($this->ledger->about($before, EntryKind::Up) === []) {
                throw new EntryRefused(
                    'of',
                    "First put back what came off after it: {$this->ledger->find($before)?->text('what')}.",
                );
            }
        }
        $back = $this->step($down)->back + $up->count('count');
        if ($back > $down->count('count')) {
            throw new EntryRefused('count', "Only {$down->count('count')} came off here. Where are the others from?");
        }
        if ($back < $down->count('count') && $up->text('reason') === '') {
            throw new EntryRefused(
                'reason',
                $down->count('count') - $back . ' left over. Find where they belong, or say why they stay out.',
            );
        }
    }

    private function step(Entry $down): StepBack
    {
        $ups = $this->ledger->about($down->id, EntryKind::Up);
        $back = array_sum(array_map(static fn(Entry $up): int => $up->count('count'), $ups));
        $reasons = array_values(array_filter(array_map(static fn(Entry $up): string => $up->text('reason'), $ups)));

        $left = $down->count('count') - $back;

        return new StepBack(
            id: $down->id,
            what: $down->text('what'),
            count: $down->count('count'),
            back: $back,
            left: $left,
            reason: $reasons === [] ? null : implode('; ', $reasons),
            done: $ups !== [] && ($left === 0 || $reasons !== []),
        );
    }
}

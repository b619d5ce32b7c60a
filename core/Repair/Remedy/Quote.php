<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Remedy;

use Ispira\Core\Device\OfferedRemedy;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\Ledger;

/**
 * What somebody was told on the spot about a way: its price, its time, or that it is not to be had.
 */
final readonly class Quote
{
    private const LONGEST = 2000.0;

    private function __construct(private Entry $entry) {}

    /** @return array<string, self> the newest for each option */
    public static function all(Ledger $ledger): array
    {
        $quotes = [];
        foreach ($ledger->all(EntryKind::Quote) as $entry) {
            $quotes[$entry->text('option')] = new self($entry);
        }

        return $quotes;
    }

    /** @return array{0: string, 1: string}|null field and message of what cannot be; null when all can */
    public static function problem(Entry $entry): ?array
    {
        $minutes = $entry->number('minutes');
        $says = $entry->flag('notToBeHad') || ($entry->data['leadDays'] ?? null) !== null || $minutes !== null;

        return match (true) {
            ($entry->number('price') ?? 0.0) < 0.0 => ['price', 'A price is not below zero.'],
            $minutes !== null && ($minutes < 0.0 || $minutes > self::LONGEST) => [
                'minutes',
                'Give minutes from 0 to ' . (int) self::LONGEST . '.',
            ],
            $entry->number('price') === null && !$says => [
                'price',
                'Give a price, a time, or say that it is not to be had.',
            ],
            default => null,
        };
    }

    /** The same way as it was quoted. */
    public function on(OfferedRemedy $offer): OfferedRemedy
    {
        $days = $this->entry->data['leadDays'] ?? null;

        return $offer->quoted(
            $this->entry->number('price') ?? $offer->price,
            $this->entry->number('minutes') ?? $offer->minutes,
            match (true) {
                $this->entry->flag('notToBeHad') => null,
                \is_int($days) => $days,
                // Told a price, and no word of waiting: it can be had.
                default => $offer->leadDays ?? 0,
            },
            $this->entry->text('source'),
        );
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\PinMatrix;

/**
 * The orders in which the pins of a pack may stand, found from a few readings between them.
 *
 * Every order is tried, one way round: it fits when no resistor comes out below zero and no reading is off.
 */
final readonly class PinOrders
{
    /** More pins have too many orders to try. */
    public const MOST_PINS = 7;

    /** Ω below zero that is still a meter's. */
    public const BELOW_ZERO = -0.05;

    /** @param list<ResistorRow> $rows one for each order that fits */
    private function __construct(public array $rows) {}

    /**
     * @param list<string>                                $pins
     * @param list<array{0: string, 1: string, 2: float}> $pairs two pins and the reading between them in Ω, INF for over-range
     */
    public static function fitting(array $pins, array $pairs): self
    {
        $rows = [];
        foreach (self::orders($pins) as $order) {
            if (array_search($order[0], $pins, true) < array_search($order[\count($order) - 1], $pins, true)) {
                $row = ResistorRow::of($order, $pairs);
                if (self::fits($row)) {
                    $rows[] = $row;
                }
            }
        }

        return new self($rows);
    }

    public static function fits(ResistorRow $row): bool
    {
        foreach ($row->ohms as $ohms) {
            if ($ohms !== null && $ohms < self::BELOW_ZERO) {
                return false;
            }
        }
        foreach ($row->readings as ['read' => $read, 'sum' => $sum]) {
            if (ResistorRow::isOff($read, $sum)) {
                return false;
            }
        }

        return true;
    }

    /**
     * The pair that was not read and parts the orders best, or else the first that teaches anything.
     *
     * @return array{0: string, 1: string}|null null when none parts them
     */
    public function decides(): ?array
    {
        $pins = $this->rows[0]->pins ?? [];
        sort($pins, \SORT_NATURAL);
        $best = $open = null;
        $most = 1;
        foreach ($pins as $i => $from) {
            foreach (\array_slice($pins, $i + 1) as $to) {
                if ($this->wasRead($from, $to)) {
                    continue;
                }
                $groups = $this->groups($from, $to);
                if ($groups > $most) {
                    [$best, $most] = [[$from, $to], $groups];
                }
                $open ??= $this->isOpen($from, $to) ? [$from, $to] : null;
            }
        }

        return $best ?? $open;
    }

    /** Whether some order does not say yet what a meter would show there. */
    private function isOpen(string $from, string $to): bool
    {
        foreach ($this->rows as $row) {
            if ($row->between($from, $to) === null) {
                return true;
            }
        }

        return false;
    }

    /** Into how many groups a reading between two pins would part the orders; what an order leaves open is one. */
    private function groups(string $from, string $to): int
    {
        $sums = [];
        $open = 0;
        foreach ($this->rows as $row) {
            $sum = $row->between($from, $to);
            $sum === null || is_infinite($sum) ? ($open = 1) : ($sums[] = $sum);
        }
        sort($sums);
        $groups = $open;
        $last = null;
        foreach ($sums as $sum) {
            if ($last === null || $sum - $last > 2.0 * ResistorRow::tolerance($sum)) {
                ++$groups;
                $last = $sum;
            }
        }

        return $groups;
    }

    private function wasRead(string $from, string $to): bool
    {
        foreach ($this->rows[0]->readings ?? [] as $reading) {
            if (
                [$reading['from'], $reading['to']] === [$from, $to] ||
                [$reading['to'], $reading['from']] === [$from, $to]
            ) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<string> $pins
     *
     * @return \Generator<int, non-empty-list<string>>
     */
    private static function orders(array $pins): \Generator
    {
        if (\count($pins) === 1) {
            yield $pins;

            return;
        }
        foreach ($pins as $n => $first) {
            $rest = $pins;
            unset($rest[$n]);
            foreach (self::orders(array_values($rest)) as $order) {
                yield [$first, ...$order];
            }
        }
    }
}

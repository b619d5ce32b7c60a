<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\PinMatrix;

/**
 * Resistors in one row, found from readings between any of their pins.
 *
 * A reading between pins i and j is the sum of the resistors between them. With more readings than resistors the
 * sum of the squared differences is least (normal equations, solved by Gauss elimination with pivots); with too few,
 * some stay unknown. Over-range between two pins means that a resistor between them is open.
 */
final readonly class ResistorRow
{
    /** Pivot under which an equation says nothing new. */
    private const NOTHING = 1e-9;

    /** Ω, and share of the reading, within which a reading fits the row. */
    private const FITS = [0.1, 0.05];

    /**
     * @param list<string>              $pins       in the order of the row
     * @param list<float|null>          $ohms       of the resistor after each pin but the last; INF when open, null
     *     when unknown
     * @param list<array{from: string, to: string, read: float, sum: float|null}> $readings with what the row makes of each
     */
    private function __construct(public array $pins, public array $ohms, public array $readings) {}

    /**
     * @param non-empty-list<string>                      $pins
     * @param list<array{0: string, 1: string, 2: float}> $pairs two pins and the reading between them in Ω, INF for over-range
     */
    public static function of(array $pins, array $pairs): self
    {
        $count = \count($pins) - 1;
        $places = array_flip($pins);
        $rows = [];
        $closed = array_fill(0, max(0, $count), false);
        foreach ($pairs as [$a, $b, $read]) {
            [$from, $to] = [min($places[$a], $places[$b]), max($places[$a], $places[$b])];
            $rows[] = [$from, $to, $read];
            for ($n = $from; is_finite($read) && $n < $to; ++$n) {
                $closed[$n] = true;
            }
        }
        $ohms = self::solved(
            $count,
            array_values(array_filter($rows, static fn(array $row): bool => is_finite($row[2]))),
        );
        foreach ($rows as [$from, $to, $read]) {
            // The only one between two open pins that nothing proves closed is the open one.
            $suspects = is_finite($read)
                ? []
                : array_values(
                    array_filter($from < $to ? range($from, $to - 1) : [], static fn(int $n): bool => !$closed[$n]),
                );
            if (\count($suspects) === 1) {
                $ohms[$suspects[0]] = \INF;
            }
        }
        $sums = [];
        foreach ($pairs as $number => [$a, $b, $read]) {
            [$from, $to] = $rows[$number];
            $sums[] = ['from' => $a, 'to' => $b, 'read' => $read, 'sum' => self::sum($ohms, $from, $to)];
        }

        return new self($pins, array_values($ohms), $sums);
    }

    /** What a meter would show between two of its pins, in Ω; INF over an open one, null where that is not known. */
    public function between(string $from, string $to): ?float
    {
        $places = array_flip($this->pins);

        return self::sum($this->ohms, min($places[$from], $places[$to]), max($places[$from], $places[$to]));
    }

    /** How far a reading of so many Ω may stand from the sum of the row and still fit it, in Ω. */
    public static function tolerance(float $ohms): float
    {
        return self::FITS[0] + self::FITS[1] * $ohms;
    }

    /** Whether a reading contradicts the sum of the row; an unknown sum contradicts nothing. */
    public static function isOff(float $read, ?float $sum): bool
    {
        return $sum !== null &&
            (is_infinite($read) !== is_infinite($sum) ||
                (is_finite($read) && abs($read - $sum) > self::tolerance($read)));
    }

    /** Root of the mean squared difference between readings and sums, in Ω. */
    public function residual(): float
    {
        $squares = [];
        foreach ($this->readings as ['read' => $read, 'sum' => $sum]) {
            if ($sum !== null && is_finite($sum) && is_finite($read)) {
                $squares[] = ($read - $sum) ** 2;
            }
        }

        return $squares === [] ? 0.0 : sqrt(array_sum($squares) / \count($squares));
    }

    /** How many readings there are beyond what the resistors need. */
    public function surplus(): int
    {
        return \count(array_filter($this->readings, static fn(array $one): bool => is_finite($one['read']))) -
            \count(array_filter($this->ohms, static fn(?float $one): bool => $one !== null && is_finite($one)));
    }

    /**
     * @param array<int, float|null> $ohms
     *
     * @return float|null of the resistors from one place up to another, in Ω; null when one of them is unknown
     */
    private static function sum(array $ohms, int $from, int $to): ?float
    {
        $sum = 0.0;
        for ($n = $from; $n < $to; ++$n) {
            $sum = $sum === null || $ohms[$n] === null ? null : $sum + $ohms[$n];
        }

        return $sum;
    }

    /**
     * @param list<array{0: int, 1: int, 2: float}> $rows
     *
     * @return array<int, float|null>
     */
    private static function solved(int $count, array $rows): array
    {
        $matrix = array_fill(0, max(0, $count), array_fill(0, $count + 1, 0.0));
        foreach ($rows as [$from, $to, $read]) {
            for ($i = $from; $i < $to; ++$i) {
                for ($j = $from; $j < $to; ++$j) {
                    $matrix[$i][$j] += 1.0;
                }
                $matrix[$i][$count] += $read;
            }
        }
        $pivots = [];
        $row = 0;
        for ($column = 0; $column < $count; ++$column) {
            $best = $row;
            for ($i = $row; $i < $count; ++$i) {
                $best = abs($matrix[$i][$column]) > abs($matrix[$best][$column] ?? 0.0) ? $i : $best;
            }
            if (abs($matrix[$best][$column] ?? 0.0) < self::NOTHING) {
                continue;
            }
            [$matrix[$row], $matrix[$best]] = [$matrix[$best], $matrix[$row]];
            $lead = $matrix[$row][$column];
            foreach ($matrix[$row] as $j => $value) {
                $matrix[$row][$j] = $value / $lead;
            }
            for ($i = 0; $i < $count; ++$i) {
                $factor = $matrix[$i][$column];
                if ($i !== $row && $factor !== 0.0) {
                    foreach ($matrix[$row] as $j => $value) {
                        $matrix[$i][$j] -= $factor * $value;
                    }
                }
            }
            $pivots[$column] = $row++;
        }
        $ohms = array_fill(0, max(0, $count), null);
        foreach ($pivots as $column => $at) {
            $others = array_filter(
                $matrix[$at],
                static fn(float $value, int $j): bool => $j !== $column && $j < $count && abs($value) > self::NOTHING,
                \ARRAY_FILTER_USE_BOTH,
            );
            // One that an equation shares with another stays unknown.
            $ohms[$column] = $others === [] ? $matrix[$at][$count] : null;
        }

        return $ohms;
    }
}

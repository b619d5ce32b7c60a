<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\PackRebuild;

/**
 * Resistors that can be bought: the rounded geometric series of IEC 60063, and pairs of them.
 */
final class PreferredValues
{
    private const E12 = [1.0, 1.2, 1.5, 1.8, 2.2, 2.7, 3.3, 3.9, 4.7, 5.6, 6.8, 8.2];
    private const E24 = [
        1.0,
        1.1,
        1.2,
        1.3,
        1.5,
        1.6,
        1.8,
        2.0,
        2.2,
        2.4,
        2.7,
        3.0,
        3.3,
        3.6,
        3.9,
        4.3,
        4.7,
        5.1,
        5.6,
        6.2,
        6.8,
        7.5,
        8.2,
        9.1,
    ];

    /** Ratings of power resistors, in W. */
    private const WATTS = [1.0, 2.0, 3.0, 5.0, 7.0, 10.0, 15.0, 20.0, 25.0, 50.0, 75.0, 100.0, 150.0, 200.0, 300.0];

    /** Share by which a single resistor may miss before a pair is taken. */
    private const SINGLE_WITHIN = 0.03;

    private function __construct() {}

    /**
     * The nearest single value, or the nearest pair where that misses by more than 3 %.
     *
     * @return array{how: 'single'|'series'|'parallel', values: list<float>, ohms: float}
     */
    public static function nearest(float $ohms, bool $fine): array
    {
        $series = self::around($ohms, $fine);
        $best = ['how' => 'single', 'values' => [1.0], 'ohms' => \INF];
        foreach ($series as $one) {
            if (abs($one - $ohms) < abs($best['ohms'] - $ohms)) {
                $best = ['how' => 'single', 'values' => [$one], 'ohms' => $one];
            }
        }
        if (abs($best['ohms'] - $ohms) <= self::SINGLE_WITHIN * $ohms) {
            return $best;
        }
        foreach ($series as $first) {
            foreach ($series as $second) {
                if ($second > $first) {
                    continue;
                }
                foreach (
                    ['series' => $first + $second, 'parallel' => ($first * $second) / ($first + $second)]
                    as $how => $together
                ) {
                    if (abs($together - $ohms) < abs($best['ohms'] - $ohms) - 1e-9) {
                        $best = ['how' => $how, 'values' => [$first, $second], 'ohms' => $together];
                    }
                }
            }
        }

        return $best;
    }

    /** The next rating from a power up; null above the largest. */
    public static function rating(float $watts): ?float
    {
        foreach (self::WATTS as $rating) {
            if ($rating >= $watts) {
                return $rating;
            }
        }

        return null;
    }

    /** @return list<float> values from a tenth to ten times what is wanted */
    private static function around(float $ohms, bool $fine): array
    {
        $values = [];
        $decade = (int) floor(log10($ohms));
        for ($power = $decade - 1; $power <= $decade + 1; ++$power) {
            foreach ($fine ? self::E24 : self::E12 as $one) {
                $values[] = round($one * 10.0 ** $power, 6);
            }
        }

        return $values;
    }
}

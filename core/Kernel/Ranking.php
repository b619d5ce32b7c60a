<?php

declare(strict_types=1);

namespace Ispira\Core\Kernel;

/**
 * Puts in order what was computed. What differs only in the last digits of the computation is equal, and keeps the order
 * in which it was given: so the order is the same on every machine.
 */
final class Ranking
{
    /** Digits that every machine computes alike. */
    private const DIGITS = 9;

    /** Less than this is nothing. */
    private const NOTHING = 1e-14;

    private function __construct() {}

    /**
     * Keys with their values, largest first.
     *
     * @template K of array-key
     *
     * @param array<K, float> $values
     *
     * @return array<K, float>
     */
    public static function largestFirst(array $values): array
    {
        $rounded = array_map(self::rounded(...), $values);
        arsort($rounded);
        $ranked = [];
        foreach ($rounded as $key => $_) {
            $ranked[$key] = $values[$key];
        }

        return $ranked;
    }

    /**
     * @template K of array-key
     * @template T
     *
     * @param array<K, T>        $items
     * @param \Closure(T): float $value
     *
     * @return array<K, T> by value, largest first
     */
    public static function by(array $items, \Closure $value): array
    {
        $ranked = [];
        foreach (self::largestFirst(array_map($value, $items)) as $key => $_) {
            $ranked[$key] = $items[$key];
        }

        return $ranked;
    }

    private static function rounded(float $value): float
    {
        $size = abs($value);

        return $size < self::NOTHING || !is_finite($value)
            ? ($size < self::NOTHING
                ? 0.0
                : $value)
            : round($value, self::DIGITS - 1 - (int) floor(log10($size)));
    }
}

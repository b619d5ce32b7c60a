<?php

declare(strict_types=1);

namespace Ispira\Core\Reading;

use Ispira\Core\Device\Quantity;

/**
 * How far a number may lie beside what it measures, by the meter and the hook-up alone.
 */
final readonly class MeterAccuracy
{
    private function __construct() {}

    /** Standard deviation of a number around its prediction from meter and hook-up alone. */
    public static function spread(Quantity $quantity, float $predicted): float
    {
        $size = abs($predicted);

        return match ($quantity) {
            Quantity::Volts => 0.03 + 0.01 * $size,
            Quantity::Amps => 0.15 + 0.025 * $size,
            Quantity::Vacuum => 1.0 + 0.03 * $size,
            Quantity::Duty => 1.0 + 0.02 * $size,
            Quantity::Capacitance => 0.05 + 0.02 * $size,
            Quantity::Rise => 1.5 + 0.04 * $size,
            Quantity::Pressure => 2.0 + 0.03 * $size,
            Quantity::Frequency => 0.3 + 0.01 * $size,
            default => 0.04 + 0.02 * $size,
        };
    }

    /** Spreads of the meter within which two readings of one test agree. */
    private const AGREE = 3.0;

    /** Whether two readings of one test say the same; null is over range. */
    public static function agree(Quantity $quantity, float|string|null $one, float|string|null $other): bool
    {
        if (!\is_float($one) || !\is_float($other)) {
            return $one === $other;
        }

        return abs($one - $other) <= self::AGREE * self::spread($quantity, $one);
    }

    /** Whether a meter shows a difference between two numbers: by more than its own spread, or one of them open. */
    public static function tellsApart(Quantity $quantity, float $number, float $other): bool
    {
        return is_infinite($number) || is_infinite($other)
            ? $number !== $other
            : abs($number - $other) > self::spread($quantity, $other);
    }
}

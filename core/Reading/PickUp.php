<?php

declare(strict_types=1);

namespace Ispira\Core\Reading;

use Ispira\Core\Device\Quantity;

/**
 * What a meter shows between two places that nothing feeds, where live wires of alternating current run beside them.
 *
 * Nobody reads 0.00 V there: tenths of a volt are as good as nothing. Where current is driven, however little of it,
 * the wires are no aerial.
 */
final class PickUp
{
    /** Standard deviation of what is picked up, in V; and the share of dead places where it is nothing at all. */
    public const VOLTS = 0.5;
    private const NOTHING = 0.5;

    /**
     * Under which nothing drives a current at all, in V: a good contact that carries any loses more. And under which a
     * place counts as dead that is live in a sound machine, from so many V.
     */
    private const DEAD_UNDER = 2e-4;
    private const CUT_OFF_UNDER = 0.05;
    private const LIVE_FROM = 1.0;

    /** Deviations beyond which nothing is picked up. */
    private const AT_MOST = 5.0;

    /** Area under one half of a normal curve of deviation 1 and height 1. */
    private const HALF = 1.2533141373155;

    private function __construct() {}

    /** Whether what was read may have been picked up at all. */
    public static function mayBe(float $volts): bool
    {
        return abs($volts) < self::AT_MOST * self::VOLTS;
    }

    /**
     * Whether a place that should show so much may pick something up.
     *
     * @param \Closure(): float $sound what it shows with nothing wrong, in V; asked only where it matters
     */
    public static function mayBeAt(Quantity $quantity, float $volts, \Closure $sound): bool
    {
        $off = abs($volts);

        return $quantity === Quantity::Volts &&
            ($off < self::DEAD_UNDER || ($off < self::CUT_OFF_UNDER && abs($sound()) > self::LIVE_FROM));
    }

    /**
     * What is picked up at a dead place.
     *
     * @param float $nothing from 0 to 1, by chance
     * @param float $normal  by chance, of deviation 1
     */
    public static function drawn(float $nothing, float $normal): float
    {
        return $nothing < self::NOTHING ? 0.0 : self::VOLTS * abs($normal);
    }

    /**
     * Density of a reading at a dead place, for each V.
     *
     * @param float $ofMeter density by the meter alone, for each V
     */
    public static function density(float $volts, float $ofMeter): float
    {
        $z = $volts / self::VOLTS;

        return self::NOTHING * $ofMeter + ((1.0 - self::NOTHING) * exp(-0.5 * $z * $z)) / (self::VOLTS * self::HALF);
    }
}

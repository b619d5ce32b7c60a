<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

/**
 * How the way to the place of rest is put into one number.
 *
 * Under {@see NEVER_STOPS} it is the speed on the way over the right one (zero: it stays where
 * it is); from there on the shaft does not stop at rest; from {@see OVERRUNS} on nothing
 * brakes it there.
 */
final class Parking
{
    public const NEVER_STOPS = 10.0;
    public const OVERRUNS = 20.0;

    /** Share of the right braking under which the shaft coasts past. */
    private const BRAKES_FROM = 0.28;

    /** Share of the right speed, or of its own on the way, under which it stands. */
    public const STANDS_UNDER = 0.03;

    private function __construct() {}

    /**
     * @param float $way      speed on the way to rest, over the right one
     * @param float $atRest   speed at rest, over the right speed on the way
     * @param float $braking  electric braking at rest
     * @param float $sound    the same when nothing is wrong; zero when friction alone stops it
     */
    public static function code(float $way, float $atRest, float $braking, float $sound): float
    {
        if (is_nan($way) || is_nan($atRest)) {
            return \NAN;
        }
        $way = min(abs($way), 0.9 * self::NEVER_STOPS);

        return match (true) {
            $way < self::STANDS_UNDER => 0.0,
            abs($atRest) > self::STANDS_UNDER => self::NEVER_STOPS + $way,
            $braking < self::BRAKES_FROM * $sound => self::OVERRUNS + $way,
            default => $way,
        };
    }
}

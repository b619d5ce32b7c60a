<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

/**
 * The logarithm of the gamma function for positive numbers: Stirling's series after it was moved up to ten, where its
 * first terms are exact to nine digits (Abramowitz and Stegun 1964, 6.1.41).
 */
final class LogGamma
{
    private const MOVED_TO = 10.0;

    private function __construct() {}

    public static function of(float $x): float
    {
        $below = 0.0;
        while ($x < self::MOVED_TO) {
            $below += log($x);
            $x += 1.0;
        }

        return ($x - 0.5) * log($x) -
            $x +
            0.5 * log(2.0 * \M_PI) +
            1.0 / (12.0 * $x) -
            1.0 / (360.0 * $x ** 3) +
            1.0 / (1260.0 * $x ** 5) -
            $below;
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\Quantity;

/**
 * The scale on which a quantity is predicted: logarithmic for what is large, linear near zero.
 *
 * Unknown values multiply in a circuit, so that a prediction is spread evenly in its logarithm; a meter near zero errs
 * by digits. u = asinh(x / 2e) behaves as ln(x / e) far above e and as x / 2e below, and takes either sign.
 */
final readonly class ReadingScale
{
    private function __construct() {}

    /** @param float $reading in the base unit of the quantity */
    public static function to(Quantity $quantity, float $reading): float
    {
        return asinh($reading / (2.0 * self::floor($quantity)));
    }

    /** The inverse of {@see to()}. */
    public static function from(Quantity $quantity, float $place): float
    {
        return 2.0 * self::floor($quantity) * sinh(max(-40.0, min(40.0, $place)));
    }

    /** Change of the place on the scale for a unit of the quantity. */
    public static function slope(Quantity $quantity, float $reading): float
    {
        return 1.0 / hypot($reading, 2.0 * self::floor($quantity));
    }

    /** Under which a quantity counts as near zero, in its base unit. */
    private static function floor(Quantity $quantity): float
    {
        return match ($quantity) {
            Quantity::Ohms => 0.03,
            Quantity::Amps => 0.2,
            Quantity::Duty => 20.0,
            Quantity::Rise, Quantity::Pressure => 3.0,
            Quantity::Vacuum => 1.0,
            Quantity::Capacitance => 0.2,
            Quantity::Frequency => 1.0,
            default => 0.02,
        };
    }
}

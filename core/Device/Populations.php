<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * How much sound machines differ when nothing about them is typed: one table for all families, in populations.json.
 *
 * Nineteen of twenty machines lie between two numbers of the table. They are engineers' estimates, not measurements.
 */
final readonly class Populations
{
    private function __construct() {}

    /**
     * @param string $section of the table: sound conductors in Ω, bad ones in Ω, values of machines, drifts and growths
     *
     * @return array{0: float, 1: float}
     */
    public static function between(string $section, string $what): array
    {
        return self::table()[$section][$what] ??
            throw new \LogicException("No population \"$what\" under \"$section\".");
    }

    /** Spread evenly in the logarithm. @param float $scale factor on both ends, against the table's own circuit */
    public static function unknown(string $name, string $what, float $scale = 1.0): Unknown
    {
        [$low, $high] = self::between('values', $what);

        return Unknown::within($name, $low * $scale, $high * $scale);
    }

    /** Spread evenly as it is: voltages, shares. */
    public static function level(string $name, string $what, float $scale = 1.0): Unknown
    {
        [$low, $high] = self::between('values', $what);

        return Unknown::between($name, $low * $scale, $high * $scale);
    }

    /** @return array<string, array<string, array{0: float, 1: float}>> */
    private static function table(): array
    {
        static $read = null;
        if ($read === null) {
            $read = json_decode((string) file_get_contents(__DIR__ . '/populations.json'), true);
        }

        /** @var array<string, array<string, array{0: float, 1: float}>> $read */
        return $read;
    }
}

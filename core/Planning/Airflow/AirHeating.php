<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\Airflow;

/**
 * Temperature rise of air: ΔT = P/(ρ·cp·Q).
 *
 * The density at sea level makes 1.08 BTU/h for each CFM and °F: 60 min × 0.075 lb/ft³ × 0.24 BTU/lb°F.
 */
final class AirHeating
{
    /** ρ·cp of air at sea level in J/m³K: 1.08 BTU/h for each CFM and °F. */
    public const HEAT_CAPACITY = 1207.3;

    private function __construct() {}

    /**
     * Density of room air at an altitude over that at sea level: the pressure of the standard atmosphere (ISO 2533).
     *
     * @param float $metres 0 to 5000
     */
    public static function densityRatio(float $metres): float
    {
        return (1.0 - 2.25577e-5 * $metres) ** 5.25588;
    }

    /**
     * @param float $watts   given to the air
     * @param float $flow    m³/s, above zero
     * @param float $density over that at sea level
     *
     * @return float K
     */
    public static function rise(float $watts, float $flow, float $density = 1.0): float
    {
        return $watts / (self::HEAT_CAPACITY * $density * $flow);
    }
}

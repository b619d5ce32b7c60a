<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * A capacitor on alternating current, with what leaks through it.
 */
final readonly class Capacitor
{
    /** Leak in Ω under which a capacitance meter shows a short instead of a value. */
    private const SHORTED_BELOW = 1e4;

    private function __construct() {}

    /**
     * @param float $hertz line frequency
     *
     * @return array{0: float, 1: float} resistance and reactance in Ω
     */
    public static function impedance(float $microfarads, float $leakOhms, float $hertz): array
    {
        $conductance = 1.0 / $leakOhms;
        $susceptance = 2e-6 * \M_PI * $hertz * $microfarads;
        $size = $conductance * $conductance + $susceptance * $susceptance;

        return [$conductance / $size, -$susceptance / $size];
    }

    /** What a capacitance meter shows across it, in µF; INF when it finds a short. */
    public static function shows(float $microfarads, float $leakOhms, float $seriesOhms): float
    {
        return match (true) {
            $seriesOhms >= CircuitSolver::OPEN_FROM_OHMS => 0.0,
            $leakOhms < self::SHORTED_BELOW => \INF,
            default => $microfarads,
        };
    }
}

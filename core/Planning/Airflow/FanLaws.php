<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\Airflow;

/**
 * How a fan's figures follow its speed in the same system (affinity laws): Q ∝ n, Δp ∝ n², P ∝ n³.
 */
final class FanLaws
{
    private function __construct() {}

    /**
     * @param float $ratio new speed over old, above zero
     *
     * @return array{flow: float, pressure: float, power: float}
     */
    public static function atSpeed(float $flow, float $pressure, float $power, float $ratio): array
    {
        return ['flow' => $flow * $ratio, 'pressure' => $pressure * $ratio ** 2, 'power' => $power * $ratio ** 3];
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\Airflow;

/**
 * Airflow of a blower on one tap against external static pressure, straight between the maker's points.
 */
final readonly class TapCurve
{
    /** @param non-empty-list<array{0: float, 1: float}> $points static pressure in Pa and airflow in m³/s, by rising pressure and falling airflow */
    public function __construct(public string $tap, public array $points) {}

    /** Airflow at a static pressure; null outside the table. */
    public function flowAt(float $pressure): ?float
    {
        $before = null;
        foreach ($this->points as $point) {
            if ($pressure <= $point[0]) {
                if ($before === null) {
                    return $pressure < $point[0] ? null : $point[1];
                }

                return $before[1] + (($point[1] - $before[1]) * ($pressure - $before[0])) / ($point[0] - $before[0]);
            }
            $before = $point;
        }

        return null;
    }

    /**
     * Where the curve meets that of a system: Δp = k·Q².
     *
     * On each straight piece Q = a + b·Δp, which with the system's curve gives a quadratic in Q.
     *
     * @param float $k in Pa·s²/m⁶, above zero
     *
     * @return array{flow: float, pressure: float}|null null when they do not cross inside the table
     */
    public function crossing(float $k): ?array
    {
        foreach ($this->points as $number => [$pressure, $flow]) {
            $next = $this->points[$number + 1] ?? null;
            if ($next === null) {
                return null;
            }
            $slope = ($next[1] - $flow) / ($next[0] - $pressure);
            // Q = flow + slope·(k·Q² − pressure), with a slope that is not above zero.
            $constant = $flow - $slope * $pressure;
            $crossed =
                $slope === 0.0 ? $constant : (2.0 * $constant) / (1.0 + sqrt(1.0 - 4.0 * $slope * $k * $constant));
            $at = $k * $crossed ** 2;
            if ($at >= $pressure - 1e-9 && $at <= $next[0] + 1e-9) {
                return ['flow' => $crossed, 'pressure' => $at];
            }
        }

        return null;
    }
}

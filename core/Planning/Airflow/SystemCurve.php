<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\Airflow;

/**
 * What ducts, coil and filter hold against the air: Δp = k·Q².
 */
final readonly class SystemCurve
{
    /** @param float $k in Pa·s²/m⁶, above zero */
    private function __construct(public float $k) {}

    /**
     * From an operating point.
     *
     * @param float $pressure total external static: supply and return together, in Pa
     * @param float $flow     in m³/s, above zero
     */
    public static function through(float $pressure, float $flow): self
    {
        return new self($pressure / $flow ** 2);
    }

    /**
     * With another filter in place.
     *
     * @param float $more Pa that the new one takes above the old one, at `$flow`
     *
     * @return self|null null when more would be taken away than the system holds
     */
    public function withFilter(float $more, float $flow): ?self
    {
        $k = $this->k + $more / $flow ** 2;

        return $k > 0.0 ? new self($k) : null;
    }

    public function pressureAt(float $flow): float
    {
        return $this->k * $flow ** 2;
    }
}

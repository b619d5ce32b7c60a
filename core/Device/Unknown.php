<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * A value of the circuit that is known only within a spread.
 */
final readonly class Unknown
{
    private function __construct(
        public string $name,
        private float $centre,
        private float $spread,
        private bool $logarithmic,
    ) {}

    /** Normal with a mean and a standard deviation. */
    public static function normal(string $name, float $mean, float $deviation): self
    {
        return new self($name, $mean, $deviation, false);
    }

    /** Log-normal: the median, and the standard deviation of the natural logarithm. */
    public static function factor(string $name, float $median, float $deviation): self
    {
        return new self($name, $median, $deviation, true);
    }

    /** @param float $z standard normal deviate */
    public function at(float $z): float
    {
        return $this->logarithmic ? $this->centre * exp($this->spread * $z) : $this->centre + $this->spread * $z;
    }
}

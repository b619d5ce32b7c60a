<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * A value of the circuit that is known only within a spread.
 */
final readonly class Unknown
{
    /** Standard deviations on either side between which nineteen of twenty lie. */
    public const NINETEEN_OF_TWENTY = 1.96;

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

    /** Log-normal: the two values between which nineteen of twenty lie, both above zero. */
    public static function within(string $name, float $low, float $high): self
    {
        return self::factor($name, sqrt($low * $high), log($high / $low) / (2.0 * self::NINETEEN_OF_TWENTY));
    }

    /** Normal: the two values between which nineteen of twenty lie. */
    public static function between(string $name, float $low, float $high): self
    {
        return self::normal($name, 0.5 * ($low + $high), ($high - $low) / (2.0 * self::NINETEEN_OF_TWENTY));
    }

    /** @param float $z standard normal deviate */
    public function at(float $z): float
    {
        return $this->logarithmic ? $this->centre * exp($this->spread * $z) : $this->centre + $this->spread * $z;
    }
}

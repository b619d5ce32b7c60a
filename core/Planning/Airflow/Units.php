<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\Airflow;

/**
 * The two systems in which the trade gives airflow, pressure, heat and temperature.
 */
enum Units: string
{
    case Metric = 'metric';
    case Us = 'us';

    public function pascals(): float
    {
        return $this === self::Us ? 249.089 : 1.0;
    }

    public function cubicMetresPerSecond(): float
    {
        return $this === self::Us ? 0.3048 ** 3 / 60.0 : 1.0 / 3600.0;
    }

    public function watts(): float
    {
        return $this === self::Us ? 0.29307107 : 1000.0;
    }

    public function kelvin(): float
    {
        return $this === self::Us ? 1.0 / 1.8 : 1.0;
    }

    public function metres(): float
    {
        return $this === self::Us ? 0.3048 : 1.0;
    }

    public function pressure(float $pascals): string
    {
        return $this === self::Us
            ? number_format($pascals / $this->pascals(), 2) . ' in w.c.'
            : number_format($pascals) . ' Pa';
    }

    public function flow(float $cubicMetresPerSecond): string
    {
        return number_format($cubicMetresPerSecond / $this->cubicMetresPerSecond()) . ' ' . $this->flowUnit();
    }

    public function flowUnit(): string
    {
        return $this === self::Us ? 'CFM' : 'm³/h';
    }

    public function rise(float $kelvin): string
    {
        return number_format($kelvin / $this->kelvin(), 1) . ' ' . ($this === self::Us ? '°F' : 'K');
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * A quantity at a place: two nodes, an element, a motor, or a thing to look at.
 */
final readonly class Probe
{
    /**
     * @param string $scale parameter that multiplies what it shows in full: machines differ; none when empty
     * @param string $level node whose voltage is the full one, where machines differ in it; none when empty
     * @param bool   $electronics whether resistance is measured through semiconductors, which many meters do not open
     */
    private function __construct(
        public Quantity $quantity,
        public string $at,
        public string $against = '',
        public float $full = 1.0,
        public float $atSpeed = 1.0,
        public string $mover = '',
        public float $pullUp = 1.0,
        public string $scale = '',
        public string $level = '',
        public bool $electronics = false,
    ) {}

    /** Red lead on `$plus`, black lead on `$minus`. */
    public static function volts(string $plus, string $minus): self
    {
        return new self(Quantity::Volts, $plus, $minus);
    }

    /** Gauge at `$at`, against the air outside. */
    public static function vacuum(string $at, string $outside): self
    {
        return new self(Quantity::Vacuum, $at, $outside);
    }

    /** Clamp round the lead of an element, positive from its first node to its second. */
    public static function amps(string $element): self
    {
        return new self(Quantity::Amps, $element);
    }

    public static function ohms(string $a, string $b): self
    {
        return new self(Quantity::Ohms, $a, $b);
    }

    /** Through electronics at rest: kilohms, or over range where the meter's volts do not open a semiconductor. */
    public static function ohmsOfElectronics(string $a, string $b): self
    {
        return new self(Quantity::Ohms, $a, $b, electronics: true);
    }

    public static function capacitance(string $capacitor): self
    {
        return new self(Quantity::Capacitance, $capacitor);
    }

    /**
     * Rise of the air's temperature at a steady heat: the less air, the more.
     *
     * @param string $mover   induction or electronic motor whose fan moves the air
     * @param float  $kelvin  at `$atSpeed` rad/s with the right air
     */
    public static function rise(string $mover, float $kelvin, float $atSpeed, string $scale = ''): self
    {
        return new self(Quantity::Rise, $mover, '', $kelvin, $atSpeed, $mover, scale: $scale);
    }

    /** @param float $pascals at `$atSpeed` rad/s with the right air */
    public static function pressure(string $mover, float $pascals, float $atSpeed, string $scale = ''): self
    {
        return new self(Quantity::Pressure, $mover, '', $pascals, $atSpeed, $mover, scale: $scale);
    }

    /**
     * Pulses of a turning shaft on an open collector: there only while its mean lies between the pull-up and ground.
     *
     * @param float $hertz   at `$atSpeed` rad/s
     * @param float $pullUp  V
     */
    public static function frequency(
        string $mover,
        float $hertz,
        float $atSpeed,
        string $plus,
        string $minus,
        float $pullUp,
        string $scale = '',
        string $level = '',
    ): self {
        return new self(Quantity::Frequency, $plus, $minus, $hertz, $atSpeed, $mover, $pullUp, $scale, $level);
    }

    /** @param string $mover a motor or a contactor */
    public static function speed(string $mover): self
    {
        return new self(Quantity::Speed, $mover);
    }

    /**
     * Share of the time for which a pulsed signal is high.
     *
     * @param float $fullVolts between the nodes while it is high
     */
    public static function duty(string $plus, string $minus, float $fullVolts, string $level = ''): self
    {
        return new self(Quantity::Duty, $plus, $minus, $fullVolts, level: $level);
    }

    /**
     * How bright a lamp burns.
     *
     * @param float $fullVolts at which it is at its brightest
     */
    public static function lamp(string $element, float $fullVolts): self
    {
        return new self(Quantity::Lamp, $element, '', $fullVolts);
    }

    public static function observation(string $key): self
    {
        return new self(Quantity::Observation, $key);
    }

    public function key(): string
    {
        return $this->quantity->value . ':' . $this->at . ($this->against === '' ? '' : ',' . $this->against);
    }
}

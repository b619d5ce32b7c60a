<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\BenchSupply;

/**
 * A bridge rectifier with a reservoir capacitor, in the steady state.
 */
final readonly class Rectifier
{
    private const HALVINGS = 60;

    /**
     * @param float $volts      effective value of the alternating voltage
     * @param float $hertz      of it
     * @param float $diodeVolts of one diode
     * @param float $farads     of the reservoir
     */
    public function __construct(
        public float $volts,
        private float $hertz,
        private float $diodeVolts,
        private float $farads,
    ) {}

    /** Highest voltage on the reservoir: √2·Vrms − 2·Vd. */
    public function peak(): float
    {
        return M_SQRT2 * $this->volts - 2.0 * $this->diodeVolts;
    }

    /**
     * Peak-to-peak ripple with a constant current, in V.
     *
     * From each peak the reservoir falls by I·t/C until it meets the next half wave: Vp − I·t/C = Vp·|cos(2πft)|.
     * The rule of thumb I/(2·f·C) takes the whole half period and so reads high.
     */
    public function ripple(float $amps): float
    {
        $peak = $this->peak();
        if ($amps <= 0.0 || $peak <= 0.0) {
            return 0.0;
        }
        $half = 0.5 / $this->hertz;
        [$low, $high] = [0.5 * $half, $half];
        $above = fn(float $time): bool => $peak - ($amps * $time) / $this->farads >
            -$peak * cos(2.0 * M_PI * $this->hertz * $time);
        if (!$above($low)) {
            return $peak;
        }
        for ($halving = 0; $halving < self::HALVINGS; ++$halving) {
            $middle = 0.5 * ($low + $high);
            [$low, $high] = $above($middle) ? [$middle, $high] : [$low, $middle];
        }

        return ($amps * $low) / $this->farads;
    }

    /** The rule of thumb for the same, I/(2·f·C). */
    public function ripplePerHalfWave(float $amps): float
    {
        return $amps / (2.0 * $this->hertz * $this->farads);
    }

    /**
     * Seconds in which a bleeder brings the reservoir down from its peak: R·C·ln(V0/V).
     *
     * @param float $ohms  of the bleeder
     * @param float $volts to which it falls, above zero
     */
    public function bleeds(float $ohms, float $volts): float
    {
        return $this->peak() > $volts ? $ohms * $this->farads * log($this->peak() / $volts) : 0.0;
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\BenchSupply;

/**
 * The speed command: supply – fixed resistor – potentiometer – common, with the motor's input on the wiper.
 */
final readonly class CommandDivider
{
    public function __construct(
        private float $volts,
        private float $fixedOhms,
        private float $potOhms,
        private float $loadOhms,
    ) {}

    /** @param float $share of the way of the wiper from its lower stop, 0 to 1. @return float V at the wiper */
    public function at(float $share): float
    {
        $lower = $this->potOhms * $share;
        $loaded = $lower <= 0.0 ? 0.0 : 1.0 / (1.0 / $lower + 1.0 / $this->loadOhms);

        return ($this->volts * $loaded) / ($this->fixedOhms + $this->potOhms * (1.0 - $share) + $loaded);
    }

    /**
     * The top of the way at its worst: supply and potentiometer high, fixed resistor low.
     *
     * @param float $pot   tolerance of the potentiometer as a share
     * @param float $fixed tolerance of the resistor as a share
     */
    public function worst(float $highVolts, float $pot, float $fixed): float
    {
        return (new self(
            $highVolts,
            $this->fixedOhms * (1.0 - $fixed),
            $this->potOhms * (1.0 + $pot),
            $this->loadOhms,
        ))->at(1.0);
    }
}

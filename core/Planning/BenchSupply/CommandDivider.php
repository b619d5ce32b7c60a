<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\BenchSupply;

/**
 * The speed command: supply – resistor or trimmer – potentiometer – common; from the wiper over a resistor in series to
 * the motor's input.
 */
final readonly class CommandDivider
{
    public function __construct(
        private float $volts,
        private float $fixedOhms,
        private float $potOhms,
        private float $loadOhms,
        private float $seriesOhms = 0.0,
    ) {}

    /** @param float $share of the way of the wiper from its lower stop, 0 to 1. @return float V at the motor's input */
    public function at(float $share): float
    {
        $lower = $this->potOhms * $share;
        $load = $this->seriesOhms + $this->loadOhms;
        $loaded = $lower <= 0.0 ? 0.0 : 1.0 / (1.0 / $lower + 1.0 / $load);
        $wiper = ($this->volts * $loaded) / ($this->fixedOhms + $this->potOhms * (1.0 - $share) + $loaded);

        return ($wiper * $this->loadOhms) / $load;
    }

    /**
     * The top of the way in a corner: the highest with the supply and the potentiometer high and the resistors low.
     *
     * @param float $pot   by how much the potentiometer is off, as a share
     * @param float $fixed by how much the resistors are off
     */
    public function corner(float $volts, float $pot, float $fixed): float
    {
        return (new self(
            $volts,
            $this->fixedOhms * (1.0 + $fixed),
            $this->potOhms * (1.0 + $pot),
            $this->loadOhms,
            $this->seriesOhms * (1.0 + $fixed),
        ))->at(1.0);
    }
}

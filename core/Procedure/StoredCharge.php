<?php

declare(strict_types=1);

namespace Ispira\Core\Procedure;

/**
 * A capacitor that empties through a resistance.
 */
final readonly class StoredCharge
{
    public const FORMULA = 'stored-charge';

    /**
     * Voltage in V to which it is left to fall before anything is touched: half of the 60 V that direct current may
     * have where it can be touched.
     */
    private const SAFE_VOLTS = 30.0;

    /** Twice the computed time: capacitors and bleeders stray. */
    private const MARGIN = 2.0;

    /**
     * @param float $microfarads above 0
     * @param float $ohms        of its bleeder, above 0
     * @param float $volts       to which it is charged
     */
    public function __construct(private float $microfarads, private float $ohms, private float $volts)
    {
        if ($microfarads <= 0.0 || $ohms <= 0.0 || $volts <= 0.0) {
            throw new \InvalidArgumentException('Capacitance, resistance and voltage must be above zero.');
        }
    }

    /** t = R·C·ln(V/V safe), with its margin, in s. */
    public function seconds(): float
    {
        return $this->volts <= self::SAFE_VOLTS
            ? 0.0
            : self::MARGIN * $this->ohms * $this->microfarads * 1e-6 * log($this->volts / self::SAFE_VOLTS);
    }
}

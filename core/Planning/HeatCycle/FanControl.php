<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\HeatCycle;

/**
 * When the fan runs: so long after a call begins, and so long after it ends.
 */
final readonly class FanControl
{
    /**
     * @param float $startDelay s after the call (and the burner) begins
     * @param float $runOn      s after the call ends
     */
    public function __construct(public float $startDelay, public float $runOn) {}

    /** A relay on the call: the fan starts and stops with the burner. */
    public static function plainRelay(): self
    {
        return new self(0.0, 0.0);
    }
}

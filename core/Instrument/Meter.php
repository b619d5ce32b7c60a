<?php

declare(strict_types=1);

namespace Ispira\Core\Instrument;

/**
 * A meter that answers by itself: over the network, or simulated.
 */
interface Meter
{
    /** Who it says it is, in one line. @throws MeterTrouble */
    public function identity(): string;

    /**
     * Sets function and range, and reads a few times.
     *
     * @param float $range in the SI unit of the function, the largest value that it must show; 0 lets the meter choose
     *
     * @return non-empty-list<float|null> in the base unit of the test's quantity, null for over-range
     *
     * @throws MeterTrouble
     */
    public function read(MeterFunction $function, float $range, int $times): array;
}

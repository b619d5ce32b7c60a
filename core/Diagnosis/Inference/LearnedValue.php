<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Unknown;

/**
 * A value of one machine as far as it is known.
 */
final readonly class LearnedValue
{
    /**
     * @param float $mean     on the scale of the quantity
     */
    public function __construct(public Quantity $quantity, private float $mean, public float $variance) {}

    /** In the base unit. */
    public function middle(): float
    {
        return ReadingScale::from($this->quantity, $this->mean);
    }

    public function low(): float
    {
        return ReadingScale::from($this->quantity, $this->mean - Unknown::NINETEEN_OF_TWENTY * sqrt($this->variance));
    }

    public function high(): float
    {
        return ReadingScale::from($this->quantity, $this->mean + Unknown::NINETEEN_OF_TWENTY * sqrt($this->variance));
    }
}

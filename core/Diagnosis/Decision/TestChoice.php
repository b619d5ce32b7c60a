<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Decision;

use Ispira\Core\Device\Test;

/**
 * One test with what it is worth at this moment.
 */
final readonly class TestChoice
{
    /**
     * @param float $saves       expected fall of the money wasted, test not paid
     * @param float $cost        of doing it, access included
     * @param float $minutes     access included
     * @param float $information expected fall of the entropy over remedies, in bits
     * @param bool  $makesSure   whether a verdict asks for it, whatever it is worth as the odds stand
     */
    public function __construct(
        public Test $test,
        public float $saves,
        public float $cost,
        public float $minutes,
        public float $information,
        public bool $makesSure = false,
    ) {}

    public function gain(): float
    {
        return $this->saves - $this->cost;
    }

    /** Bits a minute; what takes next to no time counts as six seconds. */
    public function telling(): float
    {
        return $this->information / max(0.1, $this->minutes);
    }
}

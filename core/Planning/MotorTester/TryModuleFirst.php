<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\MotorTester;

/**
 * Two ways when a motor passes all tests but its module cannot be tested: buy a tester, or fit a module and see.
 */
final readonly class TryModuleFirst
{
    /**
     * @param float $chance      that the module is at fault, 0 to 1
     * @param float $wrongModule money lost with a module that was not the fault: price not taken back, labour,
     *     come-back
     * @param float $tester      price of the tester
     * @param float $testing     money for the minutes of one test
     */
    public function __construct(
        private float $chance,
        private float $wrongModule,
        private float $tester,
        private float $testing,
    ) {}

    /** Expected loss of a job without a tester. */
    public function lossWithout(): float
    {
        return (1.0 - $this->chance) * $this->wrongModule;
    }

    /** Expected cost of so many jobs with a tester. */
    public function costWith(float $jobs): float
    {
        return $this->tester + $jobs * $this->testing;
    }

    public function costWithout(float $jobs): float
    {
        return $jobs * $this->lossWithout();
    }

    /** Jobs from which the tester pays; null when it never does, because a test costs as much as the risk. */
    public function breakEven(): ?float
    {
        $gain = $this->lossWithout() - $this->testing;

        return $gain > 0.0 ? $this->tester / $gain : null;
    }

    /** Chance of the module at which both cost the same over so many jobs; null when the tester never pays. */
    public function breakEvenChance(float $jobs): ?float
    {
        $chance = 1.0 - ($this->tester / $jobs + $this->testing) / $this->wrongModule;

        return $chance > 0.0 ? $chance : null;
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Decision;

use Ispira\Core\Device\Part;
use Ispira\Core\Device\Test;

/**
 * The money and means of a workshop, on which the worth of a test depends.
 */
final readonly class DecisionSettings
{
    /** What an hour weighs at least where it is decided what to do next, in the workshop's currency. */
    private const LEAST_PER_HOUR = 1.0;

    /**
     * @param float $labourPerHour  in the workshop's currency, 0 where nobody is paid
     * @param float $comeBackHours  labour that a wrong part costs beyond its own fitting: second visit, return, trust
     * @param list<string> $missingTools keys of the tools that are not at hand
     * @param array<string, float> $prices part prices that differ from the ordinary ones
     * @param list<string> $leftOut keys of tests that cannot be done on this job
     * @param Terms $terms what tests and parts take here
     */
    public function __construct(
        public float $labourPerHour = 75.0,
        public float $comeBackHours = 1.5,
        public array $missingTools = [],
        public array $prices = [],
        public array $leftOut = [],
        public Terms $terms = new Terms(),
    ) {}

    public function allows(Test $test): bool
    {
        return array_intersect($test->tools, $this->missingTools) === [] &&
            !\in_array($test->key, $this->leftOut, true);
    }

    /** Purchase price of a part. */
    public function price(Part $part): float
    {
        return $this->prices[$part->key] ?? ($this->terms->prices[$part->key] ?? $part->price);
    }

    public function comeBack(): float
    {
        return $this->labourPerHour * $this->comeBackHours;
    }

    /** What is charged for a time. */
    public function labour(float $minutes): float
    {
        return ($minutes * $this->labourPerHour) / 60.0;
    }

    /** What a time weighs in a decision: with nothing at all, no test would be too long. */
    public function effort(float $minutes): float
    {
        return ($minutes * max(self::LEAST_PER_HOUR, $this->labourPerHour)) / 60.0;
    }
}

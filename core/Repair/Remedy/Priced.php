<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Remedy;

use Ispira\Core\Device\OfferedRemedy;

/**
 * An option with what it costs here and how likely it cures this job.
 */
final readonly class Priced
{
    /**
     * @param list<string> $cures    suspects it cures: "remedy|fault"
     * @param float        $fixes    chance that it cures this job
     * @param float        $labour   money
     * @param float        $standing money lost while the machine waits for it
     * @param float        $comeBack expected money of its coming back within a year
     * @param float        $expected price, labour, standing and coming back
     */
    public function __construct(
        public OfferedRemedy $offer,
        public array $cures,
        public float $fixes,
        public float $labour,
        public float $standing,
        public float $comeBack,
        public float $expected,
    ) {}

    public function perYear(): float
    {
        return $this->expected / max(0.1, $this->offer->lifeYears);
    }

    /** Whether it can be ordered, or is here. */
    public function canBeHad(): bool
    {
        return $this->offer->leadDays !== null;
    }
}

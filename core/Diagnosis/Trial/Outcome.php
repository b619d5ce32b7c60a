<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

/**
 * How one simulated job went.
 */
final readonly class Outcome
{
    /**
     * @param bool  $right        the first verdict named the right remedy
     * @param bool  $settled      the engine gave a verdict at all
     * @param float $probability  stated for the first verdict
     * @param float $avoidable    money spent beyond the right repair
     */
    public function __construct(
        public bool $right,
        public bool $settled,
        public float $probability,
        public int $tests,
        public float $minutes,
        public float $avoidable,
        public string $verdict,
    ) {}
}

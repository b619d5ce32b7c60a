<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation\Shown;

/**
 * A reading, or the map, that speaks for or against a suspect.
 */
final readonly class ReasonShown
{
    /**
     * @param list<string> $readings
     * @param 'for'|'against' $speaks
     * @param float $weight natural logarithm of what it does to the odds
     */
    public function __construct(
        public array $readings,
        public string $speaks,
        public float $weight,
        public string $sentence,
    ) {}
}

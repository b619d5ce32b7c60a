<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation\Shown;

/**
 * A range of readings, or an answer, and what it would mean.
 */
final readonly class OutcomeShown
{
    /**
     * @param string|null $value the answer; null for a number
     * @param list<MeaningShown> $remedies
     */
    public function __construct(
        public ?string $value,
        public ?float $from,
        public ?float $to,
        public string $label,
        public float $probability,
        public array $remedies,
    ) {}
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation\Shown;

/**
 * Where a suspect sees the reading.
 */
final readonly class MarkShown
{
    /**
     * @param float|null $from null for over range
     */
    public function __construct(
        public string $remedy,
        public string $label,
        public float $probability,
        public ?float $from,
        public ?float $to,
    ) {}
}

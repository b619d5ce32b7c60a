<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation\Shown;

/**
 * What an outcome says about one suspect.
 */
final readonly class MeaningShown
{
    public function __construct(
        public string $remedy,
        public string $label,
        public string $fault,
        public float $probability,
    ) {}
}

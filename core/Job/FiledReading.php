<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

use Ispira\Core\Diagnosis\Reading;

/**
 * A reading with what is kept about it beside its value.
 */
final readonly class FiledReading
{
    public function __construct(
        public Reading $reading,
        public ?string $map,
        public ?string $takenAt,
        public ?string $struckAt,
        public ?string $struckBecause,
    ) {
    }
}

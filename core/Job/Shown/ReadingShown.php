<?php

declare(strict_types=1);

namespace Ispira\Core\Job\Shown;

/**
 * A reading as pages show it.
 */
final readonly class ReadingShown
{
    /**
     * @param list<string> $doubts
     * @param string $by name of the person
     * @param bool $seenBefore seen before the job, on the day of takenAt
     */
    public function __construct(
        public string $id,
        public string $test,
        public string $title,
        public string $value,
        public bool $steady,
        public ?bool $misbehaved,
        public ?string $instrument,
        public ?string $leads,
        public array $doubts,
        public bool $kept,
        public int $episode,
        public ?string $map,
        public bool $struck,
        public ?string $struckBecause,
        public bool $seenBefore,
        public string $takenAt,
        public string $by,
    ) {}
}

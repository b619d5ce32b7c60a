<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation\Shown;

/**
 * What may have to be replaced, with its odds and the reasons for them.
 */
final readonly class SuspectShown
{
    /**
     * @param list<FaultShown> $faults
     * @param list<ReasonShown> $reasons
     * @param list<OriginShown> $origins
     */
    public function __construct(
        public string $remedy,
        public string $label,
        public float $probability,
        public float $cost,
        public array $faults,
        public array $reasons,
        public array $origins,
    ) {}
}

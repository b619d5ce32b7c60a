<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation\Shown;

/**
 * The part to replace.
 */
final readonly class VerdictShown
{
    /**
     * @param bool $final whether no cause is left to look at
     * @param list<CauseShown> $causes
     */
    public function __construct(
        public string $remedy,
        public string $label,
        public float $probability,
        public bool $byElimination,
        public bool $final,
        public array $causes,
    ) {}
}

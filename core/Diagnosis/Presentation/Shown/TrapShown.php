<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation\Shown;

/**
 * A warning of readings that say less or something else than they seem to.
 */
final readonly class TrapShown
{
    /**
     * @param list<string> $readings
     */
    public function __construct(public string $trap, public array $readings, public string $sentence) {}
}

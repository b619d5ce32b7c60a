<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Decision;

/**
 * Readings that nothing known explains together.
 */
final readonly class Misfit
{
    /**
     * @param list<string> $spoiling ids of the readings that do not fit, worst first
     */
    public function __construct(public array $spoiling) {}
}

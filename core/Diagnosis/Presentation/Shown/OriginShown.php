<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation\Shown;

/**
 * Where a fault may have come from.
 */
final readonly class OriginShown
{
    public function __construct(public string $origin, public string $label, public float $share) {}
}

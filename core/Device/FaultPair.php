<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * Two faults that occur together, most often as cause and effect.
 */
final readonly class FaultPair
{
    public function __construct(public string $first, public string $second, public float $prior) {}
}

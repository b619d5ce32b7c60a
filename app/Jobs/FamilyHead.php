<?php

declare(strict_types=1);

namespace App\Jobs;

/**
 * A kind of circuit.
 */
final readonly class FamilyHead
{
    public function __construct(public string $key, public string $name, public string $summary) {}
}

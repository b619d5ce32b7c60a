<?php

declare(strict_types=1);

namespace App\Jobs;

use Ispira\Core\Device\Shown\FieldShown;

/**
 * A kind of circuit, with what its circuit is told by.
 */
final readonly class FamilyChoice
{
    /**
     * @param list<FieldShown> $parameters
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $summary,
        public array $parameters,
    ) {}
}

<?php

declare(strict_types=1);

namespace App\Jobs;

use Ispira\Core\Kernel\Keyed;

/**
 * A circuit that was told with an earlier job.
 */
final readonly class KnownCircuit
{
    /**
     * @param Keyed<mixed> $parameters
     */
    public function __construct(public string $family, public Keyed $parameters) {}
}

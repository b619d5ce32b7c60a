<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

/**
 * What a job waits for.
 */
enum JobStage: string
{
    case Circuit = 'circuit';
    case Bench = 'bench';
    case Proof = 'proof';
    case Closed = 'closed';
}

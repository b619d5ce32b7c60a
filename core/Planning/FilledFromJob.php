<?php

declare(strict_types=1);

namespace Ispira\Core\Planning;

use Ispira\Core\Diagnosis\Inference\CaseFile;

/**
 * A planner that takes what a job knows already, so that nobody types it twice.
 */
interface FilledFromJob extends Planner
{
    /**
     * @param array<string, mixed> $circuit values of the job's circuit, as its family reads them
     *
     * @return array<string, string> by field; what the job does not know is left out
     */
    public function filled(array $circuit, CaseFile $case): array;
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Diagnosis\Decision\Terms;
use Ispira\Core\Job\JobState;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Pages\Shown\MeterName;
use Ispira\Core\Procedure\Procedure;
use Ispira\Core\Repair\Fit\CataloguePart;

/**
 * Where a job is worked on, and by whom: what pages need that does not belong to the job.
 */
interface Workplace
{
    /** Units of the person who looks. */
    public function units(): DisplayUnits;

    /** Money for an hour of labour. */
    public function labourPerHour(): float;

    /** Hours that a come-back costs. */
    public function comeBackHours(): float;

    /** @return list<string> tools that the person has not at hand */
    public function missingTools(): array;

    /** @return list<MeterName> */
    public function meters(): array;

    /** Resistance of the leads, taken off of every resistance. */
    public function leadOhms(): float;

    /** @return list<CataloguePart> the workshop's own catalogue, by number */
    public function parts(): array;

    /** @return array<string, Procedure> by key, by title */
    public function procedures(): array;

    /** @return list<string> what was noted for next time after verdicts that did not hold, the newest first */
    public function lessons(JobState $job): array;

    /** What tests and parts of the job's circuit take here. */
    public function terms(JobState $job): Terms;

    /** Day as YYYY-MM-DD. */
    public function today(): string;
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Away;

use Ispira\Core\Job\JobState;

/**
 * The job after something was done, and where the person is led.
 */
final readonly class Outcome
{
    public const STAY = '';

    /** What only the server can do. */
    public static function waits(JobState $job): self
    {
        return new self($job, self::STAY, 'Kept on this device: it is done when the server is in reach.');
    }

    /**
     * @param string|null $page   of the job, with its question, as in its address: "bench?test=volts@4"; STAY for the one
     *     where the person is; null for where the job stands
     * @param string|null $notice a sentence for the person
     */
    public function __construct(public JobState $job, public ?string $page = null, public ?string $notice = null) {}
}

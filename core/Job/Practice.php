<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

/**
 * What is hidden in the make-believe unit of a job that is done for practice.
 */
final readonly class Practice
{
    /**
     * @param string $fault key of the hidden hypothesis
     * @param int    $seed  of the values of its parts and of what its meter errs by
     */
    public function __construct(public string $fault, public int $seed) {}
}

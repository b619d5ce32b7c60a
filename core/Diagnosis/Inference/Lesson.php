<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Reading\Reading;

/**
 * A reading from which values of the circuit were learned.
 */
final readonly class Lesson
{
    /**
     * @param Hypothesis $state    what the circuit was when it was read
     * @param float      $variance of the instrument and the hook-up
     */
    public function __construct(public Hypothesis $state, public Reading $reading, public float $variance) {}
}

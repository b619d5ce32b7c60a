<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

/**
 * An exercise that a person has done.
 */
final readonly class PastExercise
{
    /** @param float $daysAgo since it was over */
    public function __construct(public string $family, public Rung $rung, public bool $passed, public float $daysAgo) {}
}

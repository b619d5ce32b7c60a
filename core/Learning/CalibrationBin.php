<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

/**
 * Verdicts that were stated with about the same chance.
 */
final readonly class CalibrationBin
{
    /** @param float $stated mean of what they stated */
    public function __construct(public float $from, public float $to, public float $stated, public Share $held) {}
}

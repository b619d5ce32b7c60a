<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Fit;

/**
 * What the comparison of one attribute came to, and what to do about it.
 */
final readonly class FitFinding
{
    public function __construct(public FitAttribute $attribute, public FitVerdict $verdict, public string $how) {}
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

use Ispira\Core\Repair\Fit\FitVerdict;

/**
 * One attribute of an old part against its candidate.
 */
final readonly class FindingShown
{
    public function __construct(public string $key, public FitVerdict $verdict, public string $how) {}
}

<?php

declare(strict_types=1);

namespace App\Repair;

use Ispira\Core\Repair\Fit\FitVerdict;

/**
 * One attribute of an old part against its candidate.
 */
final readonly class FindingShown
{
    public function __construct(public string $key, public FitVerdict $verdict, public string $how) {}
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Quality\Rules;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Quality\QualityRule;
use Ispira\Core\Quality\ReadingInContext;
use Ispira\Core\Reading\MeterAccuracy;

/**
 * More than anything in the circuit can make, with any fault.
 */
final readonly class Impossible implements QualityRule
{
    private const MARGIN = 1.2;
    private const SPREADS = 4.0;

    public function key(): string
    {
        return 'impossible';
    }

    public function doubt(ReadingInContext $context): ?string
    {
        $possible = $context->possible();
        if ($context->quantity() === Quantity::Ohms || $possible === []) {
            return null;
        }
        $most = max(array_map(abs(...), $possible));

        return abs($context->number) >
            self::MARGIN * $most + self::SPREADS * MeterAccuracy::spread($context->quantity(), $most)
            ? Words::general('doubts.impossible', [
                'reading' => $context->written(),
                'most' => $context->written($most),
            ])
            : null;
    }
}

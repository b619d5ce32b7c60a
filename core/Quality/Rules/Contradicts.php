<?php

declare(strict_types=1);

namespace Ispira\Core\Quality\Rules;

use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Quality\QualityRule;
use Ispira\Core\Quality\ReadingInContext;
use Ispira\Core\Reading\MeterAccuracy;

/**
 * The same test showed something else before, with nothing noted that would explain it.
 */
final readonly class Contradicts implements QualityRule
{
    private const SPREADS = 2.0;

    public function key(): string
    {
        return 'contradicts';
    }

    public function doubt(ReadingInContext $context): ?string
    {
        if ($context->reading->misbehaved !== null) {
            return null;
        }
        foreach ($context->sameProbe() as $reading) {
            $spread =
                MeterAccuracy::spread($context->quantity(), $context->number) +
                MeterAccuracy::spread($context->quantity(), (float) $reading->value);
            if (
                $reading->test === $context->reading->test &&
                $reading->misbehaved === null &&
                $reading->supplyVolts === $context->reading->supplyVolts &&
                abs((float) $reading->value - $context->number) > self::SPREADS * $spread
            ) {
                return Words::general('doubts.contradicts', [
                    'reading' => $context->written(),
                    'before' => $context->written((float) $reading->value),
                ]);
            }
        }

        return null;
    }
}

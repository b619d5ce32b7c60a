<?php

declare(strict_types=1);

namespace Ispira\Core\Quality\Rules;

use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Quality\QualityRule;
use Ispira\Core\Quality\ReadingInContext;

/**
 * The decimal point slipped by a place or two: there a sound unit would show it.
 */
final readonly class DecimalPlace implements QualityRule
{
    public function key(): string
    {
        return 'decimal-place';
    }

    public function doubt(ReadingInContext $context): ?string
    {
        if ($context->number === 0.0 || $context->fitsAny($context->number)) {
            return null;
        }
        foreach ([10.0, 0.1, 100.0, 0.01] as $factor) {
            if ($context->fitsSound($context->number * $factor)) {
                return Words::general('doubts.decimal-place', [
                    'reading' => $context->written(),
                    'rather' => $context->written($context->number * $factor),
                ]);
            }
        }

        return null;
    }
}

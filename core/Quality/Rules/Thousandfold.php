<?php

declare(strict_types=1);

namespace Ispira\Core\Quality\Rules;

use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Quality\QualityRule;
use Ispira\Core\Quality\ReadingInContext;

/**
 * A prefix was lost or added: a thousand times more or less is what a sound unit shows.
 */
final readonly class Thousandfold implements QualityRule
{
    public function key(): string
    {
        return 'thousandfold';
    }

    public function doubt(ReadingInContext $context): ?string
    {
        if ($context->number === 0.0 || $context->fitsAny($context->number)) {
            return null;
        }
        foreach ([1e3, 1e-3] as $factor) {
            if ($context->fitsSound($context->number * $factor)) {
                return Words::general('doubts.thousandfold', [
                    'reading' => $context->written(),
                    'rather' => $context->written($context->number * $factor),
                ]);
            }
        }

        return null;
    }
}

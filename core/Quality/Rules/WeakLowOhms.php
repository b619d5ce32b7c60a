<?php

declare(strict_types=1);

namespace Ispira\Core\Quality\Rules;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Quality\QualityRule;
use Ispira\Core\Quality\ReadingInContext;

/**
 * A resistance that is hardly more than that of the leads taken off it.
 */
final readonly class WeakLowOhms implements QualityRule
{
    private const LEADS = 3.0;

    public function key(): string
    {
        return 'weak-low-ohms';
    }

    public function doubt(ReadingInContext $context): ?string
    {
        $leads = $context->reading->leadOhms;

        return $context->quantity() === Quantity::Ohms && $leads > 0.0 && $context->number < self::LEADS * $leads
            ? Words::general('doubts.weak-low-ohms', [
                'reading' => $context->written(),
                'leads' => $context->written($leads),
            ])
            : null;
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Quality\Rules;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Quality\QualityRule;
use Ispira\Core\Quality\ReadingInContext;

/**
 * The sign is the other way round, and with it turned the number fits.
 */
final readonly class Reversed implements QualityRule
{
    public function key(): string
    {
        return 'reversed';
    }

    public function doubt(ReadingInContext $context): ?string
    {
        if (
            $context->circuit->netlist->alternates() ||
            !\in_array($context->quantity(), [Quantity::Volts, Quantity::Amps, Quantity::Vacuum], true)
        ) {
            return null;
        }

        return $context->number < 0.0 && !$context->fitsAny($context->number) && $context->fitsAny(-$context->number)
            ? Words::general($context->quantity() === Quantity::Amps ? 'doubts.reversed-clamp' : 'doubts.reversed', [
                'reading' => $context->written(),
            ])
            : null;
    }
}

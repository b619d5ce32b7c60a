<?php

declare(strict_types=1);

namespace Ispira\Core\Quality\Rules;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Quality\QualityRule;
use Ispira\Core\Quality\ReadingInContext;

/**
 * The meter stands on another function: on volts where resistance is asked, or on AC volts on direct current.
 */
final readonly class WrongFunction implements QualityRule
{
    /** What a meter on AC volts with one rectifier and no capacitor in its input shows over a direct voltage: π/√2. */
    private const HALF_WAVE = \M_PI / \M_SQRT2;

    /** Share of the supply within which a resistance looks like it. */
    private const NEAR_SUPPLY = 0.05;

    public function key(): string
    {
        return 'wrong-function';
    }

    public function doubt(ReadingInContext $context): ?string
    {
        if ($context->fitsAny($context->number)) {
            return null;
        }
        $supply = $context->reading->supplyVolts ?? $context->supply();
        if ($context->quantity() === Quantity::Ohms && abs($context->number - $supply) < self::NEAR_SUPPLY * $supply) {
            return Words::general('doubts.wrong-function-volts', ['reading' => $context->written()]);
        }
        $direct = !$context->circuit->netlist->alternates() && $context->quantity() === Quantity::Volts;

        return $direct && $context->fitsSound($context->number / self::HALF_WAVE)
            ? Words::general('doubts.wrong-function-ac', [
                'reading' => $context->written(),
                'rather' => $context->written($context->number / self::HALF_WAVE),
            ])
            : null;
    }
}

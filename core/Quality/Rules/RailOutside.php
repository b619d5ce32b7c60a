<?php

declare(strict_types=1);

namespace Ispira\Core\Quality\Rules;

use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Quality\QualityRule;
use Ispira\Core\Quality\ReadingInContext;

/**
 * The supply that was noted with it lies outside its tolerance.
 */
final readonly class RailOutside implements QualityRule
{
    private const LOW = 0.88;
    private const HIGH = 1.2;

    public function key(): string
    {
        return 'rail-outside';
    }

    public function doubt(ReadingInContext $context): ?string
    {
        $supply = $context->reading->supplyVolts;
        if ($supply === null) {
            return null;
        }
        $right = $context->supply();
        $key = match (true) {
            $supply < self::LOW * $right => 'doubts.rail-low',
            $supply > self::HIGH * $right => 'doubts.rail-high',
            default => null,
        };
        $unit = $context->circuit->potential()->unit();

        return $key === null
            ? null
            : Words::general($key, [
                'supply' => number_format($supply, 1) . " $unit",
                'right' => number_format($right, 1) . " $unit",
            ]);
    }
}

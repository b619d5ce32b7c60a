<?php

declare(strict_types=1);

namespace Ispira\Core\Quality\Rules;

use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Quality\QualityRule;
use Ispira\Core\Quality\ReadingInContext;
use Ispira\Core\Reading\MeterAccuracy;
use Ispira\Core\Reading\Reading;

/**
 * The same number in positions that must differ on a sound unit: the selector was not turned, or the lead is on the
 * feed.
 */
final readonly class Unchanged implements QualityRule
{
    private const SAME_WITHIN = 0.01;
    private const DEAD_BELOW = 0.3;

    /** So many other positions must show it too. */
    private const EARLIER = 2;

    public function key(): string
    {
        return 'unchanged';
    }

    public function doubt(ReadingInContext $context): ?string
    {
        if (abs($context->number) <= self::DEAD_BELOW) {
            return null;
        }
        $positions = [];
        foreach ($context->sameProbe() as $reading) {
            $setUp = $context->circuit->setUps[$context->circuit->tests[$reading->test]->setUp];
            $here = $context->circuit->setUps[$context->test()->setUp];
            $alike = abs((float) $reading->value - $context->number) <= self::SAME_WITHIN * abs($context->number);
            if (
                $setUp->position !== $here->position &&
                $setUp->text === $here->text &&
                $alike &&
                $this->mustDiffer($context, $reading)
            ) {
                $positions[$context->circuit->positions[$setUp->position]->label] =
                    $context->circuit->positions[$here->position]->label;
            }
        }

        return \count($positions) < self::EARLIER
            ? null
            : Words::general('doubts.unchanged', [
                'reading' => $context->written(),
                'positions' => Words::listed(array_keys($positions)),
                'here' => array_values($positions)[0],
            ]);
    }

    private function mustDiffer(ReadingInContext $context, Reading $reading): bool
    {
        $here = $context->sound()[0];
        $there = $context->sound($context->circuit->tests[$reading->test])[0];

        return MeterAccuracy::tellsApart($context->quantity(), $here, $there);
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Quality\Rules;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Quality\QualityRule;
use Ispira\Core\Quality\ReadingInContext;
use Ispira\Core\Reading\MeterAccuracy;
use Ispira\Core\Reading\Reading;

/**
 * Voltages between three places do not add up, nor resistances in one row.
 */
final readonly class SumOfParts implements QualityRule
{
    private const SPREADS = 2.5;

    /** Share within which the sound unit's own resistances must add up before they are asked to. */
    private const ADDS_UP = 0.02;

    public function key(): string
    {
        return 'sum-of-parts';
    }

    public function doubt(ReadingInContext $context): ?string
    {
        if (
            !\in_array($context->quantity(), [Quantity::Volts, Quantity::Ohms], true) ||
            $context->circuit->netlist->alternates()
        ) {
            return null;
        }
        $test = $context->test();
        foreach ($context->sameSetUp() as $first) {
            foreach ($context->sameSetUp() as $second) {
                $sum = $this->sum($context, $first, $second);
                if ($sum === null) {
                    continue;
                }
                $spread =
                    MeterAccuracy::spread($context->quantity(), $context->number) +
                    MeterAccuracy::spread($context->quantity(), (float) $first->value) +
                    MeterAccuracy::spread($context->quantity(), (float) $second->value);
                if (abs($sum - $context->number) > self::SPREADS * $spread) {
                    return Words::general('doubts.sum-of-parts', [
                        'reading' => $context->written(),
                        'first' => $context->written((float) $first->value),
                        'second' => $context->written((float) $second->value),
                        'sum' => $context->written($sum),
                        'test' => $context->words->test($test),
                    ]);
                }
            }
        }

        return null;
    }

    /** What two earlier readings say that this one shows, where they join its two places by a third. */
    private function sum(ReadingInContext $context, Reading $first, Reading $second): ?float
    {
        $probe = $context->test()->probe;
        $one = $context->circuit->tests[$first->test];
        $two = $context->circuit->tests[$second->test];
        $signed = $context->quantity() === Quantity::Volts;
        foreach (
            [
                [$one->probe->at, $one->probe->against, 1.0],
                [$one->probe->against, $one->probe->at, $signed ? -1.0 : 1.0],
            ]
            as [$from, $middle, $sign]
        ) {
            foreach (
                [
                    [$two->probe->at, $two->probe->against, 1.0],
                    [$two->probe->against, $two->probe->at, $signed ? -1.0 : 1.0],
                ]
                as [$start, $to, $other]
            ) {
                if (
                    $from !== $probe->at ||
                    $middle !== $start ||
                    $to !== $probe->against ||
                    $middle === $probe->at ||
                    $middle === $probe->against
                ) {
                    continue;
                }
                $sound = $sign * $context->sound($one)[0] + $other * $context->sound($two)[0];
                $right = $context->sound()[0];
                // Three resistances add up only where the places stand in one row.
                if ($signed || (is_finite($sound) && abs($sound - $right) <= self::ADDS_UP * abs($right))) {
                    return $sign * (float) $first->value + $other * (float) $second->value;
                }
            }
        }

        return null;
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\FeedbackPulses;

use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Texts;
use Ispira\Core\Planning\Figure;
use Ispira\Core\Planning\FilledFromJob;
use Ispira\Core\Planning\KnownOfJob;
use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\Worked;
use Ispira\Core\Planning\Worksheet;

/**
 * Speed from the pulses of a motor, and whether one of them is missing in each turn.
 */
final class FeedbackPulsesPlanner implements Worksheet, FilledFromJob
{
    /** Share of the expected speed within which it is right, and within which a missing edge explains it. */
    private const SAME = 0.08;
    private const WITHIN = 0.04;

    private ?Texts $texts = null;

    public function key(): string
    {
        return 'feedback-pulses';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::figure('hertz', 'Hz', 0.0, 100000.0, 140.0)->example(),
            Parameter::figure('pulses', '', 1.0, 60.0, 8.0)->example(),
            Parameter::figure('expected', '1/min', 1.0, 60000.0, 1050.0)->example(),
            Parameter::figure('jitter', '%', 0.0, 500.0, 0.5)->example(),
        ]);
    }

    public function quantities(): array
    {
        return [Quantity::Frequency];
    }

    public function tests(): array
    {
        return [];
    }

    public function filled(KnownOfJob $known): array
    {
        return $known->values(['pulses' => ['pulses'], 'expected' => ['fullRpm']]) +
            $known->readings(['hertz' => 'fg-hertz']);
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json');
    }

    public function plan(array $values): Plan
    {
        $n = static fn(string $key): ?float => ParameterList::numberIn($values, $key);
        $pulses = max(1.0, round($n('pulses') ?? 1.0));
        $hertz = $n('hertz') ?? 0.0;
        $rpm = (60.0 * $hertz) / $pulses;
        $expected = $n('expected') ?? 1.0;
        $jitter = $n('jitter') ?? 0.0;
        // With one edge of n missing, n − 2 periods are whole and one is double.
        $missed = self::oneMissing($pulses);
        $key = match (true) {
            $hertz <= 0.0 => 'none',
            $missed !== null && abs($rpm / $expected - (1.0 - 1.0 / $pulses)) < self::WITHIN && $jitter > 0.5 * $missed
                => 'missing',
            $missed !== null && $jitter > 0.5 * $missed => 'ripple',
            abs($rpm / $expected - 1.0) <= self::SAME => 'right',
            $rpm < $expected => 'slow',
            default => 'fast',
        };

        return new Plan(
            cautions: $this->texts()->list('cautions'),
            findings: [
                $this->texts()->get("findings.$key", [
                    'rpm' => number_format($rpm, 0),
                    'expected' => number_format($expected, 0),
                    'pulses' => number_format($pulses, 0),
                ]),
            ],
            figures: [
                new Figure(
                    $this->texts()->get('figures.rpm'),
                    number_format($rpm, 0) . ' 1/min',
                    $key === 'right' ? 'fine' : '',
                ),
                new Figure(
                    $this->texts()->get('figures.expected'),
                    number_format(($expected * $pulses) / 60.0, 1) . ' Hz',
                ),
                ...$missed === null
                    ? []
                    : [
                        new Figure(
                            $this->texts()->get('figures.one-missing'),
                            number_format(($expected * ($pulses - 1.0)) / 60.0, 1) . ' Hz',
                        ),
                        new Figure($this->texts()->get('figures.its-jitter'), number_format($missed, 0) . ' %'),
                    ],
            ],
            worked: [new Worked(Quantity::Frequency, $hertz, $this->texts()->get('figures.frequency'))],
        );
    }

    /**
     * Jitter in % when one edge of a turn is missing: n − 2 periods of one and one of two, about their mean n/(n − 1).
     */
    private static function oneMissing(float $pulses): ?float
    {
        if ($pulses < 3.0) {
            return null;
        }
        $periods = $pulses - 1.0;
        $mean = $pulses / $periods;
        $variance = (($periods - 1.0) * (1.0 - $mean) ** 2 + (2.0 - $mean) ** 2) / $periods;

        return (100.0 * sqrt($variance)) / $mean;
    }
}

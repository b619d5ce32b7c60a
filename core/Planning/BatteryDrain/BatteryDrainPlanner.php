<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\BatteryDrain;

use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Texts;
use Ispira\Core\Planning\Chart;
use Ispira\Core\Planning\Figure;
use Ispira\Core\Planning\FilledFromJob;
use Ispira\Core\Planning\KnownOfJob;
use Ispira\Core\Planning\Plan;

/**
 * Hours until a parked vehicle no longer starts: usable ampere-hours over the current with the key out.
 */
final class BatteryDrainPlanner implements FilledFromJob
{
    /** Points of the curve, and how far past the end it is drawn. */
    private const POINTS = 24;
    private const PAST = 1.3;

    private ?Texts $texts = null;

    public function key(): string
    {
        return 'battery-drain';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::figure('milliamps', 'mA', 0.1, 100000.0, 400.0)->example(),
            Parameter::figure('ampHours', 'Ah', 5.0, 400.0, 60.0)->example(),
            Parameter::figure('health', '%', 10.0, 100.0, 80.0),
            Parameter::figure('charged', '%', 1.0, 100.0, 90.0),
            Parameter::figure('starts', '%', 5.0, 95.0, 50.0),
            Parameter::figure('allowed', 'mA', 1.0, 500.0, 50.0),
        ]);
    }

    public function filled(KnownOfJob $known): array
    {
        $amps = (float) ($known->readings(['amps' => 'current-off'])['amps'] ?? 0.0);

        return $amps > 0.0 ? ['milliamps' => (string) round(1e3 * $amps, 1)] : [];
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json');
    }

    public function plan(array $values): Plan
    {
        $n = static fn(string $key): float => ParameterList::numberIn($values, $key) ?? 0.0;
        if ($n('milliamps') <= 0.0) {
            throw new ParameterError(['milliamps' => 'Give the current that flows with the key out.']);
        }
        $milliamps = $n('milliamps');
        $whole = ($n('ampHours') * $n('health')) / 100.0;
        $usable = ($whole * max(0.0, $n('charged') - $n('starts'))) / 100.0;
        $hours = $usable / ($milliamps / 1e3);
        $drains = $milliamps > $n('allowed');
        $say = $this->texts()->get(...);
        $length = max(1.0, self::PAST * $hours);

        return new Plan(
            cautions: $this->texts()->list('cautions'),
            findings: [
                $say($drains ? 'findings.drains' : 'findings.sleeps', ['milliamps' => number_format($milliamps)]),
                $hours > 0.0
                    ? $say('findings.hours', [
                        'charged' => number_format($n('charged')),
                        'hours' => number_format($hours, $hours < 10.0 ? 1 : 0),
                        'days' => number_format($hours / 24.0, 1),
                    ])
                    : $say('findings.none-left'),
            ],
            steps: $this->texts()->list('steps'),
            figures: [
                new Figure($say('figures.usable'), number_format($usable, 1) . ' Ah'),
                new Figure($say('figures.hours'), number_format($hours, 1) . ' h', $drains ? 'refused' : 'fine'),
                new Figure($say('figures.load'), number_format((12.6 * $milliamps) / 1e3, 2) . ' W'),
            ],
            charts: [
                new Chart(
                    $say('chart.title'),
                    'h',
                    '%',
                    [
                        [
                            'label' => $say('chart.left'),
                            'points' => array_map(
                                static fn(int $point): array => [
                                    ($length * $point) / self::POINTS,
                                    max(
                                        0.0,
                                        $n('charged') -
                                            (0.1 * $milliamps * $length * $point) / (self::POINTS * max(1e-9, $whole)),
                                    ),
                                ],
                                range(0, self::POINTS),
                            ),
                            'style' => 'heavy',
                        ],
                    ],
                    $hours > 0.0 ? [['x' => $hours, 'y' => $n('starts'), 'label' => $say('chart.here')]] : [],
                    [],
                    [['y' => $n('starts'), 'label' => $say('chart.starts')]],
                ),
            ],
        );
    }
}

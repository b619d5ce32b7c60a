<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\MotorTester;

use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Texts;
use Ispira\Core\Planning\Chart;
use Ispira\Core\Planning\Figure;
use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\Planner;

/**
 * Whether a tester for motor modules pays, against trying a module first.
 */
final class MotorTesterPlanner implements Planner
{
    private ?Texts $texts = null;

    public function key(): string
    {
        return 'motor-tester';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::figure('tester', '', 1.0, 20000.0, 420.0)->example(),
            Parameter::figure('jobs', '', 1.0, 1000.0, 12.0)->example(),
            Parameter::figure('chance', '%', 0.0, 100.0, 80.0)->example(),
            Parameter::figure('module', '', 0.0, 5000.0, 240.0)->example(),
            Parameter::figure('takenBack', '%', 0.0, 100.0, 0.0),
            Parameter::figure('minutes', 'min', 1.0, 600.0, 45.0),
            Parameter::figure('testMinutes', 'min', 0.0, 600.0, 5.0),
            Parameter::figure('rate', '', 0.0, 1000.0, 60.0),
            Parameter::figure('comeBack', '', 0.0, 2000.0, 80.0),
        ]);
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json');
    }

    public function plan(array $values): Plan
    {
        $n = static fn(string $key): float => ParameterList::numberIn($values, $key) ?? 0.0;
        $money = static fn(float $amount): string => number_format($amount, 2);
        $lost = $n('module') * (1.0 - $n('takenBack') / 100.0) + ($n('minutes') / 60.0) * $n('rate') + $n('comeBack');
        $choice = new TryModuleFirst(
            $n('chance') / 100.0,
            $lost,
            $n('tester'),
            ($n('testMinutes') / 60.0) * $n('rate'),
        );
        $even = $choice->breakEven();
        $chance = $lost > 0.0 ? $choice->breakEvenChance($n('jobs')) : null;
        $pays = $even !== null && $n('jobs') >= $even;
        $most = max($n('jobs'), $even ?? 0.0) * 1.5;

        return new Plan(
            cautions: $this->texts()->list('cautions'),
            findings: array_values(
                array_filter([
                    $even === null
                        ? $this->texts()->get('findings.never')
                        : $this->texts()->get($pays ? 'findings.pays' : 'findings.not-yet', [
                            'jobs' => (string) (int) ceil($even),
                        ]),
                    $chance === null
                        ? null
                        : $this->texts()->get('findings.chance', [
                            'jobs' => (string) $n('jobs'),
                            'chance' => number_format(100.0 * $chance),
                        ]),
                ]),
            ),
            steps: $this->texts()->list('steps'),
            figures: [
                new Figure($this->texts()->get('figures.wrong'), $money($lost)),
                new Figure(
                    $this->texts()->get('figures.loss'),
                    $money($choice->lossWithout()),
                    '',
                    $this->texts()->get('figures.a-job'),
                ),
                new Figure($this->texts()->get('figures.with'), $money($choice->costWith($n('jobs')))),
                new Figure($this->texts()->get('figures.without'), $money($choice->costWithout($n('jobs')))),
            ],
            charts: [
                new Chart(
                    $this->texts()->get('chart.title'),
                    $this->texts()->get('chart.jobs'),
                    $this->texts()->get('chart.money'),
                    [
                        [
                            'label' => $this->texts()->get('chart.with'),
                            'points' => [[0.0, $choice->costWith(0.0)], [$most, $choice->costWith($most)]],
                            'style' => 'heavy',
                        ],
                        [
                            'label' => $this->texts()->get('chart.without'),
                            'points' => [[0.0, 0.0], [$most, $choice->costWithout($most)]],
                            'style' => 'plain',
                        ],
                    ],
                    $even === null
                        ? []
                        : [
                            [
                                'x' => $even,
                                'y' => $choice->costWith($even),
                                'label' => $this->texts()->get('chart.even'),
                            ],
                        ],
                ),
            ],
        );
    }
}

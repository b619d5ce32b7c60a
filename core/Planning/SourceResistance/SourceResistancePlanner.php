<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\SourceResistance;

use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Texts;
use Ispira\Core\Planning\Chart;
use Ispira\Core\Planning\Figure;
use Ispira\Core\Planning\FilledFromJob;
use Ispira\Core\Planning\KnownOfJob;
use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\Worksheet;

/**
 * The resistance behind a feed from its voltage under two loads.
 */
final class SourceResistancePlanner implements Worksheet, FilledFromJob
{
    /** Drop in V at full load that is allowed on a system of 12 V: feed 0.5, ground 0.2. */
    private const LIMITS = ['feed' => 0.5, 'ground' => 0.2, 'whole' => 0.7];

    private ?Texts $texts = null;

    public function key(): string
    {
        return 'source-resistance';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::figure('lightVolts', 'V', 0.0, 1000.0, 12.5)->example(),
            Parameter::figure('lightAmps', 'A', 0.0, 1000.0, 0.2)->example(),
            Parameter::figure('heavyVolts', 'V', 0.0, 1000.0, 12.1)->example(),
            Parameter::figure('heavyAmps', 'A', 0.0, 1000.0, 4.5)->example(),
            Parameter::figure('full', 'A', 0.1, 1000.0, 18.0)->example(),
            Parameter::choice('side', ['feed', 'ground', 'whole'], 'feed'),
            Parameter::choice('system', ['12', '24'], '12'),
        ]);
    }

    public function quantities(): array
    {
        return [];
    }

    public function tests(): array
    {
        return [];
    }

    public function filled(KnownOfJob $known): array
    {
        return $known->values(['full' => ['motorAmps', 'lowAmps']]) + $known->choice('system', 'supply', ['12', '24']);
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json');
    }

    public function plan(array $values): Plan
    {
        $n = static fn(string $key): ?float => ParameterList::numberIn($values, $key);
        $amps = ($n('heavyAmps') ?? 0.0) - ($n('lightAmps') ?? 0.0);
        if ($amps <= 0.0) {
            throw new ParameterError(['heavyAmps' => $this->texts()->get('problems.loads')]);
        }
        // Two points of one straight line: V = V0 − R·I.
        $ohms = (($n('lightVolts') ?? 0.0) - ($n('heavyVolts') ?? 0.0)) / $amps;
        $unloaded = ($n('lightVolts') ?? 0.0) + $ohms * ($n('lightAmps') ?? 0.0);
        $full = $n('full') ?? 0.0;
        // No more than the whole supply is ever lost.
        $drop = min($ohms * $full, max(0.0, $unloaded));
        $side = \is_string($values['side'] ?? null) ? $values['side'] : 'feed';
        $limit = self::LIMITS[$side] * (($values['system'] ?? '12') === '24' ? 2.0 : 1.0);
        $fine = $drop <= $limit;

        return new Plan(
            cautions: $this->texts()->list('cautions'),
            findings: [
                $this->texts()->get($ohms < 0.0 ? 'findings.negative' : ($fine ? 'findings.fine' : 'findings.high'), [
                    'drop' => number_format($drop, 2),
                    'full' => number_format($full, 1),
                    'limit' => number_format($limit, 1),
                ]),
            ],
            steps: $this->texts()->list('steps'),
            figures: [
                new Figure($this->texts()->get('figures.ohms'), number_format(1000.0 * $ohms, 0) . ' mΩ'),
                new Figure($this->texts()->get('figures.unloaded'), number_format($unloaded, 2) . ' V'),
                new Figure(
                    $this->texts()->get('figures.drop', ['full' => number_format($full, 1)]),
                    number_format($drop, 2) . ' V',
                    $ohms < 0.0 ? '' : ($fine ? 'fine' : 'refused'),
                    $this->texts()->get('figures.limit', ['limit' => number_format($limit, 1)]),
                ),
                new Figure(
                    $this->texts()->get('figures.left', ['full' => number_format($full, 1)]),
                    number_format($unloaded - $drop, 2) . ' V',
                ),
            ],
            charts: [
                new Chart(
                    $this->texts()->get('chart.title'),
                    'A',
                    'V',
                    [
                        [
                            'label' => $this->texts()->get('chart.line'),
                            'points' => [
                                [0.0, $unloaded],
                                [
                                    max($full, $n('heavyAmps') ?? 0.0),
                                    $unloaded - $ohms * max($full, $n('heavyAmps') ?? 0.0),
                                ],
                            ],
                            'style' => 'heavy',
                        ],
                    ],
                    [
                        [
                            'x' => $n('lightAmps') ?? 0.0,
                            'y' => $n('lightVolts') ?? 0.0,
                            'label' => $this->texts()->get('chart.light'),
                        ],
                        [
                            'x' => $n('heavyAmps') ?? 0.0,
                            'y' => $n('heavyVolts') ?? 0.0,
                            'label' => $this->texts()->get('chart.heavy'),
                        ],
                    ],
                ),
            ],
        );
    }
}

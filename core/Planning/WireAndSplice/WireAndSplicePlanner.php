<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\WireAndSplice;

use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Texts;
use Ispira\Core\Planning\Chart;
use Ispira\Core\Planning\Figure;
use Ispira\Core\Planning\FilledFromJob;
use Ispira\Core\Planning\KnownOfJob;
use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\PlanTable;

/**
 * Whether a wire, its splice and its fuse go together.
 */
final class WireAndSplicePlanner implements FilledFromJob
{
    private const WIRES = [
        '0.35',
        '0.5',
        '0.75',
        '1.0',
        '1.5',
        '2.5',
        '4.0',
        '6.0',
        '10.0',
        '16.0',
        'AWG 22',
        'AWG 20',
        'AWG 18',
        'AWG 16',
        'AWG 14',
        'AWG 12',
        'AWG 10',
        'AWG 8',
        'AWG 6',
    ];

    /** Share of the current that a continuous load may take of its fuse. */
    private const FUSE_LOAD = 0.8;

    private ?Texts $texts = null;

    public function key(): string
    {
        return 'wire-and-splice';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::figure('amps', 'A', 0.01, 200.0, 15.0)->example(),
            Parameter::choice('fused', ['yes', 'no'], 'yes'),
            Parameter::figure('fuse', 'A', 0.1, 300.0, 20.0)->example()->onlyWith('fused', 'yes'),
            Parameter::choice('wire', self::WIRES, '2.5'),
            Parameter::choice('splice', self::WIRES, '2.5'),
            Parameter::choice('method', ['crimp', 'solder'], 'crimp'),
            Parameter::figure('metres', 'm', 0.05, 200.0, 1.5)->example(),
            Parameter::choice('ways', ['one', 'both'], 'one'),
            Parameter::choice('system', ['12', '24', '120', '230'], '12'),
            Parameter::figure('drop', '%', 0.1, 20.0, 3.0),
        ]);
    }

    public function filled(KnownOfJob $known): array
    {
        return $known->values([
            'amps' => ['motorAmps', 'lowAmps', 'ratedAmps'],
            'fuse' => ['fuse'],
        ]) + $known->choice('system', 'supply', ['12', '24']);
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json');
    }

    public function plan(array $values): Plan
    {
        $n = static fn(string $key): float => ParameterList::numberIn($values, $key) ?? 0.0;
        $wire = self::wire($values['wire'] ?? null);
        $splice = self::wire($values['splice'] ?? null);
        $fused = ($values['fused'] ?? 'yes') === 'yes';
        // A signal wire is guarded by what feeds it: it has to carry its own current, and no fuse asks for more.
        [$amps, $fuse] = [$n('amps'), $fused ? $n('fuse') : $n('amps')];
        $metres = $n('metres') * (($values['ways'] ?? 'one') === 'both' ? 2.0 : 1.0);
        $volts = (float) (\is_string($values['system'] ?? null) ? $values['system'] : '12');
        $allowed = ($n('drop') / 100.0) * $volts;
        $drop = $wire->ohms($metres) * $amps;
        $refusals = array_values(
            array_filter(
                [
                    $wire->carries() < $amps
                        ? $this->say('refusals.wire-current', [
                            'carries' => number_format($wire->carries(), 1),
                            'amps' => number_format($amps, 1),
                        ])
                        : null,
                    $wire->carries() < $fuse
                        ? $this->say('refusals.wire-fuse', [
                            'carries' => number_format($wire->carries(), 1),
                            'fuse' => number_format($fuse, 1),
                        ])
                        : null,
                    $splice->carries() < $fuse
                        ? $this->say('refusals.splice-fuse', [
                            'carries' => number_format($splice->carries(), 1),
                            'fuse' => number_format($fuse, 1),
                        ])
                        : null,
                    $amps > $fuse
                        ? $this->say('refusals.fuse-small', [
                            'amps' => number_format($amps, 1),
                            'fuse' => number_format($fuse, 1),
                        ])
                        : null,
                    $drop > $allowed
                        ? $this->say('refusals.drop', [
                            'drop' => number_format($drop, 2),
                            'allowed' => number_format($allowed, 2),
                        ])
                        : null,
                    ($values['method'] ?? 'crimp') === 'crimp' && $wire->crimp() === null
                        ? $this->say('refusals.crimp', ['area' => number_format($wire->area, 2)])
                        : null,
                ],
                is_string(...),
            ),
        );
        $enough = Wire::smallestFor(max($amps, $fuse), $metres, ($allowed * max($amps, $fuse)) / max($amps, 1e-9));
        $crimp = $wire->crimp();

        return new Plan(
            cautions: $this->texts()->list('cautions'),
            refusals: $refusals,
            findings: [
                $refusals === []
                    ? $this->say('findings.fine')
                    : ($enough === null
                        ? $this->say('findings.none')
                        : $this->say('findings.take', [
                            'area' => number_format($enough->area, 2),
                            'gauge' => (string) $enough->nearestGauge(),
                        ])),
                ...$fused ? [] : [$this->say('findings.no-fuse')],
                ...$fused && $amps > self::FUSE_LOAD * $fuse && $amps <= $fuse
                    ? [$this->say('findings.fuse-near', ['share' => number_format((100.0 * $amps) / $fuse)])]
                    : [],
            ],
            steps: $this->texts()->list(($values['method'] ?? 'crimp') === 'crimp' ? 'steps-crimp' : 'steps-solder'),
            figures: [
                new Figure(
                    $this->say('figures.wire'),
                    number_format($wire->area, 2) . ' mm², AWG ' . $wire->nearestGauge(),
                ),
                new Figure(
                    $this->say('figures.carries'),
                    number_format($wire->carries(), 1) . ' A',
                    $wire->carries() >= max($amps, $fuse) ? 'fine' : 'refused',
                ),
                new Figure(
                    $this->say('figures.drop'),
                    number_format($drop, 2) . ' V',
                    $drop <= $allowed ? 'fine' : 'refused',
                    $this->say('figures.allowed', ['allowed' => number_format($allowed, 2)]),
                ),
                new Figure($this->say('figures.ohms'), number_format(1000.0 * $wire->ohms($metres), 1) . ' mΩ'),
                new Figure(
                    $this->say('figures.crimp'),
                    $crimp === null ? $this->say('crimps.none') : $this->say("crimps.$crimp"),
                ),
            ],
            tables: [
                new PlanTable(
                    $this->say('table.title'),
                    ['mm²', 'AWG', $this->say('table.carries'), $this->say('table.drop'), $this->say('table.crimp')],
                    array_map(function (float $area) use ($metres, $amps): array {
                        $one = new Wire($area);
                        $class = $one->crimp();

                        return [
                            number_format($area, 2),
                            (string) $one->nearestGauge(),
                            number_format($one->carries(), 1),
                            number_format($one->ohms($metres) * $amps, 2),
                            $class === null ? '' : $this->say("crimps.$class"),
                        ];
                    }, Wire::SIZES),
                    $enough === null
                        ? []
                        : array_keys(
                            array_filter(Wire::SIZES, static fn(float $area): bool => $area === $enough->area),
                        ),
                ),
            ],
            charts: [
                new Chart(
                    $this->say('chart.title'),
                    'mm²',
                    'A',
                    [
                        [
                            'label' => $this->say('chart.carries'),
                            'points' => array_map(
                                static fn(float $area): array => [$area, (new Wire($area))->carries()],
                                Wire::SIZES,
                            ),
                            'style' => 'heavy',
                        ],
                    ],
                    [['x' => $wire->area, 'y' => $wire->carries(), 'label' => $this->say('chart.wire')]],
                    [],
                    $fused ? [['y' => $fuse, 'label' => $this->say('chart.fuse')]] : [],
                ),
            ],
        );
    }

    /** @param array<string, string> $words */
    private function say(string $key, array $words = []): string
    {
        return $this->texts()->get($key, $words);
    }

    private static function wire(mixed $chosen): Wire
    {
        $text = \is_string($chosen) ? $chosen : '2.5';

        return str_starts_with($text, 'AWG ') ? Wire::gauge((int) substr($text, 4)) : new Wire((float) $text);
    }
}

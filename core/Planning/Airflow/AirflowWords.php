<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\Airflow;

use Ispira\Core\Device\Texts;
use Ispira\Core\Planning\Chart;
use Ispira\Core\Planning\PlanTable;

/**
 * The result of an airflow plan as sentences, a table and a picture.
 */
final readonly class AirflowWords
{
    private const CURVE_POINTS = 24;

    /**
     * @param list<TapResult> $results with the filter to come
     * @param list<TapResult> $now     with the one that is in
     */
    public function __construct(
        private Texts $texts,
        private AirflowInput $input,
        private array $results,
        private SystemCurve $system,
        private array $now,
    ) {}

    public function range(): string
    {
        return $this->input->units->rise($this->input->range[0]) .
            ' to ' .
            $this->input->units->rise($this->input->range[1]);
    }

    /** @return list<string> */
    public function findings(?Assignment $proposed): array
    {
        $findings = [
            $proposed === null
                ? $this->texts->get('findings.none', ['range' => $this->range()])
                : $this->texts->get('findings.proposed', [
                    'assignment' => implode(
                        ', ',
                        array_map(
                            static fn(string $call, string $tap): string => "$call on $tap",
                            array_keys($proposed->taps),
                            $proposed->taps,
                        ),
                    ),
                    'range' => $this->range(),
                ]),
        ];
        array_push($findings, ...$this->heatNow());
        foreach ($this->results as $result) {
            if ($result->pressure !== null && $result->pressure > $this->input->ratedStatic) {
                $findings[] = $this->texts->get('findings.static', [
                    'tap' => $result->tap,
                    'static' => $this->input->units->pressure($result->pressure),
                    'rated' => $this->input->units->pressure($this->input->ratedStatic),
                ]);
            }
        }
        $cool = $proposed->taps['cool'] ?? null;
        foreach ($this->results as $result) {
            if (
                $this->input->cooling !== null &&
                $result->tap === $cool &&
                $result->flow !== null &&
                $result->flow < $this->input->cooling * Assignment::COOLING_LEAST
            ) {
                $findings[] = $this->texts->get('findings.ice', [
                    'tap' => $result->tap,
                    'perTon' => $this->perTon($result->flow),
                ]);
            }
        }

        return $findings;
    }

    /** @return list<string> the rise as it is now, and what the filter to come makes of it */
    private function heatNow(): array
    {
        $tap = $this->input->now->taps['heat'] ?? '';
        $said = [];
        foreach (['now' => $this->now, 'after' => $this->results] as $when => $results) {
            $result = array_column($results, null, 'tap')[$tap] ?? null;
            if ($result === null || ($when === 'after' && $this->input->newFilter === $this->input->oldFilter)) {
                continue;
            }
            $standing = match (true) {
                $result->rise === null => 'unknown',
                $result->isInside($this->input->range) => 'inside',
                default => 'outside',
            };
            $said[] = $this->texts->get("findings.heat-$when-$standing", [
                'tap' => $tap,
                'rise' => $this->input->units->rise((float) $result->rise),
                'range' => $this->range(),
            ]);
        }

        return $said;
    }

    /**
     * What moves where, what is parked, and the way back.
     *
     * @return list<string>
     */
    public function steps(Assignment $chosen): array
    {
        $moves = $this->input->now->movesTo($chosen);
        if ($moves === []) {
            return [$this->texts->get('steps.nothing')];
        }
        $steps = [$this->texts->get('steps.off')];
        foreach ($moves as [$call, $from, $to]) {
            $steps[] = $this->texts->get('steps.move', ['call' => $call, 'from' => $from, 'to' => $to]);
        }
        $parked = array_values(
            array_diff(
                array_column($this->results, 'tap'),
                array_values($chosen->taps + array_diff_key($this->input->now->taps, $chosen->taps)),
            ),
        );
        if ($parked !== []) {
            $steps[] = $this->texts->get('steps.park', ['taps' => implode(', ', $parked)]);
        }
        $steps[] = $this->texts->get('steps.prove', [
            'range' => $this->range(),
            'rated' => $this->input->units->pressure($this->input->ratedStatic),
        ]);
        $steps[] = $this->texts->get('steps.back', [
            'moves' => implode(
                '; ',
                array_map(static fn(array $move): string => "$move[0] from $move[2] to $move[1]", $moves),
            ),
        ]);

        return $steps;
    }

    public function table(?Assignment $chosen): PlanTable
    {
        $units = $this->input->units;
        $rows = $marked = [];
        foreach ($this->results as $number => $result) {
            $call = array_search($result->tap, $chosen->taps ?? [], true);
            if ($call === 'heat') {
                $marked[] = $number;
            }
            $no = $this->texts->get('words.no-crossing');
            $rows[] =
                $result->flow === null
                    ? [$result->tap, $no, '', '', '', '', '', (string) $call]
                    : [
                        $result->tap,
                        number_format($result->flow * 3600.0) .
                        ' m³/h · ' .
                        number_format($result->flow / Units::Us->cubicMetresPerSecond()) .
                        ' CFM',
                        $units->pressure((float) $result->pressure),
                        $units->rise((float) $result->rise),
                        $this->texts->get(
                            $result->isInside($this->input->range)
                                ? 'words.inside'
                                : ((float) $result->rise > $this->input->range[1]
                                    ? 'words.above'
                                    : 'words.below'),
                        ),
                        $this->perTon($result->flow),
                        $this->power($result->flow),
                        (string) $call,
                    ];
        }

        return new PlanTable(
            $this->texts->get('table.title'),
            array_map(fn(string $column): string => $this->texts->get("table.$column"), [
                'tap',
                'flow',
                'static',
                'rise',
                'range',
                'perTon',
                'power',
                'call',
            ]),
            $rows,
            $marked,
        );
    }

    /** Shaft power in this system over that on the heat tap as it stands: speed follows airflow, power its cube. */
    private function power(float $flow): string
    {
        foreach ($this->results as $result) {
            if ($result->tap === ($this->input->now->taps['heat'] ?? '') && $result->flow !== null) {
                return number_format(
                    100.0 *
                        FanLaws::atSpeed($result->flow, (float) $result->pressure, 1.0, $flow / $result->flow)['power'],
                ) . ' %';
            }
        }

        return '';
    }

    private function perTon(float $flow): string
    {
        return $this->input->cooling === null
            ? ''
            : number_format($flow / Units::Us->cubicMetresPerSecond() / ($this->input->cooling / 3517.0)) . ' CFM/t';
    }

    public function chart(): Chart
    {
        $units = $this->input->units;
        $x = static fn(float $flow): float => round($flow / $units->cubicMetresPerSecond(), 1);
        $y = static fn(float $pressure): float => round($pressure / $units->pascals(), 3);
        $curves = $marks = [];
        $most = 0.0;
        foreach ($this->input->curves as $curve) {
            $curves[] = [
                'label' => $curve->tap,
                'points' => array_map(static fn(array $point): array => [$x($point[1]), $y($point[0])], $curve->points),
                'style' => 'plain',
            ];
            $most = max($most, $curve->points[0][1]);
        }
        $highest = max(
            0.0,
            ...array_map(
                static fn(TapCurve $curve): float => $curve->points[\count($curve->points) - 1][0],
                $this->input->curves,
            ),
        );
        $system = [];
        for ($step = 0; $step <= self::CURVE_POINTS; ++$step) {
            $flow = ($most * $step) / self::CURVE_POINTS;
            if ($this->system->pressureAt($flow) <= 1.1 * $highest) {
                $system[] = [$x($flow), $y($this->system->pressureAt($flow))];
            }
        }
        $curves[] = ['label' => $this->texts->get('chart.system'), 'points' => $system, 'style' => 'heavy'];
        foreach ($this->results as $result) {
            if ($result->flow !== null) {
                $marks[] = [
                    'x' => $x($result->flow),
                    'y' => $y((float) $result->pressure),
                    'label' => $units->rise((float) $result->rise),
                ];
            }
        }

        return new Chart(
            $this->texts->get('chart.title'),
            $this->texts->get('chart.flow', ['unit' => $units->flowUnit()]),
            $this->texts->get('chart.static', ['unit' => $units === Units::Us ? 'in w.c.' : 'Pa']),
            $curves,
            $marks,
            levels: [['y' => $y($this->input->ratedStatic), 'label' => $this->texts->get('chart.rated')]],
        );
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\HeatCycle;

use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Texts;
use Ispira\Core\Planning\Chart;
use Ispira\Core\Planning\Figure;
use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\Planner;
use Ispira\Core\Planning\PlanTable;

/**
 * Whether a furnace whose blower no longer follows the board trips its limit, and with which delays it does not.
 */
final class HeatCyclePlanner implements Planner
{
    /** Points of a curve that is drawn. */
    private const DRAWN = 500;

    private ?Texts $texts = null;

    public function key(): string
    {
        return 'heat-cycle';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::figure('burner', 'kW', 1.0, 150.0, 20.0)->example(),
            Parameter::figure('flow', 'm³/h', 100.0, 20000.0, 2160.0)->example(),
            Parameter::figure('air', '°C', -10.0, 40.0, 20.0),
            Parameter::figure('opens', '°C', 40.0, 150.0, 93.0)->example(),
            Parameter::figure('closes', '°C', 30.0, 140.0, 70.0)->example(),
            Parameter::figure('startLeast', 's', 0.0, 300.0, 15.0)->example(),
            Parameter::figure('startMost', 's', 0.0, 300.0, 45.0)->example(),
            Parameter::figure('runOnLeast', 's', 0.0, 600.0, 40.0)->example(),
            Parameter::figure('runOnMost', 's', 0.0, 600.0, 120.0)->example(),
            Parameter::figure('boardStart', 's', 0.0, 300.0, 30.0)->example(),
            Parameter::figure('boardRunOn', 's', 0.0, 600.0, 90.0)->example(),
            Parameter::figure('on', 's', 60.0, 7200.0, 600.0)->example(),
            Parameter::figure('off', 's', 30.0, 7200.0, 180.0)->example(),
            Parameter::figure('cycles', '', 4.0, 20.0, 4.0),
            Parameter::figure('lockOut', '', 1.0, 20.0, 5.0),
            Parameter::choice('limitRunsFan', ['no', 'yes'], 'no'),
            Parameter::choice('idleTrips', ['yes', 'no'], 'yes'),
            Parameter::figure('metal', 'kJ/K', 1.0, 200.0, 15.0),
            Parameter::figure('moving', 'W/K', 10.0, 2000.0, 150.0),
            Parameter::figure('still', 'W/K', 1.0, 200.0, 12.0),
            Parameter::figure('soak', '', 0.1, 1.0, 0.7),
            Parameter::figure('lagMoving', 's', 1.0, 120.0, 15.0),
            Parameter::figure('lagStill', 's', 1.0, 120.0, 25.0),
            Parameter::figure('metalSpread', '%', 0.0, 60.0, 10.0),
            Parameter::figure('movingSpread', '%', 0.0, 60.0, 10.0),
            Parameter::figure('soakSpread', '', 0.0, 0.4, 0.05),
            Parameter::figure('flowSpread', '%', 0.0, 60.0, 10.0),
        ]);
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json');
    }

    public function plan(array $values): Plan
    {
        $n = static fn(string $key): float => ParameterList::numberIn($values, $key) ?? 0.0;
        $this->check($n);
        $furnace = new Furnace(
            $n('metal') * 1e3,
            $n('moving'),
            $n('still'),
            $n('soak'),
            $n('flow') / 3600.0,
            $n('flow') / 3600.0,
            $n('air'),
            $n('burner') * 1e3,
            $n('opens'),
            $n('closes'),
            $n('lagMoving'),
            $n('lagStill'),
        );
        $calls = new Calls(
            $n('on'),
            $n('off'),
            (int) $n('cycles'),
            (int) $n('lockOut'),
            ($values['limitRunsFan'] ?? 'no') === 'yes',
            ($values['idleTrips'] ?? 'yes') === 'yes',
        );
        $adverse = $furnace->scaled(
            1.0 + $n('metalSpread') / 100.0,
            1.0 - $n('movingSpread') / 100.0,
            $n('soakSpread'),
            1.0 - $n('flowSpread') / 100.0,
        );
        $window = new DelayWindow($adverse, $calls);
        $sequencer = $this->worst($window, $n);
        $rows = [];
        foreach (
            [
                'board' => new FanControl($n('boardStart'), $n('boardRunOn')),
                'relay' => FanControl::plainRelay(),
                'sequencer' => $sequencer,
            ]
            as $key => $control
        ) {
            $rows[$key] = [
                $control,
                (new HeatCycleSimulation($furnace, $control, $calls))->run(),
                (new HeatCycleSimulation($adverse, $control, $calls))->run(),
            ];
        }
        $safe = $rows['sequencer'][2]->trips === [];

        return new Plan(
            cautions: $this->texts()->list('cautions'),
            refusals: $safe
                ? []
                : [
                    $this->texts()->get('refusals.trips', [
                        'start' => (string) $sequencer->startDelay,
                        'runOn' => (string) $sequencer->runOn,
                    ]),
                ],
            findings: $this->advice($window, $n, $safe),
            steps: $this->texts()->list('steps'),
            figures: [
                new Figure($this->texts()->get('figures.rise'), number_format($furnace->steadyRise(), 1) . ' K'),
                new Figure($this->texts()->get('figures.balance'), self::share(self::imbalance($rows['relay'][1]))),
            ],
            tables: [$this->table($rows)],
            charts: array_map(
                fn(string $key): Chart => $this->chart($key, $rows[$key][0], $rows[$key][2], $adverse),
                array_keys($rows),
            ),
        );
    }

    /**
     * @param \Closure(string): float $n
     *
     * @throws ParameterError
     */
    private function check(\Closure $n): void
    {
        $problems = [];
        foreach (
            [
                ['closes', 'opens', 'problems.limit'],
                ['startLeast', 'startMost', 'problems.range'],
                ['runOnLeast', 'runOnMost', 'problems.range'],
            ]
            as [$low, $high, $problem]
        ) {
            if ($n($low) > $n($high) || ($problem === 'problems.limit' && $n($low) === $n($high))) {
                $problems[$high] = $this->texts()->get($problem);
            }
        }
        if ($n('air') >= $n('closes')) {
            $problems['air'] = $this->texts()->get('problems.air');
        }
        if ($problems !== []) {
            throw new ParameterError($problems);
        }
    }

    /**
     * The corner of the sequencer's own scatter that trips, or that comes nearest: late to start, early to stop.
     *
     * @param \Closure(string): float $n
     */
    private function worst(DelayWindow $window, \Closure $n): FanControl
    {
        foreach ([$n('startMost'), $n('startLeast')] as $start) {
            foreach ([$n('runOnLeast'), $n('runOnMost')] as $runOn) {
                if ($window->trips(new FanControl($start, $runOn))) {
                    return new FanControl($start, $runOn);
                }
            }
        }

        return new FanControl($n('startMost'), $n('runOnLeast'));
    }

    /**
     * What holds at the adverse corner; the nominal is never advice.
     *
     * @param \Closure(string): float $n
     *
     * @return list<string>
     */
    private function advice(DelayWindow $window, \Closure $n, bool $safe): array
    {
        $seconds = static fn(?float $value, bool $up): ?string => $value === null
            ? null
            : (string) (int) ($up ? ceil($value) : floor($value));
        $runOn = $seconds($window->leastRunOn($n('startMost')), true);
        $start = $seconds($window->longestStart($n('runOnLeast')), false);

        return [
            $safe ? $this->texts()->get('findings.safe') : $this->texts()->get('findings.unsafe'),
            $runOn === null
                ? $this->texts()->get('findings.no-run-on', ['start' => (string) $n('startMost')])
                : $this->texts()->get('findings.run-on', ['start' => (string) $n('startMost'), 'runOn' => $runOn]),
            $start === null
                ? $this->texts()->get('findings.no-start', ['runOn' => (string) $n('runOnLeast')])
                : $this->texts()->get('findings.start', ['runOn' => (string) $n('runOnLeast'), 'start' => $start]),
        ];
    }

    /** @param non-empty-array<string, array{0: FanControl, 1: HeatCycle, 2: HeatCycle}> $rows */
    private function table(array $rows): PlanTable
    {
        $lines = [];
        $trips = fn(HeatCycle $run): string => $run->trips === []
            ? $this->texts()->get('table.none')
            : \count($run->trips) .
                ($run->lockedOut === null
                    ? ''
                    : $this->texts()->get('table.locked', ['minutes' => number_format($run->lockedOut / 60.0)]));
        foreach ($rows as $key => [$control, $nominal, $adverse]) {
            $lines[] = [
                $this->texts()->get("controls.$key"),
                "$control->startDelay s",
                "$control->runOn s",
                $trips($nominal),
                $trips($adverse),
                number_format($adverse->hottest) . ' °C',
                number_format($adverse->hottestLimit) . ' °C',
            ];
        }

        return new PlanTable(
            $this->texts()->get('table.title'),
            array_map(fn(string $column): string => $this->texts()->get("table.$column"), [
                'control',
                'start',
                'run-on',
                'nominal',
                'adverse',
                'metal',
                'limit',
            ]),
            $lines,
        );
    }

    /** In per cent, of which nobody reads more than hundredths. */
    private static function share(float $share): string
    {
        return $share < 1e-4 ? 'under 0.01 %' : number_format(100.0 * $share, 2) . ' %';
    }

    private static function imbalance(HeatCycle $run): float
    {
        return $run->heatIn > 0.0 ? abs($run->heatIn - $run->heatOut - $run->heatKept) / $run->heatIn : 0.0;
    }

    private function chart(string $key, FanControl $control, HeatCycle $run, Furnace $furnace): Chart
    {
        $metal = $limit = $bands = [];
        $since = null;
        $every = max(1, (int) floor(\count($run->trace) / self::DRAWN));
        foreach ($run->trace as $number => [$time, $tm, $ts, $fan]) {
            if ($number % $every === 0) {
                $metal[] = [round($time / 60.0, 2), round($tm, 1)];
                $limit[] = [round($time / 60.0, 2), round($ts, 1)];
            }
            if ($fan && $since === null) {
                $since = $time;
            } elseif (!$fan && $since !== null) {
                $bands[] = ['from' => $since / 60.0, 'to' => $time / 60.0, 'label' => $this->texts()->get('chart.fan')];
                $since = null;
            }
        }
        $last = $run->trace[\count($run->trace) - 1][0] ?? 0.0;
        if ($since !== null) {
            $bands[] = ['from' => $since / 60.0, 'to' => $last / 60.0, 'label' => $this->texts()->get('chart.fan')];
        }

        return new Chart(
            $this->texts()->get('chart.title', [
                'control' => $this->texts()->get("controls.$key"),
                'start' => (string) $control->startDelay,
                'runOn' => (string) $control->runOn,
            ]),
            $this->texts()->get('chart.time'),
            '°C',
            [
                ['label' => $this->texts()->get('chart.metal'), 'points' => $metal, 'style' => 'plain'],
                ['label' => $this->texts()->get('chart.limit'), 'points' => $limit, 'style' => 'heavy'],
            ],
            array_map(
                fn(float $trip, int $number): array => [
                    'x' => $trip / 60.0,
                    'y' => $furnace->opens,
                    'label' => $number === 0 ? $this->texts()->get('chart.trip') : '',
                ],
                $run->trips,
                array_keys($run->trips),
            ),
            $bands,
            [
                ['y' => $furnace->opens, 'label' => $this->texts()->get('chart.opens')],
                ['y' => $furnace->closes, 'label' => $this->texts()->get('chart.closes')],
            ],
        );
    }
}

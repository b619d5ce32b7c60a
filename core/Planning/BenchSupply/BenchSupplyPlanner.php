<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\BenchSupply;

use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Texts;
use Ispira\Core\Planning\Chart;
use Ispira\Core\Planning\FilledFromJob;
use Ispira\Core\Planning\KnownOfJob;
use Ispira\Core\Planning\Plan;

/**
 * Works out and checks every value of a bench supply for five-wire motors: bus, bleeder, logic supply, command, lamp,
 * fuse.
 */
final class BenchSupplyPlanner implements FilledFromJob
{
    /** V of the mains by V of the rail that it is rectified to. */
    private const MAINS = ['320' => '230', '155' => '115'];

    private ?Texts $texts = null;

    public function key(): string
    {
        return 'bench-supply';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::figure('mains', 'V', 90.0, 260.0, 230.0)->example(),
            Parameter::figure('hertz', 'Hz', 45.0, 65.0, 50.0),
            Parameter::figure('tolerance', '%', 0.0, 20.0, 10.0),
            Parameter::figure('power', 'W', 1.0, 400.0, 45.0)->example(),
            Parameter::figure('efficiency', '%', 20.0, 100.0, 75.0),
            Parameter::figure('busMost', 'V', 100.0, 500.0, 400.0)->example(),
            Parameter::figure('busMicrofarads', 'µF', 1.0, 1000.0, 100.0)->example(),
            Parameter::figure('busRating', 'V', 100.0, 700.0, 450.0)->example(),
            Parameter::figure('bleeder', 'kΩ', 0.0, 2000.0, 100.0)->example(),
            Parameter::figure('bleederPieces', '', 1.0, 6.0, 2.0)->example(),
            Parameter::figure('bleederWatts', 'W', 0.1, 20.0, 2.0)->example(),
            Parameter::figure('bleederVolts', 'V', 50.0, 2000.0, 350.0)->example(),
            Parameter::figure('fuse', 'A', 0.05, 10.0, 1.0)->example(),
            Parameter::figure('surge', 'V', 50.0, 1000.0, 275.0)->example(),
            Parameter::figure('secondary', 'V', 5.0, 40.0, 18.0)->example(),
            Parameter::figure('regulation', '%', 0.0, 60.0, 15.0)->example(),
            Parameter::figure('reservoir', 'µF', 10.0, 20000.0, 1500.0)->example(),
            Parameter::figure('logicMilliamps', 'mA', 1.0, 1500.0, 100.0)->example(),
            Parameter::figure('dropOut', 'V', 0.2, 4.0, 2.0),
            Parameter::figure('regulatorMost', 'V', 18.0, 60.0, 35.0)->example(),
            Parameter::figure('fixed', 'kΩ', 0.0, 1000.0, 18.0)->example(),
            Parameter::choice('above', ['resistor', 'trimmer'], 'resistor'),
            Parameter::figure('pot', 'kΩ', 0.1, 1000.0, 10.0)->example(),
            Parameter::figure('series', 'kΩ', 0.0, 100.0, 1.0)->example(),
            Parameter::figure('input', 'kΩ', 1.0, 10000.0, 150.0),
            Parameter::figure('commandMost', 'V', 1.0, 15.0, 6.5),
            Parameter::figure('lampOhms', 'kΩ', 0.05, 100.0, 3.9)->example(),
            Parameter::figure('lampVolts', 'V', 1.0, 4.0, 2.0),
            Parameter::figure('feedbackMilliamps', 'mA', 0.5, 50.0, 5.0),
        ]);
    }

    public function filled(KnownOfJob $known): array
    {
        // The rail of the machine says which mains it is rectified from; an active front end says nothing.
        $rail = $known->choice('mains', 'supply', array_map(strval(...), array_keys(self::MAINS)));

        return array_map(static fn(string $volts): string => self::MAINS[$volts], $rail);
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json');
    }

    public function plan(array $values): Plan
    {
        $design = new SupplyDesign(
            static fn(string $key): float => ParameterList::numberIn($values, $key) ?? 0.0,
            ($values['above'] ?? 'resistor') === 'trimmer',
        );
        $checks = (new SupplyChecks($design, $this->texts()))->all();
        $refusals = [];
        foreach ($checks as [$figure, $refusal]) {
            if ($figure->standing === 'refused') {
                $refusals[] = $refusal;
            }
        }
        $wait = (int) ceil($design->highBus()->bleeds($design->bleederOhms(), SupplyDesign::SAFE_VOLTS));

        return new Plan(
            cautions: $this->texts()->list('cautions'),
            refusals: $refusals,
            findings: [
                $refusals === [] ? $this->texts()->get('findings.passes') : $this->texts()->get('findings.refused'),
                ...$design->bleederOhms() > 0.0
                    ? [$this->texts()->get('findings.wait', ['seconds' => (string) $wait])]
                    : [],
            ],
            steps: $this->texts()->list('steps'),
            figures: array_column($checks, 0),
            tables: [(new SupplyParts($design, $this->texts()))->table()],
            charts: [$this->chart($design)],
            sheet: SupplyDrawing::sheet($design),
            netlist: SupplyDrawing::netlist($design),
        );
    }

    private function chart(SupplyDesign $design): Chart
    {
        $points = [];
        for ($step = 0; $step <= 40; ++$step) {
            $points[] = [2.5 * $step, round($design->divider()->at($step / 40.0), 3)];
        }

        return new Chart(
            $this->texts()->get('chart.title'),
            $this->texts()->get('chart.way'),
            'V',
            [['label' => 'Vsp', 'points' => $points, 'style' => 'heavy']],
            levels: [
                ['y' => $design->of('commandMost'), 'label' => $this->texts()->get('chart.most')],
                ['y' => 2.0, 'label' => $this->texts()->get('chart.starts')],
            ],
        );
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Families\TappedBlower;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Family;
use Ispira\Core\Device\Hazard;
use Ispira\Core\Device\Learnable;
use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Planned;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Repairable;
use Ispira\Core\Device\RepairSheet;
use Ispira\Core\Device\Safety;
use Ispira\Core\Device\Texts;
use Ispira\Core\Families\Furnace\HeatRise;
use Ispira\Core\Families\Mechanical\Mechanical;

/**
 * Furnace or air-handler blower: a capacitor-run motor with nested winding taps, one of which the board feeds.
 */
final class TappedBlowerFamily implements Family, Planned, Repairable
{
    private ?Texts $texts = null;

    public function key(): string
    {
        return 'tapped-blower';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::choice('taps', ['3', '4', '5'], '4'),
            Parameter::choice('fanTerminal', ['no', 'yes'], 'no', shapesMap: true),
            Parameter::choice('line', ['230', '120'], '230'),
            Parameter::choice('hertz', ['50', '60'], '50'),
            Parameter::number('capacitor', 'µF', 1.0, 60.0),
            Parameter::number('ratedAmps', 'A', 0.5, 20.0),
            ...HeatRise::parameters(),
        ]);
    }

    public function circuit(array $values): CircuitModel
    {
        $motor = TappedMotor::of($values);
        $rise = HeatRise::of($values);
        $wiring = new Wiring($motor, ($values['fanTerminal'] ?? 'no') === 'yes', $rise);
        $tests = new TestList($motor, $wiring, $rise);
        $faults = new FaultList($motor, $wiring);
        $mechanical = new Mechanical('main', 'cool', 'isolated', 'wheel', 0.15, outlets: false);
        $netlist = $wiring->netlist();
        ksort($values);

        return new CircuitModel(
            identity: [$this->key(), $values],
            netlist: $netlist,
            supply: 'line.volts',
            unknowns: $wiring->unknowns(),
            assign: $wiring->assign(...),
            positions: $wiring->positions(),
            setUps: $wiring->setUps(),
            tests: [...$tests->all(), ...$mechanical->tests()],
            observations: [...$faults->observations(), ...$mechanical->observations()],
            faults: [...$faults->all(), ...$mechanical->faults()],
            pairs: $faults->pairs(),
            parts: [...$faults->parts(), ...$mechanical->parts()],
            causeChecks: $tests->causeChecks(),
            accessMinutes: TestList::ACCESS_MINUTES + Mechanical::ACCESS_MINUTES,
            places: $this->texts()->places($netlist->nodes),
            sheet: (new Drawing($motor, $wiring))->sheet(),
            texts: $this->texts(),
            safety: new Safety(
                [Hazard::Mains, Hazard::Moving],
                ['licensed', 'lock-off', 'discharge'],
                ['licensed', 'line-voltage', 'one-tap'],
            ),
            conductors: $wiring->conductors(),
            learnables: [
                Learnable::volts('supply', 'line.volts'),
                Learnable::volts('secondary', 'transformer.volts'),
                Learnable::ohms('main', 'main.ohms'),
                new Learnable('capacitor', Quantity::Capacitance, ['capacitor.microfarads']),
            ],
        );
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json')->over(Mechanical::texts());
    }

    public function planners(): array
    {
        return ['airflow', 'heat-cycle'];
    }

    public function repairSheet(): RepairSheet
    {
        return RepairSheet::fromFile(__DIR__ . '/repair.en.json');
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Families\WiperInterval;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Family;
use Ispira\Core\Device\Hazard;
use Ispira\Core\Device\Learnable;
use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Planned;
use Ispira\Core\Device\Repairable;
use Ispira\Core\Device\RepairSheet;
use Ispira\Core\Device\Safety;
use Ispira\Core\Device\Texts;

/**
 * Interval wiper: a stalk with a row of resistances tells a module on the motor how often to wipe.
 */
final class WiperIntervalFamily implements Family, Planned, Repairable
{
    private ?Texts $texts = null;

    public function key(): string
    {
        return 'wiper-interval';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::choice('settings', ['3', '5'], '5', shapesMap: true),
            Parameter::number('inputOhms', 'Ω', 500.0, 200000.0),
        ]);
    }

    public function circuit(array $values): CircuitModel
    {
        $input = ParameterList::numberIn($values, 'inputOhms');
        $wiring = new Wiring(($values['settings'] ?? '5') === '3' ? 3 : 5, $input);
        $tests = new TestList($wiring);
        $netlist = $wiring->netlist();
        ksort($values);

        return new CircuitModel(
            identity: [$this->key(), $values],
            netlist: $netlist,
            supply: 'battery.volts',
            unknowns: $wiring->unknowns(),
            assign: $wiring->assign(...),
            positions: $wiring->positions(),
            setUps: $wiring->setUps(),
            tests: $tests->all(),
            observations: FaultList::observations(),
            faults: FaultList::all(),
            pairs: FaultList::pairs(),
            parts: FaultList::parts(),
            causeChecks: TestList::causeChecks(),
            accessMinutes: TestList::ACCESS_MINUTES,
            places: $this->texts()->places($netlist->nodes),
            sheet: Drawing::sheet(),
            texts: $this->texts(),
            safety: new Safety(
                [Hazard::ExtraLow, Hazard::Moving],
                ['fuse-out'],
                runs: [],
                mayStart: [],
                watched: ['crush'],
            ),
            conductors: $wiring->conductors(),
            learnables: [
                Learnable::volts('supply', 'battery.volts'),
                Learnable::ohms('inputOhms', 'speed-input.ohms'),
                Learnable::ohms('winding', 'motor.armatureOhms'),
            ],
        );
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json');
    }

    public function planners(): array
    {
        return ['wire-and-splice'];
    }

    public function repairSheet(): RepairSheet
    {
        return RepairSheet::fromFile(__DIR__ . '/repair.en.json');
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Families\RadiatorFan;

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
use Ispira\Core\Families\Mechanical\Mechanical;

/**
 * Radiator cooling fans with two speeds.
 */
final class RadiatorFanFamily implements Family, Planned, Repairable
{
    private ?Texts $texts = null;

    public function key(): string
    {
        return 'radiator-fan';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::choice('arrangement', Layout::ARRANGEMENTS, 'resistor', shapesMap: true),
            Parameter::choice('control', ['switch', 'relays'], 'switch'),
            Parameter::number('motorAmps', 'A', 2.0, 80.0),
        ]);
    }

    public function circuit(array $values): CircuitModel
    {
        $layout = Layout::of($values);
        $wiring = new Wiring($layout);
        $faults = new FaultList($layout);
        $tests = new TestList($layout);
        $mechanical = new Mechanical(
            'fan-a',
            $layout->cell('high', 'a'),
            'dead',
            'fans',
            0.06,
            outlets: false,
            motorPart: 'fan-a',
        );
        $netlist = $wiring->netlist();
        ksort($values);

        return new CircuitModel(
            identity: [$this->key(), $values],
            netlist: $netlist,
            supply: 'battery.volts',
            unknowns: $wiring->unknowns(),
            assign: $wiring->assign(...),
            positions: $wiring->positions(),
            setUps: (new SetUps($layout, $wiring->positions()))->all(),
            tests: [...$tests->all(), ...$mechanical->tests()],
            observations: [...$faults->observations(), ...$mechanical->observations()],
            faults: [...$faults->all(), ...$mechanical->faults()],
            pairs: $faults->pairs(),
            parts: [...$faults->parts(), ...$mechanical->parts()],
            causeChecks: $tests->causeChecks(),
            accessMinutes: TestList::ACCESS_MINUTES + Mechanical::ACCESS_MINUTES,
            places: $this->texts()->places($netlist->nodes),
            sheet: (new Drawing($layout))->sheet(),
            texts: $this->texts(),
            safety: new Safety([Hazard::ExtraLow, Hazard::Moving], ['fan-starts']),
            conductors: (new Conducting($layout))->all(),
            learnables: [Learnable::volts('supply', 'battery.volts'), Learnable::ohms('resistor', 'resistor.ohms')],
        );
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json')->over(Mechanical::texts());
    }

    public function planners(): array
    {
        return ['wire-and-splice', 'battery-drain'];
    }

    public function repairSheet(): RepairSheet
    {
        return RepairSheet::fromFile(__DIR__ . '/repair.en.json');
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Families\FlueFan;

use Ispira\Core\Device\Bridged;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Family;
use Ispira\Core\Device\Hazard;
use Ispira\Core\Device\Learnable;
use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Repairable;
use Ispira\Core\Device\RepairSheet;
use Ispira\Core\Device\Safety;
use Ispira\Core\Device\TemporaryRepair;
use Ispira\Core\Device\Texts;
use Ispira\Core\Families\Mechanical\Mechanical;

/**
 * Fan that draws the flue gas of a boiler or furnace and has to prove its draught to a pressure switch.
 */
final class FlueFanFamily implements Family, Bridged, Repairable
{
    private ?Texts $texts = null;

    public function key(): string
    {
        return 'flue-fan';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::choice('speeds', ['1', '2'], '1', shapesMap: true),
            Parameter::choice('line', ['230', '120'], '230'),
            Parameter::choice('hertz', ['50', '60'], '50'),
            Parameter::number('fastOhms', 'Ω', 2.0, 500.0),
            Parameter::number('pressure', 'Pa', 20.0, 600.0),
            Parameter::number('switchPressure', 'Pa', 10.0, 500.0),
        ]);
    }

    public function circuit(array $values): CircuitModel
    {
        $number = static fn(string $key): ?float => ParameterList::numberIn($values, $key);
        $wiring = new Wiring(
            ($values['speeds'] ?? '1') === '2',
            ($values['line'] ?? '230') === '120' ? 120.0 : 230.0,
            ($values['hertz'] ?? '50') === '60' ? 60.0 : 50.0,
            $number('fastOhms'),
            $number('pressure') !== null,
        );
        $tests = new TestList($wiring, $number('pressure'), $number('switchPressure'));
        $faults = new FaultList($wiring->twoSpeeds);
        $mechanical = new Mechanical('fast', 'full', 'isolated', 'fan', 0.2, outlets: false, motorPart: 'fan');
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
            sheet: (new Drawing($wiring->twoSpeeds))->sheet(),
            texts: $this->texts(),
            safety: new Safety(
                [Hazard::Mains, Hazard::Moving, Hazard::Gas, Hazard::Hot],
                ['lock-off'],
                ['line-voltage', 'gas-shut'],
                watched: ['gas-licence'],
            ),
            conductors: $wiring->conductors(),
            learnables: [Learnable::volts('supply', 'line.volts'), Learnable::ohms('fastOhms', 'fast.ohms')],
        );
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json')->over(Mechanical::texts());
    }

    public function temporaryRepair(): TemporaryRepair
    {
        return new TemporaryRepair(
            'fan',
            14,
            [
                'axial-play' => ['play'],
                'noise' => ['rub'],
                'gaps' => ['uneven'],
                'look-seal' => ['leaks'],
                'smoke-seal' => ['drawn'],
                'spin' => ['locked'],
            ],
            ['spin', 'axial-play', 'look-seal'],
        );
    }

    public function repairSheet(): RepairSheet
    {
        return RepairSheet::fromFile(__DIR__ . '/repair.en.json');
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Families\EcmBlower;

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
use Ispira\Core\Families\Furnace\HeatRise;
use Ispira\Core\Families\Mechanical\Mechanical;

/**
 * Furnace or air-handler blower with a permanent-magnet motor and an electronic module on its end.
 */
final class EcmBlowerFamily implements Family, Planned, Repairable
{
    private ?Texts $texts = null;

    public function key(): string
    {
        return 'ecm-blower';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::choice('control', ['taps', 'data'], 'taps'),
            Parameter::choice('fanTerminal', ['yes', 'no'], 'yes', shapesMap: true),
            Parameter::choice('line', ['230', '120'], '230'),
            Parameter::number('phaseOhms', 'Ω', 0.3, 60.0),
            Parameter::number('ratedAmps', 'A', 0.5, 20.0),
            ...HeatRise::parameters(),
        ]);
    }

    public function circuit(array $values): CircuitModel
    {
        $number = static fn(string $key): ?float => ParameterList::numberIn($values, $key);
        $wiring = new Wiring(
            ($values['control'] ?? 'taps') === 'data',
            ($values['fanTerminal'] ?? 'yes') === 'yes',
            ($values['line'] ?? '230') === '120' ? 120.0 : 230.0,
            $number('phaseOhms'),
            $number('ratedAmps'),
            ($rise = HeatRise::of($values)),
        );
        $tests = new TestList($wiring, $rise);
        $faults = new FaultList($wiring);
        $mechanical = new Mechanical('motor', 'cool', 'isolated', 'wheel', 0.2, outlets: false);
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
            sheet: (new Drawing($wiring))->sheet(),
            texts: $this->texts(),
            safety: new Safety(
                [Hazard::Mains, Hazard::StoredCharge, Hazard::Moving],
                ['licensed', 'lock-off', 'bus-charge'],
                ['licensed', 'line-voltage'],
            ),
            conductors: $wiring->conductors(),
            learnables: [
                Learnable::volts('supply', 'line.volts'),
                Learnable::volts('secondary', 'transformer.volts'),
                Learnable::ohms('phaseOhms', 'phase-a.ohms', 'phase-b.ohms'),
            ],
        );
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json')->over(Mechanical::texts());
    }

    public function planners(): array
    {
        return ['motor-tester', 'heat-cycle', 'airflow'];
    }

    public function repairSheet(): RepairSheet
    {
        return RepairSheet::fromFile(__DIR__ . '/repair.en.json');
    }
}

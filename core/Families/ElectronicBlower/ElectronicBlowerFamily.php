<?php

declare(strict_types=1);

namespace Ispira\Core\Families\ElectronicBlower;

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
use Ispira\Core\Families\Mechanical\CabinAir;
use Ispira\Core\Families\Mechanical\Mechanical;

/**
 * Blower whose speed is made by electronics that follow a command signal.
 */
final class ElectronicBlowerFamily implements Family, Planned, Repairable
{
    private ?Texts $texts = null;

    public function key(): string
    {
        return 'electronic-blower';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::choice('steps', ['3', '4', '5', '6', '7', '8', '9', '10', '12'], '5', shapesMap: true),
            Parameter::choice('module', ['external', 'own'], 'external'),
            Parameter::choice('stage', ['chopper', 'linear'], 'chopper'),
            Parameter::choice('feed', ['permanent', 'relay'], 'permanent'),
            Parameter::choice('command', ['pulse', 'analogue'], 'pulse'),
            Parameter::choice('active', ['high', 'low'], 'high'),
            Parameter::choice('openCommand', ['off', 'default', 'full'], 'off'),
            Parameter::number('motorAmps', 'A', 1.0, 60.0),
            Parameter::numbers('duties', '%', 1.0, 99.0, 'steps')->steadyTo('dutyTop'),
            Parameter::number('dutyTop', '%', 1.0, 100.0),
            Parameter::number('lampWatts', 'W', 2.0, 120.0),
            Parameter::number('fuse', 'A', 5.0, 80.0)->naming(),
            CabinAir::parameter(),
        ]);
    }

    public function circuit(array $values): CircuitModel
    {
        $variant = Variant::of($values);
        $wiring = new Wiring($variant);
        $faults = new FaultList($variant);
        $tests = new TestList($variant);
        $cabin = new CabinAir($values, (string) $variant->steps);
        $mechanical = new Mechanical(
            'motor',
            (string) $variant->steps,
            'dead',
            'wheel',
            0.04,
            outlets: true,
            motorPart: $variant->motorPart(),
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
            setUps: $wiring->setUps(),
            tests: [...$tests->all(), ...$mechanical->tests(), ...$cabin->tests()],
            observations: [...$faults->observations(), ...$mechanical->observations(), ...$cabin->observations()],
            faults: $cabin->in([...$faults->all(), ...$mechanical->faults()]),
            pairs: $faults->pairs(),
            parts: [...$faults->parts(), ...$mechanical->parts()],
            causeChecks: $tests->causeChecks(),
            accessMinutes: TestList::ACCESS_MINUTES + Mechanical::ACCESS_MINUTES,
            places: $this->texts()->places($netlist->nodes),
            sheet: (new Drawing($variant))->sheet(),
            texts: $this->texts(),
            safety: new Safety([Hazard::ExtraLow, Hazard::Moving], ['fan-starts']),
            conductors: $wiring->conductors(),
            learnables: [Learnable::volts('supply', 'battery.volts'), Learnable::volts('level', 'level.volts')],
        );
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json')
            ->over(Mechanical::texts())
            ->over(CabinAir::texts());
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

<?php

declare(strict_types=1);

namespace Ispira\Core\Families\Wiper;

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
 * Two-speed wiper that parks: with a compound field switched to ground, or with three brushes.
 */
final class WiperFamily implements Family, Planned, Repairable
{
    private ?Texts $texts = null;

    public function key(): string
    {
        return 'wiper';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::choice('motor', ['three-brush', 'compound'], 'three-brush', shapesMap: true),
            Parameter::choice('supply', ['12', '24'], '12'),
            Parameter::number('lowAmps', 'A', 0.3, 15.0),
        ]);
    }

    public function circuit(array $values): CircuitModel
    {
        $scale = ($values['supply'] ?? '12') === '24' ? 2.0 : 1.0;
        $amps = ParameterList::numberIn($values, 'lowAmps');
        $wiring =
            ($values['motor'] ?? 'three-brush') === 'compound'
                ? new CompoundWiring($scale, $amps)
                : new ThreeBrushWiring($scale, $amps);
        $faults = new FaultList($wiring->faults(), $wiring->stiffTorque());
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
            tests: (new TestList($wiring->tests()))->all(),
            observations: FaultList::observations(),
            faults: $faults->all(),
            pairs: $faults->pairs(),
            parts: FaultList::parts(),
            causeChecks: TestList::causeChecks(),
            accessMinutes: TestList::ACCESS_MINUTES,
            places: $this->texts()->places($netlist->nodes),
            sheet: $wiring->sheet(),
            texts: $this->texts(),
            safety: new Safety(
                [Hazard::ExtraLow, Hazard::Moving],
                ['fuse-out'],
                runs: [],
                mayStart: [],
                watched: ['crush'],
            ),
            conductors: $wiring->conductors(),
            hookUp: $wiring::hookUp()->faults(),
            learnables: [Learnable::volts('supply', 'battery.volts'), Learnable::ohms('winding', 'motor.armatureOhms')],
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

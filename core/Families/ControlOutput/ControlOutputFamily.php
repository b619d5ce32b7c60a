<?php

declare(strict_types=1);

namespace Ispira\Core\Families\ControlOutput;

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
 * A 24 V alternating-current output of a control board that has to hold a contactor.
 */
final class ControlOutputFamily implements Family, Planned, Repairable
{
    private ?Texts $texts = null;

    public function key(): string
    {
        return 'control-output';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::choice('transformer', ['40', '75'], '40'),
            Parameter::choice('load', ['contactor', 'relay'], 'contactor'),
            Parameter::number('wireMetres', 'm', 1.0, 200.0),
            Parameter::number('coilVa', 'VA', 1.0, 30.0),
        ]);
    }

    public function circuit(array $values): CircuitModel
    {
        $wiring = new Wiring(
            ($values['transformer'] ?? '40') === '75',
            ($values['load'] ?? 'contactor') === 'relay',
            ParameterList::numberIn($values, 'wireMetres'),
            ParameterList::numberIn($values, 'coilVa'),
        );
        ksort($values);
        $netlist = $wiring->netlist();

        return new CircuitModel(
            identity: [$this->key(), $values],
            netlist: $netlist,
            supply: 'transformer.volts',
            unknowns: $wiring->unknowns(),
            assign: $wiring->assign(...),
            positions: $wiring->positions(),
            setUps: $wiring->setUps(),
            tests: TestList::all(),
            observations: FaultList::observations(),
            faults: FaultList::all(),
            pairs: FaultList::pairs(),
            parts: FaultList::parts(),
            causeChecks: TestList::causeChecks(),
            accessMinutes: TestList::ACCESS_MINUTES,
            places: $this->texts()->places($netlist->nodes),
            sheet: Drawing::sheet(),
            texts: $this->texts(),
            safety: new Safety([Hazard::Mains], ['licensed', 'power-off'], ['line-near', 'licensed']),
            conductors: $wiring->conductors(),
            learnables: [
                Learnable::volts('supply', 'transformer.volts'),
                Learnable::ohms('wire', 'wire.ohms'),
                Learnable::ohms('coil', 'contactor.ohms'),
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

<?php

declare(strict_types=1);

namespace Ispira\Core\Families\AirDoor;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Family;
use Ispira\Core\Device\Learnable;
use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Planned;
use Ispira\Core\Device\Repairable;
use Ispira\Core\Device\RepairSheet;
use Ispira\Core\Device\Texts;

/**
 * Doors that lead the air: moved by vacuum, by a motor whose polarity is reversed (two wires), or by
 * one that also reports where it stands (five wires).
 */
final class AirDoorFamily implements Family, Planned, Repairable
{
    private ?Texts $texts = null;

    public function key(): string
    {
        return 'air-door';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::choice('kind', ['two-wire', 'five-wire', 'vacuum'], 'five-wire', shapesMap: true),
            Parameter::choice('zones', ['one', 'two'], 'one')->onlyWith('kind', 'two-wire', 'five-wire'),
            Parameter::number('motorOhms', 'ohm', 5.0, 200.0)->onlyWith('kind', 'two-wire', 'five-wire'),
        ]);
    }

    public function circuit(array $values): CircuitModel
    {
        $kind = \is_string($values['kind'] ?? null) ? $values['kind'] : 'five-wire';
        $ohms = ParameterList::numberIn($values, 'motorOhms');
        $layout =
            $kind === 'vacuum'
                ? new VacuumDoors()
                : new ElectricDoor($kind === 'five-wire', ($values['zones'] ?? 'one') === 'two', $ohms);
        $netlist = $layout->netlist();
        ksort($values);
        $texts = Texts::fromFile(__DIR__ . '/' . ($kind === 'vacuum' ? 'vacuum' : 'electric') . '.en.json')->over(
            $this->texts(),
        );

        return new CircuitModel(
            identity: [$this->key(), $values],
            netlist: $netlist,
            supply: $layout->supply(),
            unknowns: $layout->unknowns(),
            assign: $layout->assign(...),
            positions: $layout->positions(),
            setUps: $layout->setUps(),
            tests: $layout->tests(),
            observations: $layout->observations(),
            faults: $layout->faults(),
            pairs: [],
            parts: $layout->parts(),
            causeChecks: $layout->causeChecks(),
            accessMinutes: $layout->accessMinutes(),
            places: $texts->places($netlist->nodes),
            sheet: $layout->sheet(),
            texts: $texts,
            safety: $layout->safety(),
            conductors: $layout->conductors(),
            learnables: [
                Learnable::volts('supply', 'battery.volts'),
                Learnable::ohms('motorOhms', 'motor.armatureOhms'),
                Learnable::ohms('track', 'track-lower.ohms', 'track-upper.ohms'),
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

<?php

declare(strict_types=1);

namespace Tests\Core\Family\Toy\Bell;

use Ispira\Core\Circuit\BrushedMotor;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\CauseCheck;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetElement;
use Ispira\Core\Device\Family;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Hazard;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Position;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Safety;
use Ispira\Core\Device\SetUp;
use Ispira\Core\Device\Severity;
use Ispira\Core\Device\Test;
use Ispira\Core\Device\Texts;
use Ispira\Core\Device\Unknown;

/**
 * A toy: a battery, a push button and a motor that strikes a bell.
 */
final class BellFamily implements Family
{
    public function key(): string
    {
        return 'bell';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([Parameter::choice('volts', ['6', '12'], '6')]);
    }

    public function circuit(array $values): CircuitModel
    {
        $volts = '12' === ($values['volts'] ?? '6') ? 12.0 : 6.0;
        $open = static fn(string $element): array => [Adjustment::atLeast("$element.ohms", 1e10)];

        return new CircuitModel(
            identity: ['bell', $volts],
            netlist: new Netlist([
                Element::source('battery', 'plus', '0', $volts, 0.1),
                Element::resistor('button', 'plus', 'bell', 1e10),
                Element::resistor('wire', 'bell', 'hammer', 0.05),
                Element::motor('motor', 'hammer', '0', new BrushedMotor(2.0, 0.02, 0.005, 1e-6)),
            ]),
            supply: 'battery.volts',
            unknowns: [Unknown::normal('supply', $volts, 0.2)],
            assign: static fn(array $u): array => ['battery.volts' => $u['supply']],
            positions: [
                new Position('off', 'released', PositionKind::Stands, []),
                new Position('1', 'pressed', PositionKind::Runs, [Adjustment::set('button.ohms', 0.02)]),
            ],
            setUps: [new SetUp('off', 'off'), new SetUp('1', '1')],
            tests: [
                new Test('speed@off', 'speed', 'off', Probe::speed('motor'), 0.2, offered: false),
                new Test('speed@1', 'speed', '1', Probe::speed('motor'), 0.2, offered: false),
                new Test('button-volts', 'button-volts', '1', Probe::volts('bell', '0'), 1.0, ['cover']),
                new Test('hammer-volts', 'hammer-volts', '1', Probe::volts('hammer', '0'), 1.0, ['cover']),
                new Test('look', 'look', 'off', Probe::observation('look'), 1.0),
            ],
            observations: [new Observation('look', ['clean' => 0.9, 'rusty' => 0.1])],
            faults: [
                new Fault(
                    'button-open',
                    'button-open',
                    'button',
                    0.5,
                    [new Severity($open('button'))],
                    ['look' => ['clean' => 0.2, 'rusty' => 0.8]],
                    comesAndGoes: true,
                    element: 'button',
                ),
                new Fault('wire-open', 'wire-open', 'wire', 0.2, [new Severity($open('wire'))], element: 'wire'),
                new Fault(
                    'motor-seized',
                    'motor-seized',
                    'motor',
                    0.3,
                    [new Severity([Adjustment::set('motor.frictionTorque', 1e6)])],
                    element: 'motor',
                ),
            ],
            pairs: [],
            parts: [new Part('button', 4.0, 10.0), new Part('wire', 1.0, 10.0), new Part('motor', 30.0, 20.0)],
            causeChecks: [new CauseCheck('button', 'look', 'water')],
            accessMinutes: ['cover' => 2.0],
            places: [
                '0' => 'battery minus',
                'plus' => 'battery plus',
                'bell' => 'button, bell side',
                'hammer' => 'motor terminal',
            ],
            sheet: new Sheet(
                200,
                100,
                ['plus' => [10, 10], 'bell' => [60, 10], 'hammer' => [120, 10], '0' => [10, 90]],
                [
                    'battery' => new SheetElement('battery', groundAt: [10, 90]),
                    'button' => new SheetElement('relay'),
                    'wire' => new SheetElement('wire'),
                    'motor' => new SheetElement('motor', groundAt: [120, 90]),
                ],
            ),
            texts: $this->texts(),
            safety: new Safety([Hazard::ExtraLow], []),
        );
    }

    public function texts(): Texts
    {
        return Texts::fromFile(__DIR__ . '/texts.en.json');
    }
}

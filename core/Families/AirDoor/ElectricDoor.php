<?php

declare(strict_types=1);

namespace Ispira\Core\Families\AirDoor;

use Ispira\Core\Circuit\BrushedMotor;
use Ispira\Core\Circuit\Control;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\CauseCheck;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Position;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\SetUp;
use Ispira\Core\Device\Sheet;
use Ispira\Core\Device\Unknown;

/**
 * Control head – two motor wires whose polarity it reverses – geared motor – door; with five wires
 * also a potentiometer on the door's shaft, fed with 5 V, whose wiper tells 0.5 to 4.5 V over the travel.
 *
 * Each position is the door on its way there from the other end. A head with feedback drives until
 * the feedback says that the door is there, and not at all while the feedback makes no sense.
 */
final readonly class ElectricDoor implements Layout
{
    private const OPEN = Element::OPEN_OHMS;
    private const JOINT = 0.02;

    /** Geared motor, at its shaft: about 60 mA running free, 90 mA with its door, 350 mA stalled. */
    private const MOTOR_OHMS = 36.0;
    private const EMF = 0.026;
    private const DOOR_TORQUE = 8e-4;
    private const GEAR_DRAG = 4e-6;

    public const TRACK_OHMS = 5e3;
    private const INPUT_OHMS = 100e3;

    /** Shares of the track at the ends and in the middle of the travel. */
    public const SHARES = ['cold' => 0.1, 'middle' => 0.5, 'warm' => 0.9];

    public function __construct(private bool $feedback, private bool $twoZones, private ?float $motorOhms) {}

    public function netlist(): Netlist
    {
        $r = static fn(string $id, string $from, string $to, float $ohms): Element => Element::resistor(
            $id,
            $from,
            $to,
            $ohms,
        );

        return new Netlist([
            Element::source('battery', 'battery', '0', 12.6, 0.02),
            $r('fuse', 'battery', 'fed', self::JOINT),
            $r('feed', 'fed', 'head', 0.05),
            $r('ground', 'head-ground', '0', 0.02),
            Element::controlInput(
                'head-supply',
                'head',
                'head-ground',
                150.0,
                new Control('reference.volts', [[6.0, 0.0], [7.0, 5.0]]),
            ),
            Element::source('reference', 'ref', 'head-ground', 0.0, 20.0),
            ...$this->decision('warm', $r),
            ...$this->decision('cold', $r),
            $r('warm-stage', 'head', 'warm-top', self::JOINT),
            $r('cold-stage', 'head', 'cold-top', self::JOINT),
            Element::workContact('warm-high', 'warm-top', 'warm-side', 'warm', 0.05),
            Element::restContact('warm-low', 'warm-side', 'head-ground', 'warm', 0.05),
            Element::workContact('cold-high', 'cold-top', 'cold-side', 'cold', 0.05),
            Element::restContact('cold-low', 'cold-side', 'head-ground', 'cold', 0.05),
            $r('warm-joint', 'warm-side', 'warm-out', self::JOINT),
            $r('cold-joint', 'cold-side', 'cold-out', self::JOINT),
            $r('warm-wire', 'warm-out', 'warm-pin', 0.1),
            $r('cold-wire', 'cold-out', 'cold-pin', 0.1),
            $r('warm-plug', 'warm-pin', 'A', self::JOINT),
            $r('cold-plug', 'cold-pin', 'B', self::JOINT),
            Element::motor('motor', 'A', 'B', $this->motor(1.0, 1.0, 1.0)),
            $r('direct-warm-plus', 'battery', 'A', self::OPEN),
            $r('direct-warm-minus', 'B', '0', self::OPEN),
            $r('direct-cold-plus', 'battery', 'B', self::OPEN),
            $r('direct-cold-minus', 'A', '0', self::OPEN),
            ...$this->feedback ? $this->report($r) : [],
        ]);
    }

    /**
     * What makes the head drive one way: the command alone, or the command and the feedback.
     *
     * @param \Closure(string, string, string, float): Element $r
     *
     * @return list<Element>
     */
    private function decision(string $way, \Closure $r): array
    {
        $coil = Element::coil($way, "$way-coil", 'head-ground', 1e3, 7.0, 3.0);
        if (!$this->feedback) {
            return [$r("ask-$way", 'head', "$way-coil", self::OPEN), $coil];
        }
        $table =
            $way === 'warm'
                ? [[0.03, 0.0], [0.04, 12.0], [0.82, 12.0], [0.84, 0.0]]
                : [[0.16, 0.0], [0.18, 12.0], [0.96, 12.0], [0.97, 0.0]];

        return [
            Element::source("decide-$way", "$way-decided", 'head-ground', 0.0, 50.0),
            $r("ask-$way", "$way-decided", "$way-coil", self::OPEN),
            $coil,
            Element::controlInput(
                "sense-$way",
                'told',
                'head-ground',
                2.0 * self::INPUT_OHMS,
                new Control("decide-$way.volts", $table, reference: ['ref', 'head-ground'], worksFrom: 3.0),
            ),
        ];
    }

    /**
     * @param \Closure(string, string, string, float): Element $r
     *
     * @return list<Element>
     */
    private function report(\Closure $r): array
    {
        return [
            $r('ref-wire', 'ref', 'ref-pin', 0.2),
            $r('track-upper', 'ref-pin', 'track', self::TRACK_OHMS),
            $r('track-lower', 'track', 'low-pin', self::TRACK_OHMS),
            $r('low-wire', 'low-pin', 'head-ground', 0.2),
            $r('wiper', 'track', 'told-pin', 50.0),
            $r('told-wire', 'told-pin', 'told', 0.2),
            $r('told-grounded', 'told-pin', '0', self::OPEN),
        ];
    }

    private function motor(float $size, float $emf, float $load): BrushedMotor
    {
        return new BrushedMotor(
            ($this->motorOhms ?? self::MOTOR_OHMS) / $size,
            self::EMF * $emf,
            self::DOOR_TORQUE * $load,
            0.0,
            self::GEAR_DRAG,
        );
    }

    public function supply(): string
    {
        return 'battery.volts';
    }

    public function unknowns(): array
    {
        return [
            Unknown::normal('supply', 12.6, 0.4),
            Unknown::factor('size', 1.0, $this->motorOhms === null ? 0.25 : 0.04),
            Unknown::factor('emf', 1.0, 0.06),
            Unknown::factor('load', 1.0, 0.25),
            ...$this->feedback ? [Unknown::factor('track', 1.0, 0.3)] : [],
        ];
    }

    public function assign(array $u): array
    {
        $values = ['battery.volts' => $u['supply']];
        foreach ($this->motor($u['size'], $u['emf'], $u['load'])->parameters() as $name => $value) {
            $values["motor.$name"] = $value;
        }
        if ($this->feedback) {
            $values['track-upper.ohms'] = $values['track-lower.ohms'] = self::TRACK_OHMS * $u['track'];
        }

        return $values;
    }

    public function positions(): array
    {
        return [
            new Position('rest', 'at rest', PositionKind::Stands, $this->at('middle')),
            new Position('cold', 'to cold', PositionKind::Runs, [
                Adjustment::set('ask-cold.ohms', 0.05),
                ...$this->at('warm'),
            ]),
            new Position('warm', 'to warm', PositionKind::Runs, [
                Adjustment::set('ask-warm.ohms', 0.05),
                ...$this->at('cold'),
            ]),
        ];
    }

    /** @return list<Adjustment> the potentiometer with the door in a place of its travel */
    private function at(string $place): array
    {
        return $this->feedback
            ? [
                Adjustment::scale('track-upper.ohms', 1.0 - self::SHARES[$place]),
                Adjustment::scale('track-lower.ohms', self::SHARES[$place]),
            ]
            : [];
    }

    public function setUps(): array
    {
        $setUps = [new SetUp('rest', 'rest'), new SetUp('cold', 'cold'), new SetUp('warm', 'warm')];
        $unplugged = [Adjustment::opened('warm-plug'), Adjustment::opened('cold-plug')];
        foreach (['cold', 'warm'] as $way) {
            $setUps[] = new SetUp(
                "free-$way",
                $way,
                [Adjustment::set('motor.frictionTorque', 0.0)],
                'free',
                PositionKind::Runs,
            );
            $setUps[] = new SetUp(
                "direct-$way",
                'rest',
                [
                    ...$unplugged,
                    Adjustment::set("direct-$way-plus.ohms", 0.1),
                    Adjustment::set("direct-$way-minus.ohms", 0.1),
                ],
                "direct-$way",
                PositionKind::Runs,
            );
        }
        $setUps[] = new SetUp('apart', 'rest', $unplugged, 'apart');
        if ($this->feedback) {
            $out = [Adjustment::opened('ref-wire'), Adjustment::opened('low-wire'), Adjustment::opened('told-wire')];
            $setUps[] = new SetUp('told-out', 'rest', [...$unplugged, ...$out], 'apart');
            foreach (self::SHARES as $place => $share) {
                $setUps[] = new SetUp(
                    "at-$place",
                    'rest',
                    [
                        Adjustment::scale('track-upper.ohms', (1.0 - $share) / 0.5),
                        Adjustment::scale('track-lower.ohms', $share / 0.5),
                    ],
                    "at-$place",
                );
            }
        }

        return $setUps;
    }

    public function tests(): array
    {
        return (new ElectricTests($this->feedback, $this->twoZones))->all();
    }

    /** @return list<Observation> */
    public function observations(): array
    {
        return ElectricFaults::observations($this->feedback, $this->twoZones);
    }

    /** @return list<Fault> */
    public function faults(): array
    {
        return ElectricFaults::all($this->feedback, $this->twoZones);
    }

    /** @return list<Part> */
    public function parts(): array
    {
        return ElectricFaults::parts();
    }

    /** @return list<CauseCheck> */
    public function causeChecks(): array
    {
        return [new CauseCheck('actuator', 'door-by-hand', 'door'), new CauseCheck('fuse', 'look-harness', 'chafed')];
    }

    public function accessMinutes(): array
    {
        return ['fuse-box' => 1.5, 'actuator' => 6.0, 'actuator-off' => 4.0, 'head' => 8.0];
    }

    public function sheet(): Sheet
    {
        return ElectricDrawing::sheet($this->feedback);
    }
}

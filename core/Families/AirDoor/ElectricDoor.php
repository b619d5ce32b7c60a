<?php

declare(strict_types=1);

namespace Ispira\Core\Families\AirDoor;

use Ispira\Core\Circuit\BrushedMotor;
use Ispira\Core\Circuit\Control;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\CauseCheck;
use Ispira\Core\Device\Conductor;
use Ispira\Core\Device\ConductorKind;
use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Hazard;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Populations;
use Ispira\Core\Device\Position;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Safety;
use Ispira\Core\Device\SetUp;

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
    private const DOOR_TORQUE = 5e-4;
    private const GEAR_TORQUE = 3e-4;
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
            $r('supply-wire', 'battery', 'fuse-in', 0.02),
            $r('fuse', 'fuse-in', 'fed', self::JOINT),
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
            Element::motor('motor', 'A', 'B', $this->motor(1.0, 1.0, 1.0, 1.0)),
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
            $r('track-upper', 'ref-pin', 'track', self::TRACK_OHMS)->offering(self::track(true)),
            $r('track-lower', 'track', 'low-pin', self::TRACK_OHMS)->offering(self::track(false)),
            $r('low-wire', 'low-pin', 'head-ground', 0.2),
            $r('wiper', 'track', 'told-pin', 50.0),
            $r('told-wire', 'told-pin', 'told', 0.2),
            $r('told-grounded', 'told-pin', '0', self::OPEN),
        ];
    }

    /** @return array<string, float> Ω of a part of an ordinary track, by place of the door */
    private static function track(bool $upper): array
    {
        return array_map(
            static fn(float $share): float => 2.0 * self::TRACK_OHMS * ($upper ? 1.0 - $share : $share),
            self::SHARES,
        );
    }

    /** @param float $ohms its resistance over the ordinary one */
    private function motor(float $ohms, float $emf, float $load, float $friction): BrushedMotor
    {
        // Motors of more resistance are wound for less torque.
        $armature = ($this->motorOhms ?? self::MOTOR_OHMS) * $ohms;
        $ohms = $armature / self::MOTOR_OHMS;

        return new BrushedMotor(
            $armature,
            self::EMF * $emf,
            (self::GEAR_TORQUE * $friction) / $ohms,
            0.0,
            self::GEAR_DRAG / $ohms,
            (self::DOOR_TORQUE * $load) / $ohms,
        );
    }

    public function supply(): string
    {
        return 'battery.volts';
    }

    public function unknowns(): array
    {
        return [
            Populations::level('supply', 'vehicle supply'),
            Populations::unknown('source', 'vehicle source'),
            $this->motorOhms === null
                ? Populations::unknown('size', 'door motor', 1.0 / self::MOTOR_OHMS)
                : Populations::unknown('size', 'armature of known size'),
            Populations::unknown('emf', 'motor constant'),
            Populations::unknown('friction', 'friction'),
            Populations::unknown('load', 'load of a door'),
            Populations::unknown('head', 'drop of a head'),
            ...$this->feedback
                ? [
                    Populations::unknown('track', 'track of a door', 0.5 / self::TRACK_OHMS),
                    Populations::level('cold-end', 'cold end of a track'),
                    Populations::level('warm-end', 'warm end of a track'),
                ]
                : [],
        ];
    }

    public function conductors(): array
    {
        $head = Observation::changing('wiggle-head', 0.5);
        $plug =
            ['look-harness' => ['fine' => 0.3, 'chafed' => 0.05, 'corroded' => 0.65]] +
            Observation::changing('wiggle-plug', 0.6);
        $conductors = [
            Conductor::of('supply-wire', ConductorKind::HeavyWire, 'supply-wire', 0.01)->opening(0.02),
            Conductor::of('fuse', ConductorKind::Fuse, 'fuse'),
            Conductor::of('feed', ConductorKind::SignalWire, 'feed-wire', 0.02)->seen($head),
            Conductor::of('ground', ConductorKind::SignalWire, 'ground-wire'),
            Conductor::of('warm-wire', ConductorKind::SignalWire, 'motor-wire', 0.015),
            Conductor::of('cold-wire', ConductorKind::SignalWire, 'motor-wire', 0.015),
            Conductor::of('warm-plug', ConductorKind::LightContact, 'plug')->opening(0.02)->seen($plug),
            Conductor::of('cold-plug', ConductorKind::LightContact, 'plug', 0.05)->opening(0.02)->seen($plug),
        ];
        foreach ($this->feedback ? ['ref-wire', 'low-wire', 'told-wire'] : [] as $wire) {
            $conductors[] = Conductor::of($wire, ConductorKind::SignalWire, 'report-wire', 0.01)->seen(
                Observation::changing('wiggle-plug', 0.5),
            );
        }

        return $conductors;
    }

    public function assign(array $u): array
    {
        $values = ['battery.volts' => $u['supply'], 'battery.ohms' => $u['source']];
        foreach ($this->motor($u['size'], $u['emf'], $u['load'], $u['friction'])->parameters() as $name => $value) {
            $values["motor.$name"] = $value;
        }
        $values['warm-joint.ohms'] = $values['cold-joint.ohms'] = $u['head'];
        if ($this->feedback) {
            $whole = 2.0 * self::TRACK_OHMS * $u['track'];
            $ends = ['cold' => max(0.03, $u['cold-end']), 'warm' => min(0.97, $u['warm-end'])];
            $ends['middle'] = 0.5 * ($ends['cold'] + $ends['warm']);
            foreach ($ends as $place => $share) {
                $values["track-lower.$place"] = $whole * $share;
                $values["track-upper.$place"] = $whole * (1.0 - $share);
            }
            $values['track-lower.ohms'] = $values['track-lower.middle'];
            $values['track-upper.ohms'] = $values['track-upper.middle'];
            foreach (['warm', 'cold'] as $way) {
                // A head has learned the ends of the travel.
                $slope = (self::SHARES['warm'] - self::SHARES['cold']) / ($ends['warm'] - $ends['cold']);
                $values["sense-$way.gain"] = $slope;
                $values["sense-$way.offset"] = self::SHARES['cold'] - $slope * $ends['cold'];
            }
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
                Adjustment::follow('track-upper.ohms', "track-upper.$place"),
                Adjustment::follow('track-lower.ohms', "track-lower.$place"),
            ]
            : [];
    }

    public function setUps(): array
    {
        $setUps = [new SetUp('rest', 'rest'), new SetUp('cold', 'cold'), new SetUp('warm', 'warm')];
        $setUps[] = SetUp::isolated('dead', 'rest', 'dead');
        $unplugged = [Adjustment::opened('warm-plug'), Adjustment::opened('cold-plug')];
        foreach (['cold', 'warm'] as $way) {
            $setUps[] = new SetUp(
                "free-$way",
                $way,
                [Adjustment::atMost('motor.loadTorque', 0.0)],
                'free',
                PositionKind::Runs,
                watchesDrive: true,
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
                watchesDrive: true,
            );
        }
        $setUps[] = new SetUp('apart', 'rest', $unplugged, 'apart', still: true);
        if ($this->feedback) {
            $out = [Adjustment::opened('ref-wire'), Adjustment::opened('low-wire'), Adjustment::opened('told-wire')];
            $setUps[] = new SetUp('told-out', 'rest', [...$unplugged, ...$out], 'apart', still: true);
            $setUps[] = SetUp::isolated('turned', 'rest', 'turned', [...$unplugged, ...$out]);
            foreach (array_keys(self::SHARES) as $place) {
                $setUps[] = new SetUp("at-$place", 'rest', $this->at($place), "at-$place");
            }
        }

        return $setUps;
    }

    public function safety(): Safety
    {
        return new Safety([Hazard::ExtraLow, Hazard::Moving], ['fuse-out'], runs: ['pinch'], mayStart: ['pinch']);
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

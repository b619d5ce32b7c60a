<?php

declare(strict_types=1);

namespace Ispira\Core\Families\ElectronicBlower;

use Ispira\Core\Circuit\BrushedMotor;
use Ispira\Core\Circuit\Control;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Circuit\SpeedModule;
use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Conductor;
use Ispira\Core\Device\ConductorKind;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Populations;
use Ispira\Core\Device\Position;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\SetUp;
use Ispira\Core\Device\Unknown;
use Ispira\Core\Families\Mechanical\FusePulled;

/**
 * Battery – feed – fuse – module – motor – ground, and beside it the command: source – wire – input.
 *
 * A motor with electronics of its own is the same circuit in one housing, with a cut-out for
 * too low a supply.
 */
final readonly class Wiring
{
    private const OPEN = Element::OPEN_OHMS;
    private const JOINT = 0.004;
    private const WIRE = 0.012;
    private const ORDINARY_AMPS = 15.4;

    /** Share of the highest command under which a module is off. */
    private const LEAST_OF_MOST = 0.16;

    /** Ω that an ordinary module shows between its feed and its ground. */
    private const ELECTRONICS = 30e3;

    /** Ω of a probe light. */
    private const PROBE_LIGHT = 48.0;

    public function __construct(private Variant $variant) {}

    public function netlist(): Netlist
    {
        $v = $this->variant;
        $elements = [
            Element::source('battery', 'battery', '0', 13.1, 0.015),
            Element::resistor('feed', 'battery', 'fuse-in', self::WIRE),
            Element::resistor('fuse', 'fuse-in', 'fused', self::JOINT),
            Element::resistor($v->behindFuse(), 'fused', 'feed-pin', $v->relay ? self::JOINT : self::WIRE),
            Element::resistor('plug-feed', 'feed-pin', 'supply', self::JOINT),
            Element::moduleOutput(
                'stage',
                'out',
                'module-ground',
                new SpeedModule(0.02, 0.0, 0.6, $v->linear),
                'module',
            ),
            Element::resistor('plug-ground', 'module-ground', 'ground-pin', self::JOINT),
            Element::resistor('ground', 'ground-pin', '0', self::WIRE),
            Element::resistor('plug-motor', 'out', 'motor-plus', self::JOINT),
            Element::motor('motor', 'motor-plus', 'motor-minus', $this->motor(1.0)),
            Element::resistor('motor-return', 'motor-minus', 'module-ground', self::JOINT),
            Element::source('command', 'sent', '0', 0.0, 1000.0)->offering($this->levels($v->typicalShares(), 5.0)),
            Element::source('level', 'level', '0', 5.0, 100.0),
            Element::resistor('command-wire', 'sent', 'command-pin', 0.1),
            Element::resistor('command-plug', 'command-pin', 'command-in', 0.1),
            Element::resistor('command-ground', 'command-pin', '0', self::OPEN),
            Element::resistor('command-supply', 'command-pin', 'fused', self::OPEN),
            Element::source('generator', 'generated', '0', 0.0, 500.0),
            Element::resistor('inject', 'generated', 'command-in', self::OPEN),
            Element::source('bias', 'bias', '0', 5.0 * $v->signal($v->openShare()), 68e3),
            Element::resistor('bias-lead', 'bias', 'command-in', 1.0),
            // The width of a pulse does not change with the ground of the module; a voltage does.
            Element::controlInput(
                'input',
                'command-in',
                $v->pulse ? '0' : 'module-ground',
                1e6,
                new Control('stage.duty', $v->table(), reference: ['level', '0']),
            ),
            Element::resistor('leg', 'supply', 'module-ground', self::OPEN),
            Element::resistor('lamp', 'feed-pin', 'ground-pin', self::OPEN),
            Element::resistor('lamp-feed', 'feed-pin', '0', self::OPEN),
            Element::resistor('lamp-ground', 'battery', 'ground-pin', self::OPEN),
            Element::resistor('direct-plus', 'battery', 'motor-plus', self::OPEN),
            Element::resistor('direct-minus', 'motor-minus', '0', self::OPEN),
        ];
        if ($v->external) {
            return new Netlist([
                ...$elements,
                Element::moduleInput('module', 'supply', 'module-ground'),
                Element::resistor('electronics', 'supply', 'module-ground', self::ELECTRONICS),
                // A shorted transistor joins its feed with the motor for an ohmmeter too.
                Element::resistor('through', 'supply', 'out', self::OPEN),
            ]);
        }

        return new Netlist([
            ...$elements,
            Element::coil('cut-out', 'supply', 'module-ground', self::ELECTRONICS, 9.2, 8.0),
            Element::workContact('cut-out-contact', 'supply', 'inside', 'cut-out', 0.001),
            Element::moduleInput('module', 'inside', 'module-ground'),
        ]);
    }

    private function motor(float $size): BrushedMotor
    {
        return new BrushedMotor(0.25 / $size, 0.025, 0.03 * $size, 3.5e-6 * $size);
    }

    private static function command(string $step): Adjustment
    {
        return Adjustment::follow('command.volts', "command.$step");
    }

    /**
     * Mean voltage of the command in each step and at rest.
     *
     * @param array<int, float> $shares by step
     *
     * @return array<string, float>
     */
    private function levels(array $shares, float $level): array
    {
        $levels = ['idle' => $level * $this->variant->signal(0.0)];
        foreach ($shares as $step => $share) {
            $levels["step-$step"] = $level * $this->variant->signal($share);
        }

        return $levels;
    }

    /** @return list<Position> */
    public function positions(): array
    {
        $off = self::command('idle');
        $positions = [
            new Position(
                'key-off',
                'key off',
                PositionKind::Stands,
                $this->variant->relay ? [$off, Adjustment::set('relay.ohms', self::OPEN)] : [$off],
            ),
            new Position('off', '0', PositionKind::Stands, [$off]),
        ];
        foreach (range(1, $this->variant->steps) as $step) {
            $positions[] = new Position((string) $step, (string) $step, PositionKind::Runs, [
                self::command("step-$step"),
            ]);
        }

        return $positions;
    }

    /** @return list<SetUp> */
    public function setUps(): array
    {
        $v = $this->variant;
        $top = (string) $v->steps;
        $out = [Adjustment::opened('plug-feed'), Adjustment::opened('plug-ground')];
        $setUps = array_map(static fn(Position $p): SetUp => new SetUp($p->key, $p->key), $this->positions());
        $setUps[] = SetUp::isolated('dead', 'key-off', 'dead');
        foreach (
            [
                'lamp' => ['lamp', $v->lampOhms()],
                'two-lamps' => ['lamp', 0.5 * $v->lampOhms()],
                'probe-light' => ['lamp', self::PROBE_LIGHT],
                'lamp-feed' => ['lamp-feed', $v->lampOhms()],
                'lamp-ground' => ['lamp-ground', $v->lampOhms()],
            ]
            as $key => [$element, $ohms]
        ) {
            $setUps[] = new SetUp($key, $top, [...$out, Adjustment::set("$element.ohms", $ohms)], $key, still: true);
        }
        $setUps[] = FusePulled::setUp($top, [Adjustment::opened('fuse')]);
        $setUps[] = new SetUp('unplugged', $top, $out, 'unplugged', still: true);
        $setUps[] = new SetUp(
            'command-off',
            $top,
            [Adjustment::opened('command-plug')],
            'command-off',
            $v->open === 'off' ? PositionKind::Stands : PositionKind::Runs,
        );
        $setUps[] = new SetUp(
            'wire-off',
            (string) intdiv($v->steps + 1, 2),
            [Adjustment::opened('command-wire')],
            'wire-off',
        );
        foreach (['half' => 0.5, 'full' => 0.9] as $key => $share) {
            $setUps[] = new SetUp(
                "inject-$key",
                'off',
                [
                    Adjustment::opened('command-plug'),
                    Adjustment::set('inject.ohms', 1.0),
                    Adjustment::follow('generator.volts', 'level.volts', $v->signal($share)),
                    ...$v->relay ? [Adjustment::set('relay.ohms', self::JOINT)] : [],
                ],
                $v->activeLow ? "inject-$key-low" : "inject-$key",
                PositionKind::Runs,
            );
        }
        if ($v->external) {
            $setUps[] = new SetUp(
                'direct',
                'off',
                [
                    Adjustment::opened('plug-motor'),
                    Adjustment::opened('motor-return'),
                    Adjustment::set('direct-plus.ohms', 0.03),
                    Adjustment::set('direct-minus.ohms', 0.01),
                ],
                'direct',
                PositionKind::Runs,
            );
            $alone = [Adjustment::opened('plug-motor'), Adjustment::opened('motor-return')];
            $setUps[] = new SetUp('motor-out', 'off', $alone, 'motor-out', still: true);
        }

        return $setUps;
    }

    /** @return list<Unknown> */
    public function unknowns(): array
    {
        $amps = $this->variant->motorAmps;

        return [
            Populations::level('supply', 'vehicle supply'),
            Populations::unknown('source', 'vehicle source'),
            $amps === null
                ? Populations::unknown('size', 'blower amps', 1.0 / self::ORDINARY_AMPS)
                : Populations::unknown('size', 'drawn of plate', $amps / self::ORDINARY_AMPS),
            Populations::unknown('armature', $amps === null ? 'armature' : 'armature of known size'),
            Populations::unknown('emf', 'motor constant'),
            Populations::unknown('fan', 'fan load'),
            Populations::unknown('friction', 'friction'),
            Populations::unknown('stage', 'speed stage'),
            Populations::unknown('level', $this->variant->pulse ? 'pulse level' : 'linear level'),
            Populations::level('least', 'least command'),
            Populations::level('most', 'most command'),
            Populations::unknown('bow', 'bow of steps'),
            Populations::unknown('output', 'signal output'),
            Populations::unknown('electronics', 'module at rest'),
        ];
    }

    /** @return list<Conductor> */
    public function conductors(): array
    {
        $v = $this->variant;
        $plug = ['look-module-plug' => FaultList::BURNT] + Observation::changing('wiggle-module-plug', 0.7);
        $conductors = [
            Conductor::of('feed', ConductorKind::HeavyWire, 'feed-wire'),
            Conductor::of('fuse', ConductorKind::Fuse, 'fuse', 0.02),
            $v->relay
                ? Conductor::of('relay', ConductorKind::HeavyContact, 'relay', 0.04)->seen(
                    Observation::changing('wiggle-feed', 0.4),
                )
                : Conductor::of('fused-wire', ConductorKind::HeavyWire, 'feed-wire', 0.02)
                    ->opening(0.02)
                    ->seen(Observation::changing('wiggle-feed', 0.4)),
            Conductor::of('plug-feed', ConductorKind::Joint, 'module-plug'),
            Conductor::of('plug-ground', ConductorKind::Joint, 'module-plug', 0.06)->opening(0.03)->seen($plug),
            Conductor::of('ground', ConductorKind::HeavyWire, 'ground-wire'),
            Conductor::of('command-wire', ConductorKind::SignalWire, 'command-wire', 0.02)->seen(
                Observation::changing('wiggle-command', 0.6),
            ),
            Conductor::of('command-plug', ConductorKind::LightContact, 'module-plug', 0.02)->opening(0.02)->seen($plug),
        ];
        if (!$v->external) {
            return $conductors;
        }
        $motorPlug = ['look-motor-plug' => FaultList::BURNT];

        return [
            ...$conductors,
            Conductor::of('plug-motor', ConductorKind::Joint, 'motor-plug')->opening(0.02)->seen($motorPlug),
            Conductor::of('motor-return', ConductorKind::Joint, 'motor-plug', 0.05)->opening(0.02)->seen($motorPlug),
        ];
    }

    /**
     * @param array<string, float> $u values of the unknowns
     *
     * @return array<string, float> element parameters
     */
    public function assign(array $u): array
    {
        $v = $this->variant;
        $motor = $this->motor($u['size']);
        // A module is made for its controller: its lowest and highest duty stand at the lowest and highest command.
        $most = min(1.0, $u['most']);
        $least = min(0.6 * $most, max(self::LEAST_OF_MOST * $most, $u['least']));
        $slope = 0.9 / $most;
        $values = [
            'battery.volts' => $u['supply'],
            'battery.ohms' => $u['source'],
            'motor.armatureOhms' => $motor->armatureOhms * $u['armature'],
            'motor.emfConstant' => $motor->emfConstant * $u['emf'],
            'motor.frictionTorque' => $motor->frictionTorque * $u['friction'],
            'motor.fanConstant' => $motor->fanConstant * $u['fan'],
            'stage.ohms' => $u['stage'],
            'level.volts' => $u['level'],
            'bias.volts' => $u['level'] * $v->signal($v->openShare()),
            'command.ohms' => $u['output'],
            $v->external ? 'electronics.ohms' : 'cut-out.ohms' => $u['electronics'],
            'input.gain' => $slope,
            'input.offset' => $v->activeLow ? 1.0 - $slope : 0.0,
        ];
        foreach ($this->levels($v->shares($least, $most, $u['bow']), $u['level']) as $step => $volts) {
            $values["command.$step"] = $volts;
        }

        return $values;
    }
}

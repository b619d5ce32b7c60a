<?php

declare(strict_types=1);

namespace Ispira\Core\Families\Wiper;

use Ispira\Core\Circuit\CompoundMotor;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Conductor;
use Ispira\Core\Device\ConductorKind;
use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetElement;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Populations;
use Ispira\Core\Device\Position;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\SetUp;
use Ispira\Core\Device\Test;
use Ispira\Core\Device\Unknown;

/**
 * Wiper motor with a compound field: the dash switch grounds its RUN and FIELD terminals, and the
 * park cam grounds RUN through the body until the shaft is at rest.
 */
final readonly class CompoundWiring
{
    private const OPEN = Element::OPEN_OHMS;
    private const JOINT = 0.004;

    private const SERIES_OHMS = 0.15;
    private const ARMATURE_OHMS = 0.35;
    private const SHUNT_OHMS = 20.0;
    private const FIELD_RESISTOR_OHMS = 40.0;
    private const SERIES_CONSTANT = 0.003;
    private const FIELD_CONSTANT = 0.12;
    private const FRICTION = 0.25;
    private const BRAKING = 0.001;
    private const LINKAGE = 1.5e-6;
    private const ORDINARY_LOW_AMPS = 5.3;

    public function __construct(private float $scale, private ?float $lowAmps) {}

    public function netlist(): Netlist
    {
        $z = $this->scale * $this->scale;
        $joint = self::JOINT * $z;
        $resistor = static fn(string $id, string $from, string $to, float $ohms): Element => Element::resistor(
            $id,
            $from,
            $to,
            $ohms,
        );

        return new Netlist([
            Element::source('battery', 'battery', '0', 13.0 * $this->scale, 0.02 * $z),
            $resistor('feed', 'battery', 'fuse-in', 0.02 * $z),
            $resistor('fuse', 'fuse-in', 'fed', $joint),
            $resistor('fused-wire', 'fed', 'feed-end', 0.012 * $z),
            $resistor('plug-feed', 'feed-end', 'feed-pin', $joint),
            $resistor('series', 'feed-pin', 'A', self::SERIES_OHMS * $z),
            Element::compoundMotor(
                'motor',
                'A',
                'run-in',
                new CompoundMotor(
                    self::ARMATURE_OHMS * $z,
                    self::SERIES_CONSTANT * $z,
                    self::FIELD_CONSTANT * $z,
                    self::FRICTION,
                    self::BRAKING,
                    self::LINKAGE,
                ),
                'shunt',
            ),
            $resistor('shunt', 'A', 'field-in', self::SHUNT_OHMS * $z),
            $resistor('field-resistor', 'field-in', 'run-in', self::FIELD_RESISTOR_OHMS * $z),
            $resistor('plug-run', 'run-in', 'run-pin', $joint),
            $resistor('plug-field', 'field-in', 'field-pin', $joint),
            $resistor('run-wire', 'run-pin', 'run-end', 0.01 * $z),
            $resistor('field-wire', 'field-pin', 'field-end', 0.01 * $z),
            $resistor('dash-run', 'run-end', 'dash-ground', self::OPEN),
            $resistor('dash-field', 'field-end', 'dash-ground', self::OPEN),
            $resistor('dash-return', 'dash-ground', '0', $joint),
            $resistor('touch', 'run-pin', 'field-pin', self::OPEN),
            $resistor('run-short', 'run-pin', '0', self::OPEN),
            $resistor('field-short', 'field-pin', '0', self::OPEN),
            $resistor('cam', 'run-in', 'body', 0.01 * $z),
            $resistor('strap', 'body', '0', 0.01 * $z),
            ...self::hookUp()->elements(),
            $resistor('clip-body', 'body', '0', self::OPEN),
            $resistor('clip-feed', 'battery', 'feed-pin', self::OPEN),
            $resistor('lamp', 'feed-end', '0', self::OPEN),
        ]);
    }

    public static function hookUp(): HookUp
    {
        return new HookUp('0', ['run' => ['clip-run', 'run-in'], 'field' => ['clip-field', 'field-in']], 'clip-body', [
            'clip-feed',
        ]);
    }

    /** Torque in N·m with which a stiff linkage begins. */
    public function stiffTorque(): float
    {
        return 0.08;
    }

    /** @return list<Adjustment> */
    private function closed(string ...$elements): array
    {
        return array_map(
            fn(string $element): Adjustment => Adjustment::set("$element.ohms", 0.01 * $this->scale),
            array_values($elements),
        );
    }

    /** @return list<Position> */
    public function positions(): array
    {
        return [
            new Position('off', 'off', PositionKind::Parks, $this->closed('dash-field')),
            new Position('low', 'low', PositionKind::Runs, $this->closed('dash-run', 'dash-field')),
            new Position('high', 'high', PositionKind::Runs, $this->closed('dash-run')),
        ];
    }

    /** @return list<Adjustment> the plug taken off the motor */
    private static function unplugged(): array
    {
        return array_map(Adjustment::opened(...), ['plug-feed', 'plug-run', 'plug-field']);
    }

    /** @return list<SetUp> */
    public function setUps(): array
    {
        $rest = [Adjustment::set('cam.ohms', self::OPEN)];
        $off = FaultList::linkageOff();
        $bench = [
            ...$off,
            ...self::unplugged(),
            Adjustment::opened('strap'),
            ...$this->closed('clip-body', 'clip-feed'),
        ];
        $setUps = [];
        foreach ($this->positions() as $p) {
            $setUps[] = new SetUp($p->key, $p->key, atRest: $rest);
            $setUps[] = new SetUp("free-$p->key", $p->key, $off, 'linkage-off', atRest: $rest);
        }

        return [
            ...$setUps,
            new SetUp('parked', 'off', $rest, 'parked'),
            SetUp::isolated('dead', 'off', 'dead'),
            new SetUp(
                'bench-high',
                'high',
                [...$bench, ...$this->closed('clip-run')],
                'bench-run',
                PositionKind::Runs,
                atRest: $rest,
            ),
            new SetUp(
                'bench-low',
                'low',
                [...$bench, ...$this->closed('clip-run', 'clip-field')],
                'bench-both',
                PositionKind::Runs,
                atRest: $rest,
            ),
            new SetUp(
                'bench-park',
                'off',
                [...$bench, ...$this->closed('clip-field')],
                'bench-field',
                PositionKind::ParksFromAnywhere,
                atRest: $rest,
            ),
            new SetUp('bench-none', 'off', $bench, 'bench-none', PositionKind::Parks, atRest: $rest),
            SetUp::isolated('wires-alone', 'off', 'wires-alone-both', [
                ...self::unplugged(),
                ...array_map(Adjustment::opened(...), ['run-wire', 'field-wire']),
            ]),
            new SetUp('unplugged', 'off', [...self::unplugged(), Adjustment::opened('cam')], 'unplugged'),
            new SetUp(
                'unplugged-away',
                'off',
                [...self::unplugged(), Adjustment::set('cam.ohms', 0.01 * $this->scale * $this->scale)],
                'unplugged-away',
            ),
            ...array_map(
                static fn(string $position): SetUp => new SetUp(
                    "switch-out-$position",
                    $position,
                    array_map(Adjustment::opened(...), ['run-wire', 'field-wire', 'dash-return', 'fuse']),
                    'switch-out',
                    still: true,
                ),
                ['off', 'high'],
            ),
            new SetUp(
                'lamp-feed',
                'low',
                [...self::unplugged(), Adjustment::set('lamp.ohms', 3.0 * $this->scale * $this->scale)],
                'lamp',
            ),
        ];
    }

    /** @return list<Unknown> */
    public function unknowns(): array
    {
        return [
            Populations::level('supply', 'vehicle supply', $this->scale),
            Populations::unknown('source', 'vehicle source', $this->scale ** 2),
            $this->lowAmps === null
                ? Populations::unknown('size', 'wiper motor')
                : Populations::unknown(
                    'size',
                    'drawn of plate',
                    ($this->lowAmps * $this->scale) / self::ORDINARY_LOW_AMPS,
                ),
            Populations::unknown('armature', $this->lowAmps === null ? 'armature' : 'armature of known size'),
            Populations::unknown('series', 'field coil'),
            Populations::unknown('shunt', 'field coil'),
            Populations::unknown('resistor', 'field resistor'),
            Populations::unknown('field', 'motor constant'),
            Populations::unknown('friction', 'friction of a compound motor'),
            Populations::unknown('linkage', 'linkage'),
        ];
    }

    /** @return list<Conductor> */
    public function conductors(): array
    {
        $dash = Observation::changing('wiggle-dash', 0.6);
        $plug = Observation::changing('wiggle-plug', 0.3);
        $joint = ['look-plug' => FaultList::BURNT] + Observation::changing('wiggle-plug', 0.6);

        $conductors = [
            Conductor::of('feed', ConductorKind::HeavyWire, 'feed-wire'),
            Conductor::of('fuse', ConductorKind::Fuse, 'fuse', 0.01),
            Conductor::of('fused-wire', ConductorKind::HeavyWire, 'fused-wire', 0.015)
                ->opening(0.02)
                ->seen(Observation::changing('wiggle-feed', 0.3)),
            Conductor::of('plug-feed', ConductorKind::Joint, 'plug')
                ->opening(0.03)
                ->seen(['look-plug' => FaultList::BURNT]),
            Conductor::of('plug-run', ConductorKind::Joint, 'plug', 0.03)->opening(0.02)->seen($joint),
            Conductor::of('plug-field', ConductorKind::Joint, 'plug', 0.02)->opening(0.02)->seen($joint),
            Conductor::of('run-wire', ConductorKind::HeavyWire, 'wire', 0.02)->seen($plug),
            Conductor::of('field-wire', ConductorKind::HeavyWire, 'wire', 0.02)->seen($plug),
            Conductor::of('dash-run', ConductorKind::HeavyContact, 'dash-switch', 0.02)->madeByPosition()->seen($dash),
            Conductor::of('dash-field', ConductorKind::HeavyContact, 'dash-switch', 0.02)
                ->madeByPosition()
                ->seen($dash),
            Conductor::of('dash-return', ConductorKind::HeavyWire, 'ground-wire'),
            Conductor::of('strap', ConductorKind::HeavyWire, 'strap', 0.04)->seen([
                'look-strap' => ['fine' => 0.25, 'broken' => 0.75],
            ]),
        ];

        return array_map(fn(Conductor $c): Conductor => $c->scaled($this->scale ** 2), $conductors);
    }

    /**
     * @param array<string, float> $u values of the unknowns
     *
     * @return array<string, float> element parameters
     */
    public function assign(array $u): array
    {
        $z = $this->scale * $this->scale;

        return [
            'battery.volts' => $u['supply'],
            'battery.ohms' => $u['source'],
            'series.ohms' => ((self::SERIES_OHMS * $z) / $u['size']) * $u['series'],
            'motor.armatureOhms' => ((self::ARMATURE_OHMS * $z) / $u['size']) * $u['armature'],
            'shunt.ohms' => ((self::SHUNT_OHMS * $z) / $u['size']) * $u['shunt'],
            'field-resistor.ohms' => ((self::FIELD_RESISTOR_OHMS * $z) / $u['size']) * $u['resistor'],
            'motor.frictionTorque' => self::FRICTION * $u['size'] * $u['friction'],
            'motor.brakingConstant' => self::BRAKING * $u['size'],
            'motor.seriesConstant' => (self::SERIES_CONSTANT * $z) / $u['size'],
            'motor.fieldConstant' => ((self::FIELD_CONSTANT * $z) / $u['size']) * $u['field'],
            'motor.fanConstant' => self::LINKAGE * $u['size'] * $u['linkage'],
        ];
    }

    /** @return list<Fault> */
    public function faults(): array
    {
        return CompoundFaults::all();
    }

    /** @return list<Test> */
    public function tests(): array
    {
        return (new CompoundTests($this->scale))->all();
    }

    public function sheet(): Sheet
    {
        $bottom = 490.0;

        return new Sheet(
            600.0,
            520.0,
            [
                '0' => [40.0, $bottom],
                'battery' => [40.0, 60.0],
                'fuse-in' => [90.0, 60.0],
                'fed' => [150.0, 60.0],
                'feed-end' => [200.0, 60.0],
                'feed-pin' => [250.0, 60.0],
                'A' => [330.0, 60.0],
                'run-in' => [330.0, 220.0],
                'field-in' => [440.0, 220.0],
                'run-pin' => [330.0, 300.0],
                'field-pin' => [440.0, 300.0],
                'run-end' => [330.0, 360.0],
                'field-end' => [440.0, 360.0],
                'dash-ground' => [385.0, 450.0],
                'body' => [230.0, 330.0],
                'jumper-run' => [262.0, 275.0],
                'jumper-field' => [525.0, 275.0],
            ],
            [
                'battery' => new SheetElement('battery', 'battery', side: 'right', groundAt: [40.0, $bottom]),
                'feed' => new SheetElement('wire'),
                'fuse' => new SheetElement('fuse', 'fuse'),
                'fused-wire' => new SheetElement('wire'),
                'plug-feed' => new SheetElement('plug', 'FEED'),
                'lamp' => new SheetElement('lamp', 'test lamp', side: 'left', groundAt: [200.0, 160.0], with: 'lamp'),
                'series' => new SheetElement('resistor', 'series field'),
                'motor' => new SheetElement('motor', 'wiper', side: 'left'),
                'shunt' => new SheetElement('resistor', 'shunt field', [[440.0, 60.0]], 1, side: 'right'),
                'field-resistor' => new SheetElement('resistor', '40 Ω', side: 'below'),
                'plug-run' => new SheetElement('plug', 'RUN', side: 'right'),
                'plug-field' => new SheetElement('plug', 'FIELD', side: 'right'),
                'run-wire' => new SheetElement('wire'),
                'field-wire' => new SheetElement('wire'),
                'dash-run' => new SheetElement('relay', 'dash RUN', [[330.0, 450.0]], side: 'left'),
                'dash-field' => new SheetElement('relay', 'dash FIELD', [[440.0, 450.0]], side: 'right'),
                'dash-return' => new SheetElement('wire', groundAt: [385.0, $bottom]),
                'cam' => new SheetElement('relay', 'park cam', [[230.0, 220.0]], 1, side: 'left'),
                'strap' => new SheetElement('wire', 'body strap', side: 'left', groundAt: [230.0, $bottom]),
                'clip-feed' => new SheetElement(
                    'jumper',
                    'fused jumper',
                    [[40.0, 22.0], [250.0, 22.0]],
                    1,
                    with: 'clip-feed',
                ),
                'clip-body' => new SheetElement(
                    'jumper',
                    'body clip',
                    [[120.0, 360.0]],
                    side: 'left',
                    groundAt: [120.0, $bottom],
                    with: 'clip-body',
                ),
                'on-run' => new SheetElement('jumper', 'to RUN', side: 'left', with: 'clip-run'),
                'clip-run' => new SheetElement('jumper', groundAt: [262.0, $bottom], with: 'clip-run'),
                'on-field' => new SheetElement('jumper', with: 'clip-field'),
                'clip-field' => new SheetElement(
                    'jumper',
                    'to FIELD',
                    side: 'right',
                    groundAt: [525.0, $bottom],
                    with: 'clip-field',
                ),
            ],
        );
    }
}

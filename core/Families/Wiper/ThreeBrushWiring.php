<?php

declare(strict_types=1);

namespace Ispira\Core\Families\Wiper;

use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Circuit\ThreeBrushMotor;
use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Conductor;
use Ispira\Core\Device\ConductorKind;
use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetBlock;
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
 * Permanent-magnet wiper motor with brushes for low, high and common.
 *
 * The three brushes stand on one armature: between each two of them lies a part of its
 * winding, with that part of its EMF. The cam joins the park terminal to the park feed off
 * rest and to the common at rest, where the motor brakes itself.
 */
final readonly class ThreeBrushWiring
{
    private const OPEN = Element::OPEN_OHMS;
    private const JOINT = 0.004;
    private const BRUSH = 0.03;

    /** Half the armature, its constant, and where the third brush stands: EMF and resistance of its part. */
    private const RA = 0.35;
    private const K = 0.05;
    private const THIRD_EMF = 0.7;
    private const THIRD_PART = 1 / 3;
    private const FRICTION = 0.05;
    private const BRAKING = 2e-4;
    private const LINKAGE = 4e-7;
    private const ORDINARY_LOW_AMPS = 2.4;

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
            $resistor('feed', 'battery', 'fuse-in', 0.012 * $z),
            $resistor('fuse', 'fuse-in', 'fed', $joint),
            $resistor('dash-feed', 'fed', 'dash', 0.012 * $z),
            $resistor('dash-inside', 'dash', 'dash-bar', $joint),
            $resistor('dash-low', 'dash-bar', 'low-out', self::OPEN),
            $resistor('dash-high', 'dash-bar', 'high-out', self::OPEN),
            $resistor('dash-park', 'low-out', 'park-line', self::OPEN),
            $resistor('low-wire', 'low-out', 'low-pin', 0.015 * $z),
            $resistor('high-wire', 'high-out', 'high-pin', 0.015 * $z),
            $resistor('touch', 'low-pin', 'high-pin', self::OPEN),
            $resistor('park-wire', 'park-line', 'park-pin', 0.015 * $z),
            $resistor('park-feed', 'fed', 'park-feed-pin', 0.012 * $z),
            $resistor('plug-low', 'low-pin', 'L', $joint),
            $resistor('plug-high', 'high-pin', 'H', $joint),
            $resistor('plug-common', 'C', 'ground-pin', $joint),
            $resistor('ground', 'ground-pin', '0', 0.012 * $z),
            $resistor('cam-run', 'park-pin', 'park-feed-pin', 0.01 * $z),
            $resistor('cam-rest', 'park-pin', 'C', self::OPEN),
            ...$this->motor(1.0, 1.0, 1.0, 1.0)->elements('L', 'H', 'C'),
            ...self::hookUp()->elements(),
            $resistor('direct-park', 'battery', 'park-feed-pin', self::OPEN),
            $resistor('join-park', 'L', 'park-pin', self::OPEN),
            $resistor('direct-common', 'C', '0', self::OPEN),
            $resistor('lamp', 'low-pin', 'ground-pin', self::OPEN),
        ]);
    }

    public static function hookUp(): HookUp
    {
        return new HookUp('battery', ['low' => ['direct-low', 'L'], 'high' => ['direct-high', 'H']], 'direct-common', [
            'direct-low',
            'direct-high',
            'direct-park',
        ]);
    }

    /** Torque in N·m with which a stiff linkage begins. */
    public function stiffTorque(): float
    {
        return 0.03;
    }

    /** @return list<Adjustment> */
    private function closed(string ...$elements): array
    {
        return array_map(
            fn(string $element): Adjustment => Adjustment::set("$element.ohms", self::JOINT * $this->scale),
            array_values($elements),
        );
    }

    /** @return list<Position> */
    public function positions(): array
    {
        return [
            new Position('off', 'off', PositionKind::Parks, $this->closed('dash-park')),
            new Position('low', 'low', PositionKind::Runs, $this->closed('dash-low')),
            new Position('high', 'high', PositionKind::Runs, $this->closed('dash-high')),
        ];
    }

    /** @return list<SetUp> */
    public function setUps(): array
    {
        $rest = [Adjustment::set('cam-run.ohms', self::OPEN), Adjustment::set('cam-rest.ohms', 0.01 * $this->scale)];
        $out = array_map(Adjustment::opened(...), ['plug-low', 'plug-high', 'plug-common', 'park-wire', 'park-feed']);
        $bench = [...$out, Adjustment::set('direct-common.ohms', 0.01), ...FaultList::linkageOff()];
        $setUps = [];
        foreach ($this->positions() as $p) {
            $setUps[] = new SetUp($p->key, $p->key, atRest: $rest);
            $setUps[] = new SetUp("free-$p->key", $p->key, FaultList::linkageOff(), 'linkage-off', atRest: $rest);
        }

        return [
            ...$setUps,
            new SetUp('parked', 'off', $rest, 'parked'),
            SetUp::isolated('dead', 'off', 'dead'),
            new SetUp(
                'bench-low',
                'low',
                [...$bench, Adjustment::set('direct-low.ohms', 0.02)],
                'bench',
                PositionKind::Runs,
            ),
            new SetUp(
                'bench-high',
                'high',
                [...$bench, Adjustment::set('direct-high.ohms', 0.02)],
                'bench',
                PositionKind::Runs,
            ),
            new SetUp(
                'bench-park',
                'off',
                [...$bench, ...$this->closed('direct-park', 'join-park')],
                'bench-park',
                PositionKind::ParksFromAnywhere,
                atRest: $rest,
            ),
            SetUp::isolated('wires-alone', 'off', 'wires-alone', $out),
            new SetUp('unplugged', 'off', [...$out, Adjustment::opened('cam-run')], 'unplugged'),
            new SetUp(
                'lamp-low',
                'low',
                [...$out, Adjustment::set('lamp.ohms', 3.0 * $this->scale * $this->scale)],
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
            Populations::unknown('emf', 'motor constant'),
            Populations::level('third', 'third brush'),
            Populations::unknown('friction', 'friction'),
            Populations::unknown('linkage', 'linkage'),
        ];
    }

    /** @return list<Conductor> */
    public function conductors(): array
    {
        $dash = Observation::changing('wiggle-dash', 0.6);
        $plug = ['look-plug' => FaultList::BURNT] + Observation::changing('wiggle-plug', 0.6);
        $conductors = [
            Conductor::of('feed', ConductorKind::HeavyWire, 'feed-wire'),
            Conductor::of('fuse', ConductorKind::Fuse, 'fuse', 0.01),
            Conductor::of('dash-feed', ConductorKind::HeavyWire, 'fused-wire', 0.015)->seen(
                Observation::changing('wiggle-feed', 0.3),
            ),
            Conductor::of('dash-inside', ConductorKind::HeavyContact, 'dash-switch', 0.015)
                ->opening(0.015)
                ->seen($dash),
            Conductor::of('park-feed', ConductorKind::HeavyWire, 'wire', 0.01),
            Conductor::of('plug-low', ConductorKind::Joint, 'plug', 0.03)->opening(0.02)->seen($plug),
            Conductor::of('plug-high', ConductorKind::Joint, 'plug', 0.03)->opening(0.02)->seen($plug),
            Conductor::of('plug-common', ConductorKind::Joint, 'plug', 0.03)->opening(0.02)->seen($plug),
            Conductor::of('ground', ConductorKind::HeavyWire, 'ground-wire'),
        ];
        foreach (['low', 'high', 'park'] as $line) {
            $conductors[] = Conductor::of("dash-$line", ConductorKind::HeavyContact, 'dash-switch', 0.015)
                ->madeByPosition()
                ->seen($dash);
            $conductors[] = Conductor::of("$line-wire", ConductorKind::HeavyWire, 'wire', 0.015)->seen(
                Observation::changing('wiggle-plug', 0.3),
            );
        }

        return array_map(fn(Conductor $c): Conductor => $c->scaled($this->scale ** 2), $conductors);
    }

    /**
     * @param array<string, float> $u values of the unknowns
     *
     * @return array<string, float> element parameters
     */
    public function assign(array $u): array
    {
        return [
            'battery.volts' => $u['supply'],
            'battery.ohms' => $u['source'],
            ...$this->motor(
                $u['size'],
                $u['emf'],
                $u['friction'],
                $u['linkage'],
                $u['armature'],
                $u['third'],
            )->parameters(),
        ];
    }

    private function motor(
        float $size,
        float $emf,
        float $friction,
        float $linkage,
        float $armature = 1.0,
        float $third = self::THIRD_EMF,
    ): ThreeBrushMotor {
        $z = $this->scale * $this->scale;

        return new ThreeBrushMotor(
            ((2.0 * self::RA * $z) / $size) * $armature,
            self::K * $this->scale * $emf,
            $third,
            self::THIRD_PART,
            self::BRUSH * $z,
            self::FRICTION * $size * $friction,
            self::LINKAGE * $size * $linkage,
            self::BRAKING * $size,
        );
    }

    /** @return list<Fault> */
    public function faults(): array
    {
        return (new ThreeBrushFaults($this->scale))->all();
    }

    /** @return list<Test> */
    public function tests(): array
    {
        return (new ThreeBrushTests($this->scale))->all();
    }

    public function sheet(): Sheet
    {
        $bottom = 440.0;

        return new Sheet(
            545.0,
            470.0,
            [
                '0' => [40.0, $bottom],
                'battery' => [40.0, 60.0],
                'fuse-in' => [80.0, 60.0],
                'fed' => [140.0, 60.0],
                'dash' => [180.0, 85.0],
                'dash-bar' => [180.0, 110.0],
                'low-out' => [240.0, 200.0],
                'high-out' => [240.0, 110.0],
                'park-line' => [240.0, 290.0],
                'low-pin' => [310.0, 200.0],
                'high-pin' => [310.0, 110.0],
                'park-pin' => [310.0, 290.0],
                'park-feed-pin' => [310.0, 360.0],
                'L' => [380.0, 200.0],
                'H' => [380.0, 110.0],
                'C' => [425.0, 240.0],
                'ground-pin' => [425.0, 400.0],
                'jumper-low' => [368.0, 165.0],
                'jumper-high' => [357.0, 75.0],
            ],
            [
                'battery' => new SheetElement('battery', 'battery', side: 'right', groundAt: [40.0, $bottom]),
                'feed' => new SheetElement('wire'),
                'fuse' => new SheetElement('fuse', 'fuse'),
                'dash-feed' => new SheetElement('wire', '', [[180.0, 60.0]]),
                'dash-inside' => new SheetElement('wire'),
                'dash-high' => new SheetElement('relay', 'high'),
                'dash-low' => new SheetElement('relay', 'low', [[180.0, 200.0]], 1),
                'dash-park' => new SheetElement('relay', 'park', side: 'right'),
                'low-wire' => new SheetElement('wire'),
                'high-wire' => new SheetElement('wire'),
                'park-wire' => new SheetElement('wire'),
                'park-feed' => new SheetElement('wire', '', [[140.0, 360.0]]),
                'plug-low' => new SheetElement('plug', 'plug'),
                'plug-high' => new SheetElement('plug'),
                'cam-run' => new SheetElement('relay', 'cam', side: 'left'),
                'cam-rest' => new SheetElement('relay', 'cam at rest', side: 'above', toAt: [425.0, 290.0]),
                'plug-common' => new SheetElement('plug'),
                'ground' => new SheetElement('wire', groundAt: [425.0, $bottom]),
                'direct-low' => new SheetElement(
                    'jumper',
                    'fused jumper to low',
                    [[40.0, 22.0], [368.0, 22.0]],
                    1,
                    with: 'direct-low',
                ),
                'on-low' => new SheetElement('jumper', with: 'direct-low', toAt: [368.0, 200.0]),
                'direct-high' => new SheetElement(
                    'jumper',
                    'fused jumper to high',
                    [[40.0, 22.0], [357.0, 22.0]],
                    1,
                    with: 'direct-high',
                ),
                'on-high' => new SheetElement('jumper', with: 'direct-high', toAt: [357.0, 110.0]),
                'direct-park' => new SheetElement(
                    'jumper',
                    'fused jumper to park feed',
                    [[15.0, 60.0], [15.0, 415.0], [310.0, 415.0]],
                    2,
                    with: 'direct-park',
                ),
                'join-park' => new SheetElement(
                    'jumper',
                    'joined',
                    [[366.0, 200.0], [366.0, 262.0], [322.0, 262.0]],
                    2,
                    side: 'above',
                    with: 'join-park',
                    toAt: [322.0, 290.0],
                ),
                'lamp' => new SheetElement(
                    'lamp',
                    'test lamp',
                    [[310.0, 230.0], [275.0, 230.0], [275.0, 400.0]],
                    2,
                    side: 'left',
                    with: 'lamp',
                ),
                'direct-common' => new SheetElement(
                    'jumper',
                    'clip to common',
                    [[425.0, 265.0], [495.0, 265.0]],
                    2,
                    side: 'left',
                    groundAt: [495.0, $bottom],
                    with: 'direct-common',
                ),
            ],
            [
                'motor' => new SheetBlock(
                    'wiper motor',
                    380.0,
                    80.0,
                    90.0,
                    160.0,
                    ['brush-low', 'brush-high', 'brush-common', 'motor', 'upper', 'between'],
                    'motor',
                ),
            ],
        );
    }
}

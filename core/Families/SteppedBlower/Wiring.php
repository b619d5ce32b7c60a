<?php

declare(strict_types=1);

namespace Ispira\Core\Families\SteppedBlower;

use Ispira\Core\Circuit\BrushedMotor;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Conductor;
use Ispira\Core\Device\ConductorKind;
use Ispira\Core\Device\Learnable;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Populations;
use Ispira\Core\Device\Position;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Unknown;

/**
 * The netlist of a stepped-resistor blower, its positions and set-ups, and what is unknown about it.
 *
 * Feed-side: battery – feed – fuse – relay – selector – pack – blower – ground. Ground-side:
 * battery – feed – fuse – relay – blower – pack – selector – ground. The switching side has the
 * same elements in both; only the nodes it hangs between are exchanged.
 */
final readonly class Wiring
{
    /** Ordinary 12 V cabin blower: about 18 A at 13.2 V. */
    private const ARMATURE_OHMS = 0.25;
    private const EMF_CONSTANT = 0.025;
    private const FRICTION_TORQUE = 0.03;
    private const FAN_CONSTANT = 3.5e-6;

    /** What that motor draws on high behind ordinary wiring at 13.1 V: rated currents are compared with it. */
    private const ORDINARY_AMPS = 15.8;

    /** Joints, wires and contacts in good order, in Ω. */
    public const JOINT = 0.004;
    private const WIRE = 0.012;

    /** Where a wire leaves the selector: its resistance counts with the wire. */
    private const PIN = 1e-4;

    public function __construct(private Variant $variant) {}

    public function netlist(): Netlist
    {
        $v = $this->variant;
        $z = $v->scale;
        $wire = self::WIRE * $z;
        $joint = self::JOINT * $z;
        $elements = [
            Element::source('battery', 'battery', '0', 13.1 * $v->scale, 0.015 * $z),
            Element::resistor('feed', 'battery', 'fuse-in', $wire),
            Element::resistor('fuse', 'fuse-in', 'fuse-out', $joint),
            Element::resistor('relay', 'fuse-out', $v->mode === 'feed' ? 'relay-out' : 'fed', $joint),
            Element::motor('motor', 'motor-plus', 'motor-minus', $this->motor(1.0)),
            Element::resistor('plug-plus', $v->plusNode(), 'motor-plus', $joint),
            Element::resistor('plug-minus', 'motor-minus', $v->minusNode(), $joint),
            Element::resistor('ground', $v->mode === 'return' ? 'mode-out' : 'return', '0', $wire),
            Element::resistor('selector', $v->selectorNode(), 'wiper', $joint),
            Element::resistor('lamp', $v->plusNode(), $v->minusNode(), Variant::OPEN),
            Element::resistor('direct-plus', 'battery', 'motor-plus', Variant::OPEN),
            Element::resistor('direct-minus', 'motor-minus', '0', Variant::OPEN),
        ];
        if ($v->modeContact()) {
            [$before, $after] = $v->modeNodes();
            $elements[] = Element::resistor('mode', $before, $after, $joint);
            $elements[] = Element::resistor('mode-other', $before, $after, Variant::OPEN);
        }

        return new Netlist([...$elements, ...$this->pack($joint, $wire), ...$this->high($joint, $wire)]);
    }

    /** @return list<Position> */
    public function positions(): array
    {
        $top = $this->variant->top;
        $positions = [
            new Position('key-off', 'key off', PositionKind::Stands, [
                Adjustment::set('relay.ohms', Variant::OPEN),
                ...$this->contactClosed($top),
            ]),
            new Position('off', '0', PositionKind::Stands, []),
        ];
        foreach (range(1, $top) as $position) {
            $positions[] = new Position(
                (string) $position,
                (string) $position,
                PositionKind::Runs,
                $this->contactClosed($position),
            );
        }

        return $positions;
    }

    /** @return list<Learnable> */
    public function learnables(): array
    {
        $resistors = array_map(static fn(int $k): string => "resistor-$k.ohms", $this->variant->lowPositions());

        return [
            Learnable::volts('supply', 'battery.volts'),
            $this->variant->chain
                ? Learnable::ohms('packOhms', ...$resistors)
                : Learnable::ohms('lowest', 'resistor-1.ohms'),
        ];
    }

    /** @return list<Unknown> */
    public function unknowns(): array
    {
        $v = $this->variant;
        $typed = $v->motorAmps !== null;
        $known = $v->packOhms !== null;
        $unknowns = [
            Populations::level('supply', 'vehicle supply'),
            Populations::unknown('source', 'vehicle source', $v->impedance()),
            $typed
                ? Populations::unknown(
                    'motorSize',
                    'plate of a blower',
                    ($v->motorAmps * $v->scale) / self::ORDINARY_AMPS,
                )
                : Populations::unknown('motorSize', 'blower amps', 1.0 / self::ORDINARY_AMPS),
            Populations::unknown('armature', $typed ? 'armature of known size' : 'armature'),
            Populations::unknown('emf', 'motor constant'),
            Populations::unknown('fan', 'fan load'),
            Populations::unknown('friction', 'friction'),
        ];
        if (!$known) {
            $unknowns[] = Populations::unknown('packTotal', 'speed pack');
            $unknowns[] = Populations::unknown('packRatio', 'steps of a pack');
        }
        foreach ($v->lowPositions() as $k) {
            $unknowns[] = Populations::unknown("resistor-$k", $known ? 'typed resistance' : 'resistor of a pack');
        }

        return $unknowns;
    }

    /** @return list<Conductor> */
    public function conductors(): array
    {
        $v = $this->variant;
        $selector = $v->selectorPart();
        $wiggled = Observation::changing('wiggle-selector', 0.4);
        $share = 1.0 / $v->top;
        $conductors = [
            Conductor::of('feed', ConductorKind::HeavyWire, 'feed-wire'),
            Conductor::of('fuse', ConductorKind::Fuse, 'fuse', 0.02),
            Conductor::of('relay', ConductorKind::HeavyContact, 'relay', 0.035)->seen(
                Observation::changing('wiggle-relay', 0.4),
            ),
            Conductor::of('plug-plus', ConductorKind::Joint, 'motor-plug'),
            Conductor::of('plug-minus', ConductorKind::Joint, 'motor-plug', 0.07)
                ->opening(0.03)
                ->seen(['look-motor-plug' => FaultList::BURNT, ...Observation::changing('wiggle-motor-plug', 0.7)]),
            Conductor::of('plug-pack', ConductorKind::Joint, 'pack-plug'),
            Conductor::of('ground', ConductorKind::HeavyWire, 'ground-wire'),
            Conductor::of('selector', ConductorKind::HeavyContact, $selector, 0.02)->seen(
                $v->electronic ? [] : $wiggled,
            ),
        ];
        foreach (range(1, $v->top) as $position) {
            if (!$v->electronic) {
                $conductors[] = Conductor::of(
                    "contact-$position",
                    ConductorKind::HeavyContact,
                    $selector,
                    0.04 * $share,
                )
                    ->madeByPosition()
                    ->seen($wiggled);
            }
            if ($position < $v->top || !$v->highRelay()) {
                $conductors[] = Conductor::of(
                    "tap-$position",
                    ConductorKind::HeavyWire,
                    'tap-wire',
                    0.02 * $share,
                )->seen(Observation::changing('wiggle-wires', 0.5));
            }
        }
        if ($v->modeContact()) {
            $conductors[] = Conductor::of('mode', ConductorKind::HeavyContact, 'mode-selector', 0.02)->seen(
                Observation::changing('wiggle-mode', 0.4),
            );
        }
        if ($v->highRelay()) {
            $conductors[] = Conductor::of('high-feed', ConductorKind::HeavyWire, 'high-wire', 0.02);
            $conductors[] = Conductor::of('high-joint', ConductorKind::HeavyContact, 'high-relay', 0.03)->seen(
                Observation::changing('wiggle-high', 0.4),
            );
        }
        if ($v->highRelay() && $v->feedSide) {
            $conductors[] = Conductor::of('high-fuse', ConductorKind::Fuse, 'high-fuse', 0.01);
        }
        if ($v->high === 'changeover') {
            $conductors[] = Conductor::of('rest-joint', ConductorKind::HeavyContact, 'high-relay', 0.03);
        }

        return array_map(static fn(Conductor $c): Conductor => $c->scaled($v->impedance()), $conductors);
    }

    /**
     * @param array<string, float> $u values of the unknowns
     *
     * @return array<string, float> element parameters
     */
    public function assign(array $u): array
    {
        $v = $this->variant;
        $motor = $this->motor($u['motorSize']);
        $values = [
            'battery.volts' => $u['supply'] * $v->scale,
            'battery.ohms' => $u['source'],
            'motor.armatureOhms' => $motor->armatureOhms * $u['armature'],
            'motor.emfConstant' => $motor->emfConstant * $u['emf'],
            'motor.frictionTorque' => $motor->frictionTorque * $u['friction'],
            'motor.fanConstant' => $motor->fanConstant * $u['fan'],
        ];
        // Packs are made for their motors: the larger the motor, the fewer ohms.
        $total = ($u['packTotal'] ?? 1.75) / $u['motorSize'];
        foreach ($this->packOhms($total, $u['packRatio'] ?? 1.7) as $k => $ohms) {
            $values["resistor-$k.ohms"] = $ohms * $u["resistor-$k"];
        }

        return $values;
    }

    private function motor(float $size): BrushedMotor
    {
        return new BrushedMotor(
            (self::ARMATURE_OHMS * $this->variant->impedance()) / $size,
            self::EMF_CONSTANT * $this->variant->scale,
            self::FRICTION_TORQUE * $size,
            self::FAN_CONSTANT * $size,
        );
    }

    /**
     * Resistances by position. Unknown packs are drawn as a geometric row, largest at the low end.
     *
     * @return array<int, float>
     */
    private function packOhms(float $total, float $ratio): array
    {
        $known = $this->variant->packOhms;
        $low = $this->variant->lowPositions();
        if ($known !== null && \count($known) === \count($low)) {
            return array_combine($low, $known);
        }
        $weights = [];
        foreach ($low as $k) {
            $weights[$k] = $ratio ** -$k;
        }
        $unit = ($total * $this->variant->impedance()) / array_sum($weights);
        $chain = array_map(static fn(float $weight): float => $weight * $unit, $weights);
        if ($this->variant->chain) {
            return $chain;
        }
        $coils = [];
        foreach ($low as $k) {
            $coils[$k] = array_sum(\array_slice($chain, $k - 1));
        }

        return $coils;
    }

    /** @return list<Element> */
    private function pack(float $joint, float $wire): array
    {
        $v = $this->variant;
        $elements = [];
        $ohms = $this->packOhms(1.75, 1.7);
        foreach ($v->lowPositions() as $k) {
            $next = $v->chain && $k < $v->top - 1 ? 'pack-' . ($k + 1) : 'pack-end';
            $elements[] = Element::resistor("contact-$k", 'wiper', "tap-$k", Variant::OPEN);
            $elements[] = Element::resistor("pin-$k", "tap-$k", "wire-$k", self::PIN);
            $elements[] = Element::resistor("tap-$k", "wire-$k", "pack-$k", $wire);
            $elements[] = Element::resistor("resistor-$k", "pack-$k", $next, $ohms[$k]);
            $elements[] = Element::resistor("body-$k", "wire-$k", '0', Variant::OPEN);
            $elements[] = Element::resistor("bridge-$k", "tap-$k", 'tap-' . ($k + 1), Variant::OPEN);
            $elements[] = Element::resistor("touch-$k", "wire-$k", 'wire-' . ($k + 1), Variant::OPEN);
        }
        $elements[] = Element::resistor('common', 'pack-end', 'pack-common', $joint);
        if ($v->high === 'changeover') {
            $elements[] = Element::restContact('rest', 'pack-common', 'rest', 'high-coil', $joint);
            $elements[] = Element::resistor('rest-joint', 'rest', 'pack-out', $joint);
        }
        $elements[] = Element::resistor(
            'plug-pack',
            $v->high === 'changeover' ? 'pack-out' : 'pack-common',
            'drive',
            $joint,
        );

        return $elements;
    }

    /** @return list<Element> */
    private function high(float $joint, float $wire): array
    {
        $v = $this->variant;
        $elements = [
            Element::resistor("contact-$v->top", 'wiper', "tap-$v->top", Variant::OPEN),
            Element::resistor("pin-$v->top", "tap-$v->top", "wire-$v->top", self::PIN),
        ];
        if (!$v->highRelay()) {
            return [...$elements, Element::resistor("tap-$v->top", "wire-$v->top", 'drive', $wire)];
        }
        // On the feed side the relay has its own fused feed; on the ground side its own ground.
        $source = $v->feedSide ? 'battery' : '0';
        $coilEnds = $v->feedSide ? ["wire-$v->top", '0'] : ['fed', "wire-$v->top"];

        return [
            ...$elements,
            Element::coil(
                'high-coil',
                $coilEnds[0],
                $coilEnds[1],
                85.0 * $v->impedance(),
                7.0 * $v->scale,
                2.0 * $v->scale,
            ),
            Element::resistor('high-feed', $source, 'high-in', $wire),
            Element::resistor('high-fuse', 'high-in', 'high-fused', $joint),
            Element::workContact('high-contact', 'high-fused', 'high-out', 'high-coil', $joint),
            Element::resistor('high-weld', 'high-fused', 'high-out', Variant::OPEN),
            Element::resistor('high-joint', 'high-out', 'drive', $joint),
        ];
    }

    /** @return list<Adjustment> */
    private function contactClosed(int $position): array
    {
        return [Adjustment::set("contact-$position.ohms", self::JOINT * $this->variant->scale)];
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Families\RadiatorFan;

use Ispira\Core\Circuit\BrushedMotor;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Populations;
use Ispira\Core\Device\Position;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Unknown;

/**
 * Netlist, requests and set-ups of two-speed radiator fans.
 *
 * In a pair the first relay feeds the main fan; the second leads its return to ground, or at
 * rest on to the second fan; the third feeds the second fan directly.
 */
final readonly class Wiring
{
    private const OPEN = Element::OPEN_OHMS;
    private const JOINT = 0.004;
    private const WIRE = 0.01;

    /** Ordinary fan motor, and its current on high at 13.2 V. */
    private const ARMATURE_OHMS = 0.15;
    private const EMF_CONSTANT = 0.045;
    private const FRICTION_TORQUE = 0.05;
    private const FAN_CONSTANT = 9e-6;
    private const ORDINARY_AMPS = 12.6;

    private const RESISTOR_OHMS = 0.55;

    public function __construct(private Layout $layout) {}

    public function netlist(): Netlist
    {
        return new Netlist([
            Element::source('battery', 'battery', '0', 13.2, 0.015),
            Element::resistor('feed', 'battery', 'fuse-in', self::WIRE),
            Element::resistor('fuse', 'fuse-in', 'fed', self::JOINT),
            ...$this->control(),
            ...$this->layout->pair() ? $this->pair() : $this->lines(),
            ...$this->lineToSecond(),
            ...$this->fans(),
        ]);
    }

    /** @return list<Element> */
    private function control(): array
    {
        if (!$this->layout->relays) {
            return [
                Element::resistor('switch-plug', 'fed', 'switch-in', self::JOINT),
                Element::resistor('stage-1', 'switch-in', 'low-line', self::OPEN),
                Element::resistor('stage-2', 'switch-in', 'high-line', self::OPEN),
                Element::resistor('jump-low', 'switch-in', 'low-line', self::OPEN),
                Element::resistor('jump-high', 'switch-in', 'high-line', self::OPEN),
            ];
        }
        $elements = [
            Element::resistor('request-low', 'ask-low', '0', self::OPEN),
            Element::resistor('request-high', 'ask-high', '0', self::OPEN),
            Element::resistor('jump-low', 'ask-low', '0', self::OPEN),
            Element::resistor('jump-high', 'ask-high', '0', self::OPEN),
        ];
        foreach ($this->layout->relaysByRequest() as $relay => $request) {
            $elements[] = Element::coil("$relay-coil", 'fed', "ask-$request", 85.0, 7.0, 2.0);
        }
        if (!$this->layout->pair()) {
            foreach (['low', 'high'] as $line) {
                $elements[] = Element::workContact(
                    "k-$line-contact",
                    'fed',
                    "k-$line-out",
                    "k-$line-coil",
                    self::JOINT,
                );
                $elements[] = Element::resistor("k-$line-weld", 'fed', "k-$line-out", self::OPEN);
                $elements[] = Element::resistor("k-$line-joint", "k-$line-out", "$line-line", self::JOINT);
            }
        }

        return $elements;
    }

    /** @return list<Element> from the low and high lines to the fans */
    private function lines(): array
    {
        if ($this->layout->twoInputs('a')) {
            return $this->inputs('a', $this->layout->arrangement === 'second-before-low' ? 'b-return' : 'low-line');
        }

        return [
            Element::resistor('low-wire', 'low-line', 'resistor-in', self::WIRE),
            Element::resistor('resistor', 'resistor-in', 'fan-feed', self::RESISTOR_OHMS),
            Element::resistor('high-wire', 'high-line', 'fan-feed', self::WIRE),
        ];
    }

    /** @return list<Element> a fan's two inputs, from the lines to its armature */
    private function inputs(string $fan, string $lowFrom): array
    {
        $own = static fn(string $name): string => Layout::own($name, $fan);

        return [
            Element::resistor($own('low-wire'), $lowFrom, $own('low-pin'), self::WIRE),
            Element::resistor($own('high-wire'), 'high-line', $own('high-pin'), self::WIRE),
            Element::resistor($own('plug-low'), $own('low-pin'), $own('low-in'), self::JOINT),
            Element::resistor($own('plug-high'), $own('high-pin'), $own('inner'), self::JOINT),
            Element::resistor($own('low-brush'), $own('low-in'), $own('inner'), self::RESISTOR_OHMS),
        ];
    }

    /** @return list<Element> what feeds a second fan beside a main one with two inputs */
    private function lineToSecond(): array
    {
        return match ($this->layout->arrangement) {
            'two-inputs-each' => $this->inputs('b', 'low-line'),
            'second-with-low', 'second-before-low' => [
                Element::resistor('second-wire', 'low-line', 'b-feed', self::WIRE),
            ],
            'second-with-high' => [Element::resistor('second-wire', 'high-line', 'b-feed', self::WIRE)],
            default => [],
        };
    }

    /** @return list<Element> */
    private function pair(): array
    {
        return [
            Element::workContact('k1-contact', 'fed', 'k1-out', 'k1-coil', self::JOINT),
            Element::resistor('k1-weld', 'fed', 'k1-out', self::OPEN),
            Element::resistor('k1-joint', 'k1-out', 'a-feed', self::JOINT),
            Element::workContact('k2-work', 'a-return', 'k2-ground', 'k2-coil', self::JOINT),
            Element::resistor('k2-weld', 'a-return', 'k2-ground', self::OPEN),
            Element::resistor('k2-joint', 'k2-ground', '0', self::WIRE),
            Element::restContact('k2-rest', 'a-return', 'k2-through', 'k2-coil', self::JOINT),
            Element::resistor('k2-rest-joint', 'k2-through', 'b-feed', self::JOINT),
            Element::workContact('k3-contact', 'fed', 'k3-out', 'k3-coil', self::JOINT),
            Element::resistor('k3-weld', 'fed', 'k3-out', self::OPEN),
            Element::resistor('k3-joint', 'k3-out', 'b-feed', self::JOINT),
        ];
    }

    /** @return list<Element> */
    private function fans(): array
    {
        $l = $this->layout;
        $elements = [];
        foreach ($l->fans() as $fan) {
            $plus = $l->plus($fan);
            if (!$l->twoInputs($fan)) {
                $elements[] = Element::resistor("plug-$fan", $l->feedPins($fan)["plug-$fan"], $plus, self::JOINT);
            }
            $elements[] = Element::motor("fan-$fan", $plus, "$fan-minus", $this->motor(1.0));
            $elements[] = Element::resistor("plug-minus-$fan", "$fan-minus", $l->return($fan), self::JOINT);
            if ($l->hasGround($fan)) {
                $elements[] = Element::resistor("ground-$fan", "$fan-ground", '0', self::WIRE);
            }
            $elements[] = Element::resistor("direct-$fan", 'battery', $plus, self::OPEN);
            $elements[] = Element::resistor("direct-minus-$fan", "$fan-minus", '0', self::OPEN);
            if ($l->twoInputs($fan)) {
                $low = Layout::own('low-in', $fan);
                $elements[] = Element::resistor(Layout::own('direct-low', $fan), 'battery', $low, self::OPEN);
            }
        }
        if ($l->twoInputs('a')) {
            $elements[] = Element::resistor('lamp', 'low-pin', 'a-ground', self::OPEN);
        } else {
            $elements[] = Element::resistor(
                'lamp',
                $l->pair() ? 'a-feed' : 'fan-feed',
                $l->pair() ? '0' : 'a-ground',
                self::OPEN,
            );
        }

        return $elements;
    }

    private function motor(float $size): BrushedMotor
    {
        return new BrushedMotor(
            self::ARMATURE_OHMS / $size,
            self::EMF_CONSTANT,
            self::FRICTION_TORQUE * $size,
            self::FAN_CONSTANT * $size,
        );
    }

    /** @return list<Adjustment> */
    private function request(string $request): array
    {
        $closed = static fn(string $element): Adjustment => Adjustment::set("$element.ohms", self::JOINT);
        $low = $this->layout->relays ? 'request-low' : 'stage-1';
        $high = $this->layout->relays ? 'request-high' : 'stage-2';

        return match ($request) {
            'low' => [$closed($low)],
            'high' => [$closed($low), $closed($high)],
            default => [],
        };
    }

    /** @return list<Position> */
    public function positions(): array
    {
        $positions = [];
        foreach (['off', 'low', 'high'] as $request) {
            foreach ($this->layout->fans() as $fan) {
                $positions[] = new Position(
                    $this->layout->cell($request, $fan),
                    $this->layout->label($request, $fan),
                    $this->layout->runs($request, $fan) ? PositionKind::Runs : PositionKind::Stands,
                    $this->request($request),
                    "fan-$fan",
                );
            }
        }

        return $positions;
    }

    /** @return list<Unknown> */
    public function unknowns(): array
    {
        $amps = $this->layout->motorAmps;
        $unknowns = [
            Populations::level('supply', 'vehicle supply'),
            Populations::unknown('source', 'vehicle source'),
            $amps === null
                ? Populations::unknown('size', 'radiator fan amps', 1.0 / self::ORDINARY_AMPS)
                : Populations::unknown('size', 'drawn of plate', $amps / self::ORDINARY_AMPS),
            Populations::unknown('drop', 'radiator resistor'),
        ];
        foreach ($this->layout->fans() as $fan) {
            array_push(
                $unknowns,
                Populations::unknown("armature-$fan", $amps === null ? 'armature' : 'armature of known size'),
                Populations::unknown("emf-$fan", 'motor constant'),
                Populations::unknown("load-$fan", 'fan load'),
                Populations::unknown("friction-$fan", 'friction'),
            );
        }

        return $unknowns;
    }

    /**
     * @param array<string, float> $u values of the unknowns
     *
     * @return array<string, float> element parameters
     */
    public function assign(array $u): array
    {
        $motor = $this->motor($u['size']);
        $values = ['battery.volts' => $u['supply'], 'battery.ohms' => $u['source']];
        foreach ($this->layout->fans() as $fan) {
            $values["fan-$fan.armatureOhms"] = $motor->armatureOhms * $u["armature-$fan"];
            $values["fan-$fan.emfConstant"] = $motor->emfConstant * $u["emf-$fan"];
            $values["fan-$fan.frictionTorque"] = $motor->frictionTorque * $u["friction-$fan"];
            $values["fan-$fan.fanConstant"] = $motor->fanConstant * $u["load-$fan"];
        }
        // Resistors are made for their motors: the larger these, the fewer ohms.
        if ($this->layout->dropsInResistor()) {
            $values['resistor.ohms'] = $u['drop'] / ($u['size'] * \count($this->layout->fans())) ** 0.7;
        }
        foreach (array_filter($this->layout->fans(), $this->layout->twoInputs(...)) as $fan) {
            $values[Layout::own('low-brush', $fan) . '.ohms'] = $u['drop'] / $u['size'] ** 0.7;
        }

        return $values;
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Families\EcmBlower;

use Ispira\Core\Circuit\ElectronicMotor;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Conductor;
use Ispira\Core\Device\ConductorKind;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Populations;
use Ispira\Core\Device\Position;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\SetUp;
use Ispira\Core\Device\Unknown;
use Ispira\Core\Families\Furnace\HeatRise;

/**
 * Permanent line through the module's inrush limiter; 24 V from the board on the tap of a call, or a demand on one
 * data wire; three phases behind the module, which only an ohmmeter reaches.
 */
final readonly class Wiring
{
    /** Call, its terminal on the thermostat's strip, and the torque programmed for it over rated. */
    private const CALLS = ['fan' => ['G', 0.5], 'heat' => ['W', 0.7], 'cool' => ['Y', 1.0]];

    private const INPUT_OHMS = 2200.0;
    private const GHOST_OHMS = 470e3;
    private const PHASE_OHMS = 2.4;
    private const RATED_WATTS = 420.0;

    public function __construct(
        public bool $data,
        private bool $fanTerminal,
        public float $line,
        private ?float $phaseOhms,
        private ?float $ratedAmps,
        private HeatRise $rise,
    ) {}

    /** @return list<string> calls from the slowest to the fastest */
    public function calls(): array
    {
        return $this->fanTerminal ? ['fan', 'heat', 'cool'] : ['heat', 'cool'];
    }

    public static function terminal(string $call): string
    {
        return self::CALLS[$call][0];
    }

    /** Whether the module doubles a line of 120 V, for which a jumper has to be in its plug. */
    public function doubles(): bool
    {
        return $this->line < 200.0;
    }

    /** Node at which a call's signal reaches the module. */
    public function signal(string $call): string
    {
        return $this->data ? 'data' : "tap-$call";
    }

    private function motor(): ElectronicMotor
    {
        return new ElectronicMotor(
            leastVolts: 0.6 * $this->line,
            ratedWatts: $this->ratedAmps === null ? self::RATED_WATTS : 0.6 * $this->ratedAmps * $this->line,
        );
    }

    /** Speed on a heat call when nothing is wrong, in rad/s. */
    public function heatSpeed(): float
    {
        return $this->motor()->speed(self::CALLS['heat'][1]);
    }

    public function netlist(): Netlist
    {
        $inputs = [];
        $elements = [
            Element::alternatingSource('line', 'L', '0', $this->line, 0.3),
            Element::resistor('breaker', 'L', 'fed', 0.02),
            Element::resistor('door', 'fed', 'live', 0.02),
            Element::resistor('line-plug', 'live', 'module-line', 0.02),
            Element::resistor('neutral-plug', 'module-neutral', '0', 0.02),
            Element::resistor('inrush', 'module-line', 'bus', 4.0),
            Element::resistor('stage', 'bus', 'module-neutral', Element::OPEN_OHMS),
            Element::alternatingSource('transformer', 'R', '0', 27.0, 1.5),
            Element::resistor('transformer-load', 'R', '0', 90.0),
            Element::resistor('common-wire', 'module-common', '0', 0.1),
        ];
        foreach ($this->calls() as $call) {
            $elements[] = Element::resistor("call-$call", 'R', self::CALLS[$call][0], Element::OPEN_OHMS);
            $elements[] = Element::resistor("call-input-$call", self::CALLS[$call][0], '0', self::INPUT_OHMS);
            $elements[] = Element::resistor(
                "input-$call",
                $this->signal($call),
                'module-common',
                $this->data ? Element::OPEN_OHMS : self::INPUT_OHMS,
            );
            if (!$this->data) {
                $elements[] = Element::resistor("output-$call", 'R', "sent-$call", Element::OPEN_OHMS);
                $elements[] = Element::resistor("wire-$call", "sent-$call", "tap-$call", 0.1);
                $elements[] = Element::resistor("ghost-$call", 'R', "tap-$call", self::GHOST_OHMS);
                $elements[] = Element::resistor("stray-$call", "tap-$call", '0', self::GHOST_OHMS);
            }
            $inputs["input-$call"] = self::CALLS[$call][1];
        }
        $elements = [
            ...$elements,
            ...$this->data
                ? [
                    Element::resistor('output', 'R', 'sent', Element::OPEN_OHMS),
                    Element::resistor('data-wire', 'sent', 'data', 0.1),
                ]
                : [Element::resistor('bridge', 'tap-heat', 'tap-cool', Element::OPEN_OHMS)],
        ];

        return new Netlist([
            ...$elements,
            Element::electronicMotor('motor', 'bus', 'module-neutral', $this->motor(), $inputs)->offering([
                'heat' => 1.0,
            ]),
            ...array_map(
                static fn(string $phase): Element => Element::resistor(
                    "phase-$phase",
                    "pin-$phase",
                    'star',
                    self::PHASE_OHMS,
                ),
                ['a', 'b', 'c'],
            ),
            ...array_map(
                static fn(string $pair): Element => Element::resistor(
                    "between-$pair",
                    "pin-$pair[0]",
                    "pin-$pair[1]",
                    Element::OPEN_OHMS,
                ),
                MotorFaults::PAIRS,
            ),
            Element::resistor('case-leak', 'star', 'case', Element::OPEN_OHMS),
            Element::resistor('bond', 'case', '0', 0.1),
        ]);
    }

    /** @return list<Position> */
    public function positions(): array
    {
        $positions = [new Position('off', 'no call', PositionKind::Stands, [], 'motor')];
        foreach ($this->calls() as $call) {
            $positions[] = new Position(
                $call,
                $call,
                PositionKind::Runs,
                [
                    Adjustment::set("call-$call.ohms", 0.1),
                    ...$this->data
                        ? [Adjustment::set('output.ohms', 600.0), Adjustment::set("input-$call.ohms", self::INPUT_OHMS)]
                        : [Adjustment::set("output-$call.ohms", 0.1)],
                ],
                'motor',
            );
        }

        return $positions;
    }

    /**
     * Adjustments that break every way of the call to the module.
     *
     * @return list<Adjustment>
     */
    public function silent(string $call): array
    {
        return [
            Adjustment::opened("call-$call"),
            ...$this->data ? [Adjustment::opened("input-$call")] : [Adjustment::opened("output-$call")],
        ];
    }

    /** @return list<SetUp> */
    public function setUps(): array
    {
        $apart = [Adjustment::opened('line-plug'), Adjustment::opened('neutral-plug')];
        $setUps = [
            new SetUp('off', 'off'),
            SetUp::isolated('isolated', 'off', 'isolated'),
            SetUp::isolated('dead', 'off', 'dead', $apart),
            new SetUp('tester', 'off', [], 'tester', PositionKind::Runs),
            new SetUp('line-unplugged', 'off', $apart, 'line-unplugged', still: true),
        ];
        foreach ($this->calls() as $call) {
            $setUps[] = new SetUp($call, $call);
        }
        if (!$this->data) {
            // With the plug off nothing loads the idle wires.
            $setUps[] = new SetUp(
                'signal-unplugged',
                'heat',
                [
                    Adjustment::opened('common-wire'),
                    ...array_map(
                        static fn(string $call): Adjustment => Adjustment::opened("input-$call"),
                        $this->calls(),
                    ),
                ],
                'signal-unplugged',
            );
        }

        return $setUps;
    }

    /** @return list<Unknown> */
    public function unknowns(): array
    {
        $phases = ['a', 'b', 'c'];

        return [
            Populations::level('volts', 'line', $this->line),
            Populations::level('secondary', 'secondary unloaded'),
            $this->phaseOhms === null
                ? Populations::unknown('phase', 'phase of a motor')
                : Populations::unknown('phase', 'typed resistance', $this->phaseOhms),
            ...array_map(
                static fn(string $phase): Unknown => Populations::unknown("phase-$phase", 'equal phases'),
                $phases,
            ),
            Populations::unknown('watts', $this->ratedAmps === null ? 'electronic motor' : 'electronic motor of plate'),
            Populations::unknown('fan', 'fan load'),
            Populations::unknown('inrush', 'inrush limiter'),
            Populations::unknown('ghost', 'idle wire'),
            Populations::unknown('stray', 'stray of an idle wire'),
            Populations::level('threshold', 'input turns on'),
            Populations::unknown('inputs', 'input of a board'),
            ...$this->rise->unknowns(),
        ];
    }

    /** @return list<Conductor> */
    public function conductors(): array
    {
        $plug = ['look-plugs' => FaultList::PLUG] + Observation::changing('wiggle-plugs', 0.6);
        $conductors = [
            Conductor::of('breaker', ConductorKind::HeavyContact, 'breaker', 0.01),
            Conductor::of('door', ConductorKind::HeavyContact, 'door-switch', 0.02),
            Conductor::of('line-plug', ConductorKind::Joint, 'line-plug', 0.03)->seen($plug),
            Conductor::of('neutral-plug', ConductorKind::Joint, 'line-plug', 0.03)->seen($plug),
            Conductor::of('common-wire', ConductorKind::FieldWire, 'low-wires', 0.02)->seen($plug),
        ];
        if ($this->data) {
            return [...$conductors, Conductor::of('data-wire', ConductorKind::FieldWire, 'low-wires')];
        }
        foreach ($this->calls() as $call) {
            $conductors[] = Conductor::of("wire-$call", ConductorKind::FieldWire, 'low-wires', 0.01)->seen($plug);
        }

        return $conductors;
    }

    /**
     * @param array<string, float> $u values of the unknowns
     *
     * @return array<string, float> element parameters
     */
    public function assign(array $u): array
    {
        $motor = $this->motor();
        $values = [
            'line.volts' => $u['volts'],
            'transformer.volts' => ($u['secondary'] * $u['volts']) / $this->line,
            'motor.ratedWatts' => $motor->ratedWatts * $u['watts'],
            'motor.fanTorque' => $motor->fanTorque * $u['fan'],
            'motor.inputVolts' => $u['threshold'],
            'inrush.ohms' => $u['inrush'],
            'motor.heat' => $u['heat'] ?? 1.0,
        ];
        foreach (['a', 'b', 'c'] as $phase) {
            $values["phase-$phase.ohms"] = 0.5 * $u['phase'] * $u["phase-$phase"];
        }
        foreach ($this->calls() as $call) {
            $values["call-input-$call.ohms"] = $u['inputs'];
            if (!$this->data) {
                $values["input-$call.ohms"] = $u['inputs'];
                $values["ghost-$call.ohms"] = $u['ghost'];
                $values["stray-$call.ohms"] = $u['stray'];
            }
        }

        return $values;
    }
}

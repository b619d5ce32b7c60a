<?php

declare(strict_types=1);

namespace Ispira\Core\Families\EcmBlower;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\FaultPair;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Severity;
use Ispira\Core\Families\Furnace\HeatRise;
use Ispira\Core\Families\Furnace\LineBreak;
use Ispira\Core\Families\Mechanical\Mechanical;

/**
 * What can be wrong with a blower that carries its electronics: supply, signal, module, motor, wheel.
 * Modules fail far more often than motors, and their line side first.
 */
final readonly class FaultList
{
    public const PLUG = ['seated' => 0.3, 'burnt' => 0.4, 'out' => 0.3];

    /** A wire that is broken or has come out of its housing. */
    private const WIRE = ['look-plugs' => ['seated' => 0.55, 'burnt' => 0.05, 'out' => 0.4]];

    private const TESTER_STANDS = ['tester' => ['runs' => 0.04, 'stands' => 0.96]];

    public function __construct(private Wiring $wiring) {}

    /** @return list<Observation> */
    public function observations(): array
    {
        $steady = ['steady' => 0.98, 'changes' => 0.02];
        $shaft = ['free' => 0.96, 'gritty' => 0.03, 'locked' => 0.01];

        return [
            new Observation('look-plugs', ['seated' => 0.95, 'burnt' => 0.03, 'out' => 0.02]),
            new Observation('look-module', ['fine' => 0.9, 'burnt' => 0.04, 'wet' => 0.06]),
            new Observation('spin', $shaft),
            new Observation('spin-unplugged', $shaft),
            new Observation('bare-spin', ['free' => 0.97, 'gritty' => 0.03]),
            new Observation('look-wheel', ['clean' => 0.9, 'debris' => 0.01, 'clogged' => 0.09]),
            new Observation('look-filter', ['clean' => 0.9, 'clogged' => 0.1]),
            HeatRise::observation(),
            new Observation('rotation', ['forward' => 0.98, 'backward' => 0.02]),
            new Observation('start', ['smooth' => 0.96, 'rocks' => 0.04]),
            new Observation('tester', ['runs' => 0.97, 'stands' => 0.03]),
            new Observation('jumper', ['right' => 0.98, 'wrong' => 0.02]),
            ...array_map(static fn(string $key): Observation => new Observation($key, $steady), [
                'wiggle-plugs',
                'wiggle-call',
                'tap-board',
                'warm',
            ]),
        ];
    }

    /** @return list<FaultPair> */
    public function pairs(): array
    {
        return [
            new FaultPair('bearings-seized', 'stage-shorted', 0.01),
            new FaultPair('filter-clogged', 'wheel-fouled', 0.006),
        ];
    }

    /** @return list<Part> */
    public function parts(): array
    {
        return [
            new Part('module', 240.0, 45.0),
            new Part('motor', 320.0, 90.0),
            new Part('board', 210.0, 50.0),
            new Part('thermostat', 60.0, 25.0),
            new Part('low-wires', 8.0, 30.0),
            new Part('line-plug', 10.0, 25.0),
            new Part('breaker', 9.0, 10.0),
            new Part('door-switch', 12.0, 12.0),
            new Part('transformer', 32.0, 30.0),
            new Part('rotation', 0.0, 25.0),
            new Part('wheel', 0.0, 60.0),
            new Part('filter', 9.0, 4.0),
            ...$this->wiring->doubles() ? [new Part('jumper', 2.0, 8.0)] : [],
        ];
    }

    /** @return list<Fault> */
    public function all(): array
    {
        return [...$this->line(), ...$this->signal(), ...$this->module(), ...$this->motor(), ...self::air()];
    }

    /** @return list<Fault> */
    private function line(): array
    {
        $plug = ['look-plugs' => self::PLUG] + self::TESTER_STANDS;
        $calls = array_merge(...array_map($this->wiring->silent(...), $this->wiring->calls()));
        $faults = [
            new Fault(
                'breaker-open',
                'breaker-open',
                'breaker',
                0.03,
                LineBreak::of('breaker'),
                self::TESTER_STANDS,
                element: 'breaker',
                upstream: true,
            ),
            new Fault(
                'door-open',
                'door-open',
                'door-switch',
                0.05,
                LineBreak::of('door'),
                self::TESTER_STANDS,
                comesAndGoes: true,
                element: 'door',
                upstream: true,
            ),
            new Fault(
                'line-plug-open',
                'line-plug-open',
                'line-plug',
                0.05,
                Severity::only(Adjustment::opened('line-plug')),
                $plug,
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-plugs', 0.8),
                loose: true,
                element: 'line-plug',
            ),
            new Fault(
                'neutral-plug-open',
                'neutral-plug-open',
                'line-plug',
                0.03,
                Severity::only(Adjustment::opened('neutral-plug')),
                $plug,
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-plugs', 0.8),
                loose: true,
                element: 'neutral-plug',
            ),
            new Fault(
                'transformer-open',
                'transformer-open',
                'transformer',
                0.03,
                Severity::only(Adjustment::opened('transformer'), ...$calls),
                self::TESTER_STANDS,
                element: 'transformer',
                upstream: true,
            ),
        ];
        if ($this->wiring->doubles()) {
            $faults[] = new Fault(
                'jumper-missing',
                'jumper-missing',
                'jumper',
                0.03,
                Severity::shared(
                    [0.6, Severity::only(Adjustment::set('motor.leastVolts', 1e4))],
                    [0.4, Severity::scaling('motor.drive', 0.3, 0.8, 2)],
                ),
                ['jumper' => ['right' => 0.03, 'wrong' => 0.97]] + self::TESTER_STANDS,
                element: 'line-plug',
            );
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function signal(): array
    {
        $data = $this->wiring->data;
        $faults = [];
        foreach ($this->wiring->calls() as $call) {
            $words = ['call' => $call, 'terminal' => Wiring::terminal($call)];
            $faults[] = new Fault(
                "no-$call-call",
                'no-call',
                'thermostat',
                0.03,
                Severity::only(...$this->wiring->silent($call)),
                [],
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-call', 0.75),
                words: $words,
                element: "call-$call",
                upstream: true,
            );
            if (!$data) {
                $faults[] = new Fault(
                    "output-$call-open",
                    'output-open',
                    'board',
                    0.03,
                    Severity::only(Adjustment::opened("output-$call")),
                    [],
                    comesAndGoes: true,
                    observedPassing: Observation::changing('tap-board', 0.75),
                    words: $words,
                    element: "output-$call",
                    upstream: true,
                );
                $faults[] = new Fault(
                    "output-$call-weak",
                    'output-weak',
                    'board',
                    0.02,
                    Severity::adding("output-$call.ohms", 200.0, 6e4, 5),
                    [],
                    words: $words,
                    element: "output-$call",
                    upstream: true,
                );
                $faults[] = new Fault(
                    "output-$call-on",
                    'output-on',
                    'board',
                    0.015,
                    Severity::only(Adjustment::closed("output-$call", 0.1)),
                    [],
                    words: $words,
                    element: "output-$call",
                    upstream: true,
                );
                $faults[] = new Fault(
                    "wire-$call-open",
                    'wire-open',
                    'low-wires',
                    0.02,
                    Severity::only(Adjustment::opened("wire-$call")),
                    self::WIRE,
                    comesAndGoes: true,
                    observedPassing: Observation::changing('wiggle-plugs', 0.8),
                    loose: true,
                    words: $words,
                    element: "wire-$call",
                );
                $faults[] = new Fault(
                    "input-$call-dead",
                    'input-dead',
                    'module',
                    0.03,
                    Severity::only(Adjustment::opened("input-$call")),
                    self::TESTER_STANDS,
                    words: $words,
                    element: "input-$call",
                );
            }
        }
        $faults[] = new Fault(
            'common-open',
            'common-open',
            'low-wires',
            0.04,
            Severity::only(Adjustment::opened('common-wire')),
            [],
            comesAndGoes: true,
            observedPassing: Observation::changing('wiggle-plugs', 0.8),
            loose: true,
            element: 'common-wire',
        );
        if ($data) {
            $faults[] = new Fault(
                'data-dead',
                'data-dead',
                'board',
                0.05,
                Severity::only(Adjustment::opened('output')),
                [],
                comesAndGoes: true,
                observedPassing: Observation::changing('tap-board', 0.75),
                element: 'output',
                upstream: true,
            );
            $faults[] = new Fault(
                'data-open',
                'data-open',
                'low-wires',
                0.05,
                Severity::only(Adjustment::opened('data-wire')),
                self::WIRE,
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-plugs', 0.8),
                loose: true,
                element: 'data-wire',
            );
            $faults[] = new Fault(
                'answer-dead',
                'answer-dead',
                'module',
                0.05,
                Severity::only(Adjustment::set('motor.answer', 0.0)),
                ['tester' => ['runs' => 0.15, 'stands' => 0.85]],
                element: 'motor',
            );
        } else {
            $faults[] = new Fault(
                'taps-joined',
                'taps-joined',
                'low-wires',
                0.02,
                Severity::only(Adjustment::closed('bridge', 0.1)),
                ['look-plugs' => ['seated' => 0.5, 'burnt' => 0.1, 'out' => 0.4]],
                element: 'wire-heat',
            );
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function module(): array
    {
        $burnt = ['look-module' => ['fine' => 0.45, 'burnt' => 0.45, 'wet' => 0.1]] + self::TESTER_STANDS;
        $rough = ['spin' => ['free' => 0.06, 'gritty' => 0.7, 'locked' => 0.24]];

        return [
            new Fault(
                'inrush-open',
                'inrush-open',
                'module',
                0.12,
                Severity::only(Adjustment::opened('inrush')),
                $burnt,
                element: 'inrush',
            ),
            new Fault(
                'stage-shorted',
                'stage-shorted',
                'module',
                0.06,
                Severity::only(Adjustment::set('motor.drive', 0.0), Adjustment::opened('breaker')),
                $rough + $burnt,
                element: 'motor',
            ),
            new Fault(
                'logic-dead',
                'logic-dead',
                'module',
                0.09,
                Severity::only(Adjustment::set('motor.drive', 0.0)),
                ['look-module' => ['fine' => 0.7, 'burnt' => 0.2, 'wet' => 0.1]] + self::TESTER_STANDS,
                comesAndGoes: true,
                observedPassing: Observation::changing('warm', 0.75),
                element: 'motor',
            ),
            new Fault(
                'module-wet',
                'module-wet',
                'module',
                0.06,
                Severity::only(Adjustment::set('motor.drive', 0.0)),
                ['look-module' => ['fine' => 0.05, 'burnt' => 0.1, 'wet' => 0.85]] + self::TESTER_STANDS,
                comesAndGoes: true,
                element: 'motor',
            ),
            new Fault(
                'rotation-learned',
                'rotation-learned',
                'rotation',
                0.02,
                Severity::only(Adjustment::scale('motor.air', 0.4), Adjustment::scale('motor.fanTorque', 0.75)),
                ['rotation' => ['forward' => 0.04, 'backward' => 0.96]] + Mechanical::noise(['rumble' => 0.5]),
                element: 'motor',
            ),
        ];
    }

    /** @return list<Fault> */
    private function motor(): array
    {
        $shaft = static fn(float $free, float $rough, float $locked): array => array_fill_keys(
            ['spin', 'spin-unplugged'],
            ['free' => $free, 'gritty' => $rough, 'locked' => $locked],
        );
        $rocks = ['start' => ['smooth' => 0.1, 'rocks' => 0.9]] + self::TESTER_STANDS;

        return [
            ...self::phases($rocks),
            new Fault(
                'winding-case',
                'winding-case',
                'motor',
                0.02,
                Severity::limiting(
                    'case-leak.ohms',
                    0.5,
                    1e5,
                    4,
                    Adjustment::opened('breaker'),
                    Adjustment::set('motor.drive', 0.0),
                ),
                self::TESTER_STANDS,
                element: 'case-leak',
            ),
            new Fault(
                'bearings-dry',
                'bearings-dry',
                'motor',
                0.04,
                Severity::adding('motor.frictionTorque', 0.06, 0.9),
                $shaft(0.08, 0.88, 0.04) + ['bare-spin' => ['free' => 0.06, 'gritty' => 0.94]] +
                    Mechanical::noise(['squeal' => 0.6]),
                element: 'motor',
            ),
            new Fault(
                'bearings-seized',
                'bearings-seized',
                'motor',
                0.03,
                Severity::only(Adjustment::set('motor.frictionTorque', 50.0)),
                $shaft(0.01, 0.05, 0.94) + ['bare-spin' => ['free' => 0.02, 'gritty' => 0.98]] + self::TESTER_STANDS,
                element: 'motor',
            ),
            new Fault(
                'magnets-weak',
                'magnets-weak',
                'motor',
                0.015,
                Severity::scaling('motor.drive', 0.35, 0.9, 3, Adjustment::scale('motor.ratedWatts', 1.3)),
                array_fill_keys(['spin', 'spin-unplugged'], ['free' => 0.5, 'gritty' => 0.48, 'locked' => 0.02]),
                element: 'motor',
            ),
        ];
    }

    /**
     * @param array<string, array<string, float>> $rocks
     *
     * @return list<Fault>
     */
    private static function phases(array $rocks): array
    {
        $faults = [];
        foreach (['b', 'a', 'c'] as $phase) {
            $name = $phase === 'b' ? 'phase' : "phase-$phase";
            $faults[] = new Fault(
                "$name-open",
                'phase-open',
                'motor',
                0.01,
                Severity::only(Adjustment::opened("phase-$phase"), Adjustment::set('motor.drive', 0.0)),
                $rocks,
                element: "phase-$phase",
            );
            $faults[] = new Fault(
                "$name-shorted",
                'phase-shorted',
                'motor',
                0.008,
                // Some modules drive on, others see the current and stop.
                Severity::shared(
                    [
                        0.5,
                        Severity::joined(
                            Severity::scaling("phase-$phase.ohms", 0.05, 0.85, 3),
                            Severity::scaling('motor.drive', 0.2, 0.9, 3, Adjustment::scale('motor.ratedWatts', 1.4)),
                        ),
                    ],
                    [0.5, Severity::scaling("phase-$phase.ohms", 0.05, 0.85, 3, Adjustment::set('motor.drive', 0.0))],
                ),
                ['start' => ['smooth' => 0.4, 'rocks' => 0.6], 'tester' => ['runs' => 0.4, 'stands' => 0.6]],
                element: "phase-$phase",
            );
        }

        return $faults;
    }

    /** @return list<Fault> */
    private static function air(): array
    {
        return [
            // A motor of constant torque turns faster where there is less air to move.
            new Fault(
                'filter-clogged',
                'filter-clogged',
                'filter',
                0.06,
                Severity::joined(
                    Severity::scaling('motor.fanTorque', 0.5, 0.93, 3),
                    Severity::scaling('motor.air', 0.3, 0.88, 3),
                ),
                ['look-filter' => ['clean' => 0.03, 'clogged' => 0.97]] + HeatRise::throttled(),
                element: 'motor',
            ),
            new Fault(
                'wheel-fouled',
                'wheel-fouled',
                'wheel',
                0.04,
                Severity::joined(
                    Severity::scaling('motor.fanTorque', 0.45, 0.9, 3),
                    Severity::scaling('motor.air', 0.4, 0.88, 3),
                ),
                ['look-wheel' => ['clean' => 0.04, 'debris' => 0.02, 'clogged' => 0.94]],
                element: 'motor',
            ),
        ];
    }
}

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

/**
 * What can be wrong with a blower that carries its electronics: supply, signal, module, motor, wheel.
 * Modules fail far more often than motors, and their line side first.
 */
final readonly class FaultList
{
    public const PLUG = ['seated' => 0.3, 'burnt' => 0.4, 'out' => 0.3];

    /** A wire that is broken or has come out of its housing. */
    private const WIRE = ['look-plugs' => ['seated' => 0.55, 'burnt' => 0.05, 'out' => 0.4]];

    public const TESTER_STANDS = ['tester' => ['runs' => 0.04, 'stands' => 0.96]];

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
        $motor = new MotorFaults();

        return [...$this->line(), ...$this->signal(), ...$motor->module(), ...$motor->motor(), ...MotorFaults::air()];
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
}

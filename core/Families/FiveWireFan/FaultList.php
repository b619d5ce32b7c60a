<?php

declare(strict_types=1);

namespace Ispira\Core\Families\FiveWireFan;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\FaultPair;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Severity;
use Ispira\Core\Families\Mechanical\Mechanical;

/**
 * What can be wrong with a five-wire fan: motor, board or cable. An error code means any of them.
 */
final class FaultList
{
    public const PLUG = ['fine' => 0.35, 'burnt' => 0.2, 'loose' => 0.45];

    private const WIRES = ['vm' => 'Vm', 'vcc' => 'Vcc', 'vsp' => 'Vsp', 'fg' => 'FG', 'gnd' => 'GND'];

    private function __construct() {}

    /** @return list<Observation> */
    public static function observations(): array
    {
        $steady = ['steady' => 0.98, 'changes' => 0.02];

        return [
            new Observation('look-board', ['fine' => 0.92, 'burnt' => 0.05, 'swollen' => 0.03]),
            new Observation('look-plug', ['fine' => 0.95, 'burnt' => 0.02, 'loose' => 0.03]),
            new Observation('spin', ['free' => 0.95, 'gritty' => 0.04, 'locked' => 0.01]),
            new Observation('bare-spin', ['free' => 0.97, 'gritty' => 0.03]),
            new Observation('look-wheel', ['clean' => 0.9, 'debris' => 0.02, 'clogged' => 0.08]),
            new Observation('start', ['smooth' => 0.96, 'rocks' => 0.04]),
            new Observation('diode-test', ['like-twin' => 0.95, 'different' => 0.05]),
            ...array_map(static fn(string $key): Observation => new Observation($key, $steady), [
                'wiggle-plug',
                'tap-board',
                'warm',
            ]),
        ];
    }

    /** @return list<FaultPair> */
    public static function pairs(): array
    {
        return [new FaultPair('driver-shorted', 'bus-dead', 0.03), new FaultPair('vcc-shorted', 'logic-dead', 0.015)];
    }

    /** @return list<Part> */
    public static function parts(): array
    {
        return [
            new Part('motor', 130.0, 50.0),
            new Part('board', 170.0, 45.0),
            new Part('cable', 12.0, 30.0),
            new Part('wheel', 0.0, 40.0),
        ];
    }

    /** @return list<Fault> */
    public static function all(): array
    {
        return [...self::motor(), ...self::board(), ...self::cable()];
    }

    /** @return list<Fault> */
    private static function motor(): array
    {
        $spin = static fn(float $free, float $gritty, float $locked): array => [
            'spin' => ['free' => $free, 'gritty' => $gritty, 'locked' => $locked],
        ];
        $different = ['diode-test' => ['like-twin' => 0.08, 'different' => 0.92]];
        $noDrive = Adjustment::set('stage.mostDuty', 0.0);

        return [
            new Fault(
                'driver-open',
                'driver-open',
                'motor',
                0.1,
                Severity::only($noDrive),
                ['diode-test' => ['like-twin' => 0.35, 'different' => 0.65]],
                comesAndGoes: true,
                observedPassing: Observation::changing('warm', 0.8),
                element: 'module',
            ),
            new Fault(
                'driver-shorted',
                'driver-shorted',
                'motor',
                0.08,
                Severity::limiting('vm-short.ohms', 0.2, 3e3, 4, $noDrive),
                $different,
                element: 'module',
            ),
            new Fault(
                'vcc-shorted',
                'vcc-shorted',
                'motor',
                0.05,
                Severity::limiting('vcc-short.ohms', 0.3, 40.0, 3),
                $different,
                element: 'vcc-load',
            ),
            new Fault(
                'hall-out',
                'hall-out',
                'motor',
                0.06,
                Severity::only($noDrive, Adjustment::opened('hall')),
                ['start' => ['smooth' => 0.1, 'rocks' => 0.9]],
                element: 'hall',
            ),
            new Fault(
                'fg-open',
                'fg-open',
                'motor',
                0.06,
                Severity::only(Adjustment::opened('fg-transistor'), Adjustment::set('retry-feed.ohms', 1.0)),
                ['diode-test' => ['like-twin' => 0.3, 'different' => 0.7]],
                element: 'fg-transistor',
            ),
            new Fault(
                'vsp-open',
                'vsp-open',
                'motor',
                0.03,
                Severity::only(Adjustment::opened('vsp-inside')),
                ['diode-test' => ['like-twin' => 0.3, 'different' => 0.7]],
                element: 'vsp-input',
            ),
            new Fault(
                'vsp-leaky',
                'vsp-leaky',
                'motor',
                0.03,
                Severity::limiting('vsp-leak.ohms', 150.0, 2e4, 3),
                $different,
                element: 'vsp-input',
            ),
            new Fault(
                'bearings-dry',
                'bearings-dry',
                'motor',
                0.07,
                Severity::adding('motor.frictionTorque', 0.03, 0.6),
                $spin(0.06, 0.9, 0.04) + ['bare-spin' => ['free' => 0.06, 'gritty' => 0.94]] +
                    Mechanical::noise(['squeal' => 0.6]),
                element: 'motor',
            ),
            new Fault(
                'bearings-seized',
                'bearings-seized',
                'motor',
                0.03,
                Severity::only(Adjustment::set('motor.frictionTorque', 1e6)),
                $spin(0.01, 0.05, 0.94) + ['bare-spin' => ['free' => 0.02, 'gritty' => 0.98]],
                element: 'motor',
            ),
            new Fault(
                'wheel-dirty',
                'wheel-dirty',
                'wheel',
                0.03,
                Severity::adding('motor.frictionTorque', 0.02, 0.3, 3),
                ['look-wheel' => ['clean' => 0.04, 'debris' => 0.5, 'clogged' => 0.46]] +
                    $spin(0.3, 0.66, 0.04) +
                    Mechanical::noise(['rub' => 0.3, 'rumble' => 0.3]),
                element: 'motor',
            ),
            new Fault(
                'wheel-jammed',
                'wheel-jammed',
                'wheel',
                0.012,
                Severity::only(Adjustment::set('motor.frictionTorque', 1e6)),
                ['look-wheel' => ['clean' => 0.05, 'debris' => 0.85, 'clogged' => 0.1]] + $spin(0.02, 0.08, 0.9),
                element: 'motor',
            ),
        ];
    }

    /** @return list<Fault> */
    private static function board(): array
    {
        $look = ['look-board' => ['fine' => 0.5, 'burnt' => 0.35, 'swollen' => 0.15]];

        return [
            new Fault(
                'bus-dead',
                'bus-dead',
                'board',
                0.07,
                Severity::only(Adjustment::opened('bus-fuse')),
                $look,
                comesAndGoes: true,
                observedPassing: Observation::changing('tap-board', 0.75),
                element: 'bus-fuse',
                upstream: true,
            ),
            new Fault(
                'logic-dead',
                'logic-dead',
                'board',
                0.06,
                Severity::only(Adjustment::opened('logic-out')),
                $look,
                comesAndGoes: true,
                observedPassing: Observation::changing('tap-board', 0.75),
                element: 'logic-out',
                upstream: true,
            ),
            new Fault(
                'logic-low',
                'logic-low',
                'board',
                0.03,
                Severity::adding('logic-out.ohms', 100.0, 1e4, 3),
                $look,
                element: 'logic-out',
                upstream: true,
            ),
            new Fault(
                'logic-high',
                'logic-high',
                'board',
                0.015,
                Severity::scaling('logic.volts', 1.15, 1.7, 2),
                $look,
                element: 'logic-out',
                upstream: true,
            ),
            new Fault(
                'command-dead',
                'command-dead',
                'board',
                0.06,
                Severity::only(Adjustment::opened('command-out')),
                $look,
                element: 'command-out',
                upstream: true,
            ),
            new Fault(
                'command-stuck',
                'command-stuck',
                'board',
                0.03,
                Severity::following('command.volts', 'command.high', 0.3, 1.15, 3),
                $look,
                element: 'command',
                upstream: true,
            ),
            new Fault(
                'feedback-dead',
                'feedback-dead',
                'board',
                0.05,
                Severity::only(Adjustment::set('retry-feed.ohms', 1.0)),
                ['look-board' => ['fine' => 0.8, 'burnt' => 0.12, 'swollen' => 0.08]],
                element: 'pull-up',
                upstream: true,
            ),
        ];
    }

    /** @return list<Fault> */
    private static function cable(): array
    {
        $faults = [
            new Fault(
                'wires-touch',
                'wires-touch',
                'cable',
                0.01,
                Severity::limiting('cable-chafe.ohms', 0.2, 50.0, 2),
                ['look-plug' => self::PLUG],
                element: 'wire-vsp',
            ),
        ];
        foreach (self::WIRES as $wire => $name) {
            $opened = [
                Adjustment::opened("wire-$wire"),
                ...$wire === 'fg' ? [Adjustment::set('retry-feed.ohms', 1.0)] : [],
            ];
            $faults[] = new Fault(
                "wire-$wire-open",
                'wire-open',
                'cable',
                0.02,
                Severity::only(...$opened),
                ['look-plug' => self::PLUG],
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-plug', 0.85),
                loose: true,
                words: ['wire' => $name],
                element: "wire-$wire",
            );
        }

        return $faults;
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Families\EcmBlower;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Severity;
use Ispira\Core\Families\Furnace\HeatRise;
use Ispira\Core\Families\Mechanical\Mechanical;

/**
 * What can fail in the module, the motor and the air of a blower with mains electronics.
 */
final readonly class MotorFaults
{
    /** Two phases each, whose windings may touch. */
    public const PAIRS = ['ab', 'bc', 'ca'];

    /** @return list<Fault> */
    public function module(): array
    {
        $burnt = ['look-module' => ['fine' => 0.45, 'burnt' => 0.45, 'wet' => 0.1]] + FaultList::TESTER_STANDS;
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
                Severity::limiting(
                    'stage.ohms',
                    0.2,
                    30.0,
                    2,
                    Adjustment::set('motor.drive', 0.0),
                    Adjustment::opened('breaker'),
                ),
                $rough + $burnt,
                element: 'motor',
            ),
            new Fault(
                'logic-dead',
                'logic-dead',
                'module',
                0.09,
                Severity::only(Adjustment::set('motor.drive', 0.0)),
                ['look-module' => ['fine' => 0.7, 'burnt' => 0.2, 'wet' => 0.1]] + FaultList::TESTER_STANDS,
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
                ['look-module' => ['fine' => 0.05, 'burnt' => 0.1, 'wet' => 0.85]] + FaultList::TESTER_STANDS,
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
    public function motor(): array
    {
        $shaft = static fn(float $free, float $rough, float $locked): array => array_fill_keys(
            ['spin', 'spin-unplugged'],
            ['free' => $free, 'gritty' => $rough, 'locked' => $locked],
        );
        $rocks = ['start' => ['smooth' => 0.1, 'rocks' => 0.9]] + FaultList::TESTER_STANDS;

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
                FaultList::TESTER_STANDS,
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
                $shaft(0.01, 0.05, 0.94) + ['bare-spin' => ['free' => 0.02, 'gritty' => 0.98]] +
                    FaultList::TESTER_STANDS,
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

        foreach (self::PAIRS as $pair) {
            $faults[] = new Fault(
                "phases-touch-$pair",
                'phases-touch',
                'motor',
                0.005,
                Severity::limiting("between-$pair.ohms", 0.05, 30.0, 3, Adjustment::set('motor.drive', 0.0)),
                $rocks,
                element: "phase-$pair[0]",
            );
        }

        return $faults;
    }

    /** @return list<Fault> */
    public static function air(): array
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

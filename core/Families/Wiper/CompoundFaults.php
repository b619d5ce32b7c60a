<?php

declare(strict_types=1);

namespace Ispira\Core\Families\Wiper;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Severity;

/**
 * What can fail in and around a wiper motor with a compound field.
 */
final class CompoundFaults
{
    private function __construct() {}

    /** @return list<Fault> */
    public static function all(): array
    {
        return [
            new Fault(
                'armature-open',
                'armature-open',
                'motor',
                0.1,
                Severity::only(Adjustment::atLeast('motor.armatureOhms', 1e10)),
                ['knock' => ['nothing' => 0.5, 'starts' => 0.5]],
                comesAndGoes: true,
                observedPassing: ['knock' => ['nothing' => 0.3, 'starts' => 0.7]],
                element: 'motor',
            ),
            new Fault(
                'breaker',
                'breaker',
                'motor',
                0.04,
                Severity::only(Adjustment::opened('series')),
                [],
                comesAndGoes: true,
                observedPassing: ['warm' => ['steady' => 0.1, 'changes' => 0.9]],
                element: 'series',
            ),
            new Fault(
                'strap-open',
                'strap-open',
                'strap',
                0.1,
                Severity::only(Adjustment::opened('strap')),
                ['look-strap' => ['fine' => 0.15, 'broken' => 0.85]],
                element: 'strap',
            ),
            new Fault(
                'run-open',
                'run-open',
                'wire',
                0.06,
                Severity::only(Adjustment::opened('run-wire')),
                [],
                comesAndGoes: true,
                observedPassing: ['wiggle-plug' => ['steady' => 0.3, 'changes' => 0.7]],
                loose: true,
                element: 'run-wire',
            ),
            new Fault(
                'run-short',
                'run-short',
                'wire',
                0.05,
                Severity::limiting('run-short.ohms', 0.01, 3.0, 3),
                element: 'run-wire',
            ),
            new Fault(
                'wires-touch',
                'compound-wires-touch',
                'wire',
                0.015,
                Severity::limiting('touch.ohms', 0.02, 3.0, 2),
                ['wiggle-plug' => ['steady' => 0.5, 'changes' => 0.5]],
                element: 'run-wire',
            ),
            new Fault(
                'field-open',
                'field-open',
                'wire',
                0.07,
                Severity::only(Adjustment::opened('field-wire')),
                [],
                comesAndGoes: true,
                observedPassing: ['wiggle-plug' => ['steady' => 0.3, 'changes' => 0.7]],
                loose: true,
                element: 'field-wire',
            ),
            new Fault(
                'field-short',
                'field-short',
                'wire',
                0.05,
                Severity::limiting('field-short.ohms', 0.01, 30.0, 3),
                element: 'field-wire',
            ),
            new Fault(
                'shunt-open',
                'shunt-open',
                'motor',
                0.06,
                Severity::only(Adjustment::opened('shunt')),
                element: 'shunt',
            ),
            new Fault(
                'park-never-opens',
                'park-never-opens',
                'motor',
                0.06,
                Severity::only(Adjustment::closed('cam', 0.01)),
                element: 'cam',
            ),
            new Fault(
                'park-open',
                'park-open',
                'motor',
                0.07,
                Severity::only(Adjustment::opened('cam')),
                element: 'cam',
            ),
            new Fault(
                'dragging',
                'dragging',
                'motor',
                0.07,
                Severity::adding('motor.frictionTorque', 0.08, 3.0),
                ['arms' => ['free' => 0.4, 'stiff' => 0.55, 'locked' => 0.05]],
                element: 'motor',
            ),
            new Fault(
                'dash-run-open',
                'dash-contact',
                'dash-switch',
                0.05,
                Severity::only(Adjustment::opened('dash-run')),
                comesAndGoes: true,
                observedPassing: ['wiggle-dash' => ['steady' => 0.2, 'changes' => 0.8]],
                words: ['contact' => 'RUN'],
                element: 'dash-run',
            ),
            new Fault(
                'dash-field-open',
                'dash-contact',
                'dash-switch',
                0.05,
                Severity::only(Adjustment::opened('dash-field')),
                words: ['contact' => 'FIELD'],
                element: 'dash-field',
            ),
            self::stuck('run', 'RUN', 0.02),
            self::stuck('field', 'FIELD', 0.02),
            new Fault(
                'dash-ground',
                'dash-ground',
                'ground-wire',
                0.04,
                Severity::only(Adjustment::opened('dash-return')),
                [],
                comesAndGoes: true,
                observedPassing: ['wiggle-dash' => ['steady' => 0.3, 'changes' => 0.7]],
                loose: true,
                element: 'dash-return',
            ),
            new Fault(
                'dash-ground-resistive',
                'dash-ground-resistive',
                'ground-wire',
                0.04,
                Severity::resistance('dash-return'),
                ['wiggle-dash' => ['steady' => 0.5, 'changes' => 0.5]],
                loose: true,
                element: 'dash-return',
            ),
            new Fault(
                'plug-feed-burnt',
                'plug-burnt',
                'plug',
                0.05,
                Severity::resistance('plug-feed'),
                ['look-plug' => ['fine' => 0.12, 'burnt' => 0.8, 'corroded' => 0.08]],
                loose: true,
                element: 'plug-feed',
            ),
        ];
    }

    /** A contact of the switch that never opens: at its pin as a wire that is shorted to ground. */
    private static function stuck(string $line, string $terminal, float $frequency): Fault
    {
        return new Fault(
            "dash-$line-stuck",
            'dash-stuck',
            'dash-switch',
            $frequency,
            Severity::only(Adjustment::atMost("dash-$line.ohms", 0.02)),
            Observation::changing('wiggle-dash', 0.4),
            words: ['contact' => $terminal],
            element: "dash-$line",
        );
    }
}

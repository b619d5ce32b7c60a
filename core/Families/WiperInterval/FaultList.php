<?php

declare(strict_types=1);

namespace Ispira\Core\Families\WiperInterval;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\FaultPair;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Severity;

/**
 * What can fail between an interval stalk, its module and the wiper motor.
 */
final class FaultList
{
    private function __construct() {}

    /** @return list<Observation> */
    public static function observations(): array
    {
        $steady = ['steady' => 0.98, 'changes' => 0.02];

        return [
            new Observation('look-module', ['fine' => 0.92, 'burnt' => 0.04, 'wet' => 0.04]),
            new Observation('arms', ['free' => 0.95, 'stiff' => 0.04, 'locked' => 0.01]),
            new Observation('knock', ['nothing' => 0.98, 'starts' => 0.02]),
            new Observation('wiggle-stalk', $steady),
            new Observation('wiggle-plug', $steady),
        ];
    }

    /** @return list<Fault> */
    public static function all(): array
    {
        $burnt = ['look-module' => ['fine' => 0.5, 'burnt' => 0.35, 'wet' => 0.15]];
        $plug = ['wiggle-plug' => ['steady' => 0.25, 'changes' => 0.75]];
        $stalk = ['wiggle-stalk' => ['steady' => 0.25, 'changes' => 0.75]];

        return [
            new Fault(
                'input-open',
                'input-open',
                'module',
                0.1,
                Severity::only(Adjustment::opened('speed-input')),
                $burnt,
                element: 'speed-input',
            ),
            new Fault(
                'input-wrong',
                'input-wrong',
                'module',
                0.04,
                Severity::shared(
                    [0.5, Severity::scaling('speed-input.ohms', 0.05, 0.7, 2)],
                    [0.5, Severity::scaling('speed-input.ohms', 1.5, 20.0, 2)],
                ),
                $burnt,
                element: 'speed-input',
            ),
            new Fault(
                'low-path',
                'low-path',
                'module',
                0.14,
                Severity::only(Adjustment::opened('low-joint')),
                $burnt,
                comesAndGoes: true,
                observedPassing: $plug,
                element: 'low-gate',
            ),
            new Fault(
                'high-path',
                'high-path',
                'module',
                0.06,
                Severity::only(Adjustment::opened('high-joint')),
                $burnt,
                element: 'high-gate',
            ),
            new Fault(
                'module-dead',
                'module-dead',
                'module',
                0.08,
                Severity::only(Adjustment::set('stage.mostDuty', 0.0), Adjustment::opened('high-joint')),
                $burnt,
                element: 'stage',
            ),
            new Fault(
                'always-low',
                'always-low',
                'module',
                0.04,
                Severity::only(Adjustment::set('stage.leastDuty', 1.0)),
                $burnt,
                element: 'stage',
            ),
            new Fault(
                'setting-open',
                'setting-open',
                'stalk',
                0.08,
                Severity::only(Adjustment::opened('setting')),
                $stalk,
                comesAndGoes: true,
                observedPassing: $stalk,
                element: 'setting',
            ),
            new Fault(
                'setting-bypassed',
                'setting-bypassed',
                'stalk',
                0.05,
                Severity::limiting('setting.ohms', 1.0, 150.0, 2),
                element: 'setting',
            ),
            new Fault(
                'low-contact',
                'stalk-contact',
                'stalk',
                0.05,
                Severity::only(Adjustment::opened('low-contact')),
                [],
                comesAndGoes: true,
                observedPassing: $stalk,
                words: ['contact' => 'low'],
                element: 'low-contact',
            ),
            new Fault(
                'high-contact',
                'stalk-contact',
                'stalk',
                0.05,
                Severity::only(Adjustment::opened('high-contact')),
                [],
                words: ['contact' => 'high'],
                element: 'high-contact',
            ),
            new Fault(
                'stalk-feed',
                'stalk-feed',
                'stalk-wire',
                0.04,
                Severity::only(Adjustment::opened('stalk-feed')),
                [],
                comesAndGoes: true,
                observedPassing: $stalk,
                loose: true,
                element: 'stalk-feed',
            ),
            new Fault(
                'speed-open',
                'speed-open',
                'stalk-wire',
                0.06,
                Severity::only(Adjustment::opened('speed-wire')),
                [],
                comesAndGoes: true,
                observedPassing: $plug,
                loose: true,
                element: 'speed-wire',
            ),
            new Fault(
                'speed-resistive',
                'speed-resistive',
                'stalk-wire',
                0.04,
                Severity::adding('speed-wire.ohms', 100.0, 1e5, 4),
                $plug,
                loose: true,
                element: 'speed-wire',
            ),
            new Fault(
                'speed-grounded',
                'speed-grounded',
                'stalk-wire',
                0.03,
                Severity::limiting('speed-grounded.ohms', 0.1, 10.0, 2, Adjustment::opened('fuse')),
                element: 'speed-wire',
            ),
            new Fault(
                'speed-fed',
                'wire-fed',
                'stalk-wire',
                0.02,
                Severity::limiting('speed-fed.ohms', 0.2, 300.0, 3),
                words: ['wire' => 'speed'],
                element: 'speed-wire',
            ),
            new Fault(
                'high-fed',
                'wire-fed',
                'stalk-wire',
                0.02,
                Severity::limiting('high-fed.ohms', 0.2, 300.0, 2),
                words: ['wire' => 'high'],
                element: 'high-wire',
            ),
            new Fault(
                'high-open',
                'high-open',
                'stalk-wire',
                0.04,
                Severity::only(Adjustment::opened('high-wire')),
                [],
                loose: true,
                element: 'high-wire',
            ),
            new Fault(
                'fuse-open',
                'fuse-open',
                'fuse',
                0.05,
                Severity::only(Adjustment::opened('fuse')),
                element: 'fuse',
            ),
            new Fault(
                'module-feed',
                'module-feed',
                'feed-wire',
                0.05,
                Severity::only(Adjustment::opened('module-feed')),
                $plug,
                element: 'module-feed',
            ),
            new Fault(
                'feed-resistive',
                'feed-resistive',
                'feed-wire',
                0.04,
                Severity::resistance('module-feed'),
                $plug,
                loose: true,
                element: 'module-feed',
            ),
            new Fault(
                'ground-open',
                'ground-open',
                'ground-wire',
                0.05,
                Severity::only(Adjustment::opened('ground')),
                $plug,
                element: 'ground',
            ),
            new Fault(
                'ground-resistive',
                'ground-resistive',
                'ground-wire',
                0.04,
                Severity::resistance('ground'),
                $plug,
                loose: true,
                element: 'ground',
            ),
            new Fault(
                'common-brush',
                'common-brush',
                'motor',
                0.06,
                Severity::only(Adjustment::opened('brush-common')),
                ['knock' => ['nothing' => 0.5, 'starts' => 0.5]],
                comesAndGoes: true,
                observedPassing: ['knock' => ['nothing' => 0.3, 'starts' => 0.7]],
                element: 'motor',
            ),
            new Fault(
                'low-brush',
                'low-brush',
                'motor',
                0.06,
                Severity::only(Adjustment::opened('brush-low')),
                ['knock' => ['nothing' => 0.6, 'starts' => 0.4]],
                element: 'motor',
            ),
            new Fault(
                'high-brush',
                'high-brush',
                'motor',
                0.05,
                Severity::only(Adjustment::opened('brush-high')),
                element: 'motor',
            ),
            new Fault(
                'dragging',
                'dragging',
                'motor',
                0.05,
                Severity::adding('motor.frictionTorque', 0.04, 1.2),
                ['arms' => ['free' => 0.1, 'stiff' => 0.85, 'locked' => 0.05]],
                element: 'motor',
            ),
            new Fault(
                'seized',
                'seized',
                'motor',
                0.04,
                Severity::only(Adjustment::set('motor.frictionTorque', 1e6)),
                ['arms' => ['free' => 0.02, 'stiff' => 0.06, 'locked' => 0.92]],
                element: 'motor',
            ),
        ];
    }

    /** @return list<FaultPair> */
    public static function pairs(): array
    {
        return [new FaultPair('dragging', 'low-path', 0.015), new FaultPair('dragging', 'module-dead', 0.01)];
    }

    /** @return list<Part> */
    public static function parts(): array
    {
        return [
            new Part('module', 85.0, 40.0),
            new Part('stalk', 95.0, 50.0),
            new Part('stalk-wire', 10.0, 50.0),
            new Part('motor', 110.0, 60.0),
            new Part('fuse', 2.0, 5.0),
            new Part('feed-wire', 12.0, 40.0),
            new Part('ground-wire', 8.0, 30.0),
        ];
    }
}

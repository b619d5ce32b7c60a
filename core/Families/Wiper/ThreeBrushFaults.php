<?php

declare(strict_types=1);

namespace Ispira\Core\Families\Wiper;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Severity;

/**
 * What can fail in and around a wiper motor with three brushes.
 */
final readonly class ThreeBrushFaults
{
    public function __construct(private float $scale) {}

    /** @return list<Fault> what only this motor can have */
    public function all(): array
    {
        $z = $this->scale * $this->scale;
        $knock = ['knock' => ['nothing' => 0.5, 'starts' => 0.5]];

        return [
            new Fault(
                'common-brush',
                'common-brush',
                'motor',
                0.1,
                Severity::only(Adjustment::opened('brush-common')),
                $knock,
                comesAndGoes: true,
                observedPassing: ['knock' => ['nothing' => 0.3, 'starts' => 0.7]],
                element: 'brush-common',
            ),
            new Fault(
                'low-brush',
                'low-brush',
                'motor',
                0.09,
                Severity::only(Adjustment::opened('brush-low')),
                $knock,
                element: 'brush-low',
            ),
            new Fault(
                'high-brush',
                'high-brush',
                'motor',
                0.09,
                Severity::only(Adjustment::opened('brush-high')),
                element: 'brush-high',
            ),
            new Fault(
                'brushes-worn',
                'brushes-worn',
                'motor',
                0.04,
                Severity::adding('brush-common.ohms', 0.1 * $z, 12.0 * $z),
                $knock,
                element: 'brush-common',
            ),
            new Fault(
                'park-never-opens',
                'park-never-opens',
                'motor',
                0.06,
                Severity::only(Adjustment::closed('cam-run', 0.01), Adjustment::opened('cam-rest')),
                element: 'cam-run',
            ),
            new Fault(
                'park-open',
                'park-open',
                'motor',
                0.08,
                Severity::only(Adjustment::opened('cam-run')),
                element: 'cam-run',
            ),
            new Fault(
                'no-brake',
                'no-brake',
                'motor',
                0.05,
                Severity::only(Adjustment::opened('cam-rest')),
                element: 'cam-rest',
            ),
            new Fault(
                'dragging',
                'dragging',
                'motor',
                0.07,
                Severity::adding('motor.frictionTorque', 0.03, 1.0),
                ['arms' => ['free' => 0.4, 'stiff' => 0.55, 'locked' => 0.05]],
                element: 'motor',
            ),
            new Fault(
                'dash-low-open',
                'dash-contact',
                'dash-switch',
                0.04,
                Severity::only(Adjustment::opened('dash-low')),
                comesAndGoes: true,
                observedPassing: ['wiggle-dash' => ['steady' => 0.2, 'changes' => 0.8]],
                words: ['contact' => 'low'],
                element: 'dash-low',
            ),
            new Fault(
                'dash-high-open',
                'dash-contact',
                'dash-switch',
                0.04,
                Severity::only(Adjustment::opened('dash-high')),
                words: ['contact' => 'high'],
                element: 'dash-high',
            ),
            new Fault(
                'dash-park-open',
                'dash-contact',
                'dash-switch',
                0.04,
                Severity::only(Adjustment::opened('dash-park')),
                words: ['contact' => 'park'],
                element: 'dash-park',
            ),
            new Fault(
                'low-wire-open',
                'wire-open',
                'wire',
                0.03,
                Severity::only(Adjustment::opened('low-wire')),
                words: ['wire' => 'low'],
                element: 'low-wire',
            ),
            new Fault(
                'high-wire-open',
                'wire-open',
                'wire',
                0.03,
                Severity::only(Adjustment::opened('high-wire')),
                words: ['wire' => 'high'],
                element: 'high-wire',
            ),
            new Fault(
                'wires-touch',
                'wires-touch',
                'wire',
                0.015,
                Severity::limiting('touch.ohms', 0.02, 2.0, 2),
                ['wiggle-plug' => ['steady' => 0.5, 'changes' => 0.5]],
                element: 'low-wire',
            ),
            new Fault(
                'park-wire-open',
                'wire-open',
                'wire',
                0.03,
                Severity::only(Adjustment::opened('park-wire')),
                words: ['wire' => 'park'],
                element: 'park-wire',
            ),
            new Fault(
                'park-feed-open',
                'wire-open',
                'wire',
                0.03,
                Severity::only(Adjustment::opened('park-feed')),
                words: ['wire' => 'park feed'],
                element: 'park-feed',
            ),
            new Fault(
                'ground-open',
                'ground-open',
                'ground-wire',
                0.05,
                Severity::only(Adjustment::opened('ground')),
                [],
                comesAndGoes: true,
                observedPassing: ['wiggle-plug' => ['steady' => 0.3, 'changes' => 0.7]],
                loose: true,
                element: 'ground',
            ),
            new Fault(
                'ground-resistive',
                'ground-resistive',
                'ground-wire',
                0.05,
                Severity::resistance('ground'),
                ['wiggle-plug' => ['steady' => 0.5, 'changes' => 0.5]],
                loose: true,
                element: 'ground',
            ),
            new Fault(
                'dash-feed-open',
                'dash-feed',
                'fused-wire',
                0.03,
                Severity::only(Adjustment::opened('dash-feed')),
                element: 'dash-feed',
            ),
        ];
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Families\AirDoor;

use Ispira\Core\Circuit\Element;
use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Decoupling;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Severity;

/**
 * What can fail between a control head and the door that its motor moves.
 */
final class ElectricFaults
{
    private function __construct() {}

    /** @return list<Observation> */
    public static function observations(bool $feedback, bool $twoZones): array
    {
        $steady = ['steady' => 0.98, 'changes' => 0.02];

        return [
            new Observation('lever', ['together' => 0.97, 'lever-alone' => 0.015, 'motor-alone' => 0.015]),
            new Observation('door-by-hand', ['free' => 0.95, 'stiff' => 0.04, 'jammed' => 0.01]),
            new Observation('look-harness', ['fine' => 0.95, 'chafed' => 0.02, 'corroded' => 0.03]),
            new Observation('wiggle-plug', $steady),
            new Observation('wiggle-head', $steady),
            new Observation('knock', ['nothing' => 0.98, 'starts' => 0.02]),
            ...$feedback ? [new Observation('sweep', ['smooth' => 0.95, 'jumps' => 0.05])] : [],
            ...$twoZones ? [new Observation('other-side', ['follows' => 0.98, 'stays' => 0.02])] : [],
        ];
    }

    /** @return list<Fault> */
    public static function all(bool $feedback, bool $twoZones): array
    {
        $plug = ['wiggle-plug' => ['steady' => 0.25, 'changes' => 0.75]];
        $atHead = ['wiggle-head' => ['steady' => 0.25, 'changes' => 0.75]];
        $corroded = ['look-harness' => ['fine' => 0.3, 'chafed' => 0.05, 'corroded' => 0.65]];
        $knock = static fn(float $starts): array => ['knock' => ['nothing' => 1.0 - $starts, 'starts' => $starts]];
        $door = static fn(float $stiff, float $jammed): array => [
            'door-by-hand' => ['free' => 1.0 - $stiff - $jammed, 'stiff' => $stiff, 'jammed' => $jammed],
        ];
        $both = $twoZones ? ['other-side' => ['follows' => 0.05, 'stays' => 0.95]] : [];
        $asked = [Adjustment::opened('ask-warm'), Adjustment::opened('ask-cold')];

        return [
            new Fault(
                'fuse-open',
                'fuse-open',
                'fuse',
                0.04,
                Severity::only(Adjustment::opened('fuse')),
                $both,
                element: 'fuse',
            ),
            new Fault(
                'wire-grounded',
                'wire-grounded',
                'motor-wire',
                0.02,
                Severity::limiting('direct-cold-minus.ohms', 0.03, 2.0, 2, Adjustment::opened('fuse')),
                ['look-harness' => ['fine' => 0.1, 'chafed' => 0.88, 'corroded' => 0.02]] + $both,
                element: 'warm-wire',
            ),
            new Fault(
                'feed-open',
                'feed-open',
                'feed-wire',
                0.03,
                Severity::only(Adjustment::opened('feed')),
                $both,
                comesAndGoes: true,
                observedPassing: $atHead,
                loose: true,
                element: 'feed',
            ),
            new Fault(
                'ground-open',
                'ground-open',
                'ground-wire',
                0.03,
                Severity::only(Adjustment::opened('ground')),
                $both,
                comesAndGoes: true,
                observedPassing: $atHead,
                loose: true,
                element: 'ground',
            ),
            new Fault(
                'ground-resistive',
                'ground-resistive',
                'ground-wire',
                0.03,
                Severity::resistance('ground'),
                $atHead + $both,
                loose: true,
                element: 'ground',
            ),
            new Fault('head-dead', 'head-dead', 'head', 0.05, Severity::only(...$asked), element: 'feed'),
            new Fault(
                'warm-stage',
                'one-way',
                'head',
                0.04,
                Severity::only(Adjustment::opened('warm-stage')),
                words: ['way' => 'warm'],
                element: 'warm-joint',
            ),
            new Fault(
                'cold-stage',
                'one-way',
                'head',
                0.04,
                Severity::only(Adjustment::opened('cold-stage')),
                words: ['way' => 'cold'],
                element: 'cold-joint',
            ),
            new Fault(
                'warm-output',
                'output-open',
                'head',
                0.02,
                Severity::only(Adjustment::opened('warm-joint')),
                words: ['side' => 'warm'],
                comesAndGoes: true,
                observedPassing: $atHead,
                element: 'warm-joint',
            ),
            new Fault(
                'warm-wire',
                'wire-open',
                'motor-wire',
                0.04,
                Severity::only(Adjustment::opened('warm-wire')),
                ['look-harness' => ['fine' => 0.4, 'chafed' => 0.5, 'corroded' => 0.1]],
                words: ['side' => 'warm'],
                comesAndGoes: true,
                observedPassing: $plug,
                loose: true,
                element: 'warm-wire',
            ),
            new Fault(
                'cold-wire',
                'wire-open',
                'motor-wire',
                0.04,
                Severity::only(Adjustment::opened('cold-wire')),
                ['look-harness' => ['fine' => 0.4, 'chafed' => 0.5, 'corroded' => 0.1]],
                words: ['side' => 'cold'],
                comesAndGoes: true,
                observedPassing: $plug,
                loose: true,
                element: 'cold-wire',
            ),
            new Fault(
                'plug-resistive',
                'plug-resistive',
                'plug',
                0.05,
                Severity::resistance('warm-plug'),
                $corroded + $plug,
                loose: true,
                element: 'warm-plug',
            ),
            new Fault(
                'motor-open',
                'motor-open',
                'actuator',
                0.1,
                Severity::only(Adjustment::atLeast('motor.armatureOhms', Element::OPEN_OHMS)),
                $knock(0.45),
                comesAndGoes: true,
                observedPassing: $knock(0.7),
                element: 'motor',
            ),
            new Fault(
                'motor-seized',
                'motor-seized',
                'actuator',
                0.06,
                Severity::only(Adjustment::set('motor.frictionTorque', 1e3)),
                element: 'motor',
            ),
            new Fault(
                'gear-drags',
                'gear-drags',
                'actuator',
                0.05,
                Severity::adding('motor.frictionTorque', 4e-4, 8e-3),
                element: 'motor',
            ),
            new Fault(
                'gear-stripped',
                'gear-stripped',
                'actuator',
                0.18,
                Severity::only(),
                ['lever' => ['together' => 0.04, 'lever-alone' => 0.02, 'motor-alone' => 0.94]],
                element: 'motor',
                decouples: Decoupling::InTheDrive,
            ),
            new Fault(
                'door-broken',
                'door-broken',
                'door',
                0.06,
                Severity::only(),
                ['lever' => ['together' => 0.1, 'lever-alone' => 0.88, 'motor-alone' => 0.02]] + $door(0.05, 0.02),
                element: 'motor',
                decouples: Decoupling::BehindTheDrive,
            ),
            new Fault(
                'door-jammed',
                'door-jammed',
                'door',
                0.08,
                Severity::only(Adjustment::set('motor.loadTorque', 1e3)),
                $door(0.08, 0.9),
                element: 'motor',
            ),
            new Fault(
                'door-binds',
                'door-binds',
                'door',
                0.05,
                Severity::adding('motor.loadTorque', 5e-4, 8e-3),
                $door(0.87, 0.05),
                element: 'motor',
            ),
            ...$feedback ? self::ofReport($plug) : [],
        ];
    }

    /**
     * @param array<string, array<string, float>> $plug
     *
     * @return list<Fault>
     */
    private static function ofReport(array $plug): array
    {
        $jumps = static fn(float $jumps): array => ['sweep' => ['smooth' => 1.0 - $jumps, 'jumps' => $jumps]];

        return [
            new Fault(
                'track-worn',
                'track-worn',
                'actuator',
                0.1,
                Severity::adding('wiper.ohms', 2e4, 5e6),
                $jumps(0.92),
                comesAndGoes: true,
                observedPassing: $jumps(0.9),
                element: 'wiper',
            ),
            new Fault(
                'wiper-open',
                'wiper-open',
                'actuator',
                0.05,
                Severity::only(Adjustment::opened('wiper')),
                $jumps(0.5),
                element: 'wiper',
            ),
            new Fault(
                'track-open',
                'track-open',
                'actuator',
                0.02,
                Severity::only(Adjustment::opened('track-lower')),
                $jumps(0.6),
                element: 'track-lower',
            ),
            // It breaks on either side of where the wiper stands.
            new Fault(
                'track-open-upper',
                'track-open',
                'actuator',
                0.02,
                Severity::only(Adjustment::opened('track-upper')),
                $jumps(0.6),
                element: 'track-upper',
            ),
            new Fault(
                'ref-open',
                'ref-open',
                'report-wire',
                0.04,
                Severity::only(Adjustment::opened('ref-wire')),
                [],
                comesAndGoes: true,
                observedPassing: $plug + $jumps(0.2),
                loose: true,
                element: 'ref-wire',
            ),
            new Fault(
                'low-open',
                'low-open',
                'report-wire',
                0.03,
                Severity::only(Adjustment::opened('low-wire')),
                [],
                loose: true,
                element: 'low-wire',
            ),
            new Fault(
                'told-open',
                'told-open',
                'report-wire',
                0.04,
                Severity::only(Adjustment::opened('told-wire')),
                [],
                comesAndGoes: true,
                observedPassing: $plug,
                loose: true,
                element: 'told-wire',
            ),
            new Fault(
                'told-grounded',
                'told-grounded',
                'report-wire',
                0.02,
                Severity::limiting('told-grounded.ohms', 0.5, 2e3, 3),
                ['look-harness' => ['fine' => 0.15, 'chafed' => 0.8, 'corroded' => 0.05]],
                element: 'told-wire',
            ),
            new Fault(
                'reference-dead',
                'reference-dead',
                'head',
                0.03,
                Severity::only(Adjustment::opened('reference')),
                element: 'ref-wire',
            ),
        ];
    }

    /** @return list<Part> */
    public static function parts(): array
    {
        return [
            new Part('actuator', 48.0, 45.0),
            new Part('door', 20.0, 150.0),
            new Part('head', 160.0, 40.0),
            new Part('motor-wire', 8.0, 45.0),
            new Part('report-wire', 8.0, 45.0),
            new Part('plug', 12.0, 25.0),
            new Part('fuse', 2.0, 5.0),
            new Part('supply-wire', 8.0, 40.0),
            new Part('feed-wire', 8.0, 40.0),
            new Part('ground-wire', 6.0, 30.0),
        ];
    }
}

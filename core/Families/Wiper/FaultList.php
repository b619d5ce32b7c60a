<?php

declare(strict_types=1);

namespace Ispira\Core\Families\Wiper;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Decoupling;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\FaultPair;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Severity;

/**
 * What can fail around any two-speed wiper.
 */
final readonly class FaultList
{
    public const BURNT = ['fine' => 0.12, 'burnt' => 0.8, 'corroded' => 0.08];

    /**
     * @param list<Fault> $own    of the motor at hand
     * @param float       $torque in N·m, with which a stiff linkage begins
     */
    public function __construct(private array $own, private float $torque) {}

    /** @return list<Adjustment> the motor without what hangs on its crank */
    public static function linkageOff(): array
    {
        return [Adjustment::atMost('motor.fanConstant', 0.0), Adjustment::atMost('motor.loadTorque', 0.0)];
    }

    /** @return list<Observation> */
    public static function observations(): array
    {
        $steady = ['steady' => 0.98, 'changes' => 0.02];

        return [
            new Observation('motor-sound', ['as-arms' => 0.97, 'turns-alone' => 0.03]),
            new Observation('arms', ['free' => 0.95, 'stiff' => 0.04, 'locked' => 0.01]),
            new Observation('linkage', ['free' => 0.95, 'stiff' => 0.05]),
            new Observation('look-plug', ['fine' => 0.93, 'burnt' => 0.04, 'corroded' => 0.03]),
            new Observation('look-strap', ['fine' => 0.95, 'broken' => 0.05]),
            new Observation('wiggle-plug', $steady),
            new Observation('wiggle-dash', $steady),
            new Observation('wiggle-feed', $steady),
            new Observation('warm', $steady),
            new Observation('knock', ['nothing' => 0.98, 'starts' => 0.02]),
        ];
    }

    /** @return list<Fault> */
    public function all(): array
    {
        return [
            ...$this->own,
            new Fault(
                'fuse-open',
                'fuse-open',
                'fuse',
                0.05,
                Severity::only(Adjustment::opened('fuse')),
                element: 'fuse',
            ),
            new Fault(
                'feed-open',
                'feed-open',
                'feed-wire',
                0.04,
                Severity::only(Adjustment::opened('feed')),
                [],
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-feed', 0.8),
                loose: true,
                element: 'feed',
            ),
            new Fault(
                'feed-resistive',
                'feed-resistive',
                'feed-wire',
                0.04,
                Severity::resistance('feed'),
                Observation::changing('wiggle-feed', 0.6),
                loose: true,
                element: 'feed',
            ),
            new Fault(
                'linkage-binding',
                'linkage-binding',
                'linkage',
                0.1,
                // Over the torque that an ordinary motor has at its crank: from stiff to blocked.
                Severity::adding('motor.loadTorque', $this->torque, 30.0 * $this->torque),
                [
                    'linkage' => ['free' => 0.06, 'stiff' => 0.94],
                    'arms' => ['free' => 0.1, 'stiff' => 0.85, 'locked' => 0.05],
                ],
                element: 'motor',
            ),
            new Fault(
                'gear-stripped',
                'gear-stripped',
                'motor',
                0.06,
                Severity::only(),
                [
                    'motor-sound' => ['as-arms' => 0.04, 'turns-alone' => 0.96],
                    'arms' => ['free' => 0.6, 'stiff' => 0.38, 'locked' => 0.02],
                ],
                element: 'motor',
                decouples: Decoupling::InTheDrive,
            ),
            new Fault(
                'motor-seized',
                'motor-seized',
                'motor',
                0.05,
                [
                    new Severity([Adjustment::set('motor.frictionTorque', 1e6)], share: 0.5),
                    new Severity(
                        [Adjustment::set('motor.frictionTorque', 1e6), Adjustment::opened('fuse')],
                        share: 0.5,
                    ),
                ],
                ['arms' => ['free' => 0.03, 'stiff' => 0.07, 'locked' => 0.9]],
                element: 'motor',
            ),
        ];
    }

    /** @return list<FaultPair> */
    public function pairs(): array
    {
        return [
            new FaultPair('linkage-binding', 'fuse-open', 0.02),
            new FaultPair('linkage-binding', 'gear-stripped', 0.012),
        ];
    }

    /** @return list<Part> */
    public static function parts(): array
    {
        return [
            new Part('motor', 110.0, 60.0),
            new Part('linkage', 45.0, 70.0),
            new Part('dash-switch', 65.0, 45.0),
            new Part('wire', 10.0, 50.0),
            new Part('strap', 4.0, 12.0),
            new Part('plug', 16.0, 30.0),
            new Part('fuse', 2.0, 5.0),
            new Part('feed-wire', 12.0, 45.0),
            new Part('fused-wire', 9.0, 45.0),
            new Part('ground-wire', 8.0, 30.0),
        ];
    }
}

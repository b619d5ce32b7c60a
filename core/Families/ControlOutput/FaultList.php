<?php

declare(strict_types=1);

namespace Ispira\Core\Families\ControlOutput;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\FaultPair;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Severity;

/**
 * What can be wrong between a control transformer and the contactor that it has to hold.
 */
final class FaultList
{
    private const PITTED = ['look-contactor' => ['clean' => 0.25, 'pitted' => 0.7, 'burnt' => 0.05]];

    private function __construct() {}

    /** @return list<Observation> */
    public static function observations(): array
    {
        return [
            new Observation('look-contactor', ['clean' => 0.7, 'pitted' => 0.25, 'burnt' => 0.05]),
            new Observation('look-board', ['fine' => 0.93, 'cracked' => 0.03, 'brown' => 0.04]),
            new Observation('primary-tap', ['fits' => 0.97, 'wrong' => 0.03]),
            new Observation('push-armature', ['free' => 0.97, 'stuck' => 0.03]),
            new Observation('settings', ['fit' => 0.96, 'wrong' => 0.04]),
            new Observation('wiggle-wire', ['steady' => 0.98, 'changes' => 0.02]),
            new Observation('tap-board', ['steady' => 0.98, 'changes' => 0.02]),
        ];
    }

    /** @return list<Fault> */
    public static function all(): array
    {
        $board = ['look-board' => ['fine' => 0.4, 'cracked' => 0.3, 'brown' => 0.3]];
        $noCall = [Adjustment::opened('thermostat'), Adjustment::opened('contact')];

        return [
            new Fault(
                'output-resistive',
                'output-resistive',
                'board',
                0.16,
                Severity::resistance('contact'),
                $board + self::PITTED + Observation::changing('tap-board', 0.45),
                loose: true,
                element: 'contact',
                upstream: true,
            ),
            new Fault(
                'output-open',
                'output-open',
                'board',
                0.08,
                Severity::only(Adjustment::opened('contact')),
                $board,
                comesAndGoes: true,
                observedPassing: Observation::changing('tap-board', 0.8) + self::PITTED,
                element: 'contact',
                upstream: true,
            ),
            new Fault(
                'output-welded',
                'output-welded',
                'board',
                0.03,
                Severity::only(Adjustment::closed('weld', 0.05)),
                $board,
                element: 'contact',
                upstream: true,
            ),
            new Fault(
                'transformer-weak',
                'transformer-weak',
                'transformer',
                0.08,
                Severity::adding('transformer.ohms', 2.0, 20.0),
                self::PITTED,
                element: 'transformer',
                upstream: true,
            ),
            new Fault(
                'primary-tap',
                'primary-tap',
                'transformer-tap',
                0.04,
                Severity::only(
                    Adjustment::scale('transformer.volts', 0.868),
                    Adjustment::scale('transformer.ohms', 0.9),
                ),
                self::PITTED + ['primary-tap' => ['fits' => 0.04, 'wrong' => 0.96]],
                element: 'transformer',
                upstream: true,
            ),
            new Fault(
                'transformer-open',
                'transformer-open',
                'transformer',
                0.05,
                Severity::only(Adjustment::opened('transformer')),
                element: 'transformer',
                upstream: true,
            ),
            new Fault(
                'wire-short',
                'wire-short',
                'field-wire',
                0.05,
                Severity::limiting('chafe.ohms', 0.03, 2.0, 2, Adjustment::opened('fuse')),
                element: 'wire',
            ),
            new Fault(
                'wire-fed',
                'wire-fed',
                'field-wire',
                0.02,
                Severity::limiting('chafe-live.ohms', 0.2, 50.0, 3),
                Observation::changing('wiggle-wire', 0.3),
                element: 'wire',
            ),
            new Fault(
                'fuse-open',
                'fuse-open',
                'fuse',
                0.03,
                Severity::only(Adjustment::opened('fuse')),
                element: 'fuse',
                upstream: true,
            ),
            new Fault(
                'drained',
                'drained',
                'other-load',
                0.04,
                Severity::limiting('drain.ohms', 0.3, 30.0, 4),
                self::PITTED,
                element: 'drain',
                upstream: true,
            ),
            new Fault(
                'wire-resistive',
                'wire-resistive',
                'field-wire',
                0.09,
                Severity::resistance('wire'),
                self::PITTED + Observation::changing('wiggle-wire', 0.6),
                loose: true,
                element: 'wire',
            ),
            new Fault(
                'wire-open',
                'wire-open',
                'field-wire',
                0.06,
                Severity::only(Adjustment::opened('wire')),
                [],
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-wire', 0.85) + self::PITTED,
                loose: true,
                element: 'wire',
            ),
            new Fault(
                'common-open',
                'common-open',
                'common-wire',
                0.04,
                Severity::only(Adjustment::opened('common')),
                [],
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-wire', 0.7) + self::PITTED,
                loose: true,
                element: 'common',
            ),
            new Fault(
                'common-resistive',
                'common-resistive',
                'common-wire',
                0.04,
                Severity::resistance('common'),
                self::PITTED + Observation::changing('wiggle-wire', 0.5),
                loose: true,
                element: 'common',
            ),
            new Fault(
                'coil-shorted',
                'coil-shorted',
                'contactor',
                0.05,
                self::coilScaled(0.08, 0.75),
                ['look-contactor' => ['clean' => 0.2, 'pitted' => 0.3, 'burnt' => 0.5]],
                element: 'contactor',
            ),
            new Fault(
                'coil-open',
                'coil-open',
                'contactor',
                0.06,
                Severity::only(Adjustment::opened('contactor')),
                ['look-contactor' => ['clean' => 0.4, 'pitted' => 0.2, 'burnt' => 0.4]],
                element: 'contactor',
            ),
            new Fault(
                'contactor-stuck',
                'contactor-stuck',
                'contactor',
                0.05,
                Severity::only(
                    Adjustment::set('contactor.pullInVolts', 0.0),
                    Adjustment::set('contactor.dropOutVolts', 0.0),
                ),
                [
                    'push-armature' => ['free' => 0.05, 'stuck' => 0.95],
                    'look-contactor' => ['clean' => 0.1, 'pitted' => 0.3, 'burnt' => 0.6],
                ],
                element: 'contactor',
            ),
            new Fault(
                'contactor-jammed',
                'contactor-jammed',
                'contactor',
                0.04,
                // It hums between drop-out and a pull-in that it never reaches.
                Severity::only(Adjustment::set('contactor.pullInVolts', 400.0)),
                ['push-armature' => ['free' => 0.06, 'stuck' => 0.94]],
                element: 'contactor',
            ),
            new Fault(
                'no-call',
                'no-call',
                'thermostat',
                0.06,
                Severity::only(...$noCall),
                ['settings' => ['fit' => 0.85, 'wrong' => 0.15]],
                comesAndGoes: true,
                element: 'thermostat',
                upstream: true,
            ),
        ];
    }

    /** @return list<Severity> the impedance of a coil with shorted turns, over that of a sound one */
    private static function coilScaled(float $least, float $most): array
    {
        $scaled = Severity::scaling('contactor.ohms', $least, $most);
        foreach (['unsealedOhms', 'unsealedReactance', 'sealedOhms', 'sealedReactance'] as $name) {
            $scaled = Severity::joined($scaled, Severity::scaling("contactor.$name", $least, $most));
        }

        return $scaled;
    }

    /** @return list<FaultPair> */
    public static function pairs(): array
    {
        return [
            new FaultPair('output-resistive', 'wire-resistive', 0.006),
            new FaultPair('coil-shorted', 'output-resistive', 0.01),
        ];
    }

    /** @return list<Part> */
    public static function parts(): array
    {
        return [
            new Part('board', 190.0, 60.0),
            new Part('transformer', 32.0, 30.0),
            new Part('transformer-tap', 0.0, 12.0),
            new Part('fuse', 2.0, 5.0),
            new Part('other-load', 10.0, 40.0),
            new Part('field-wire', 14.0, 45.0),
            new Part('common-wire', 8.0, 35.0),
            new Part('contactor', 34.0, 25.0),
            new Part('thermostat', 60.0, 25.0),
        ];
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Families\ElectronicBlower;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Severity;

/**
 * What can fail between the battery and the module of an electronic blower.
 */
final readonly class SupplyFaults
{
    public function __construct(private Variant $variant) {}

    /** @return list<Fault> */
    public function supply(): array
    {
        $v = $this->variant;
        $look = ['look-module-plug' => FaultList::BURNT];
        $faults = [
            new Fault(
                'fuse-open',
                'fuse-open',
                'fuse',
                0.06,
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
                0.05,
                Severity::resistance('feed'),
                Observation::changing('wiggle-feed', 0.6),
                loose: true,
                element: 'feed',
            ),
            // A last strand: any light load sees full voltage, the motor none.
            new Fault(
                'feed-strand',
                'feed-strand',
                'feed-wire',
                0.03,
                Severity::adding('feed.ohms', 8.0, 60.0, 2),
                Observation::changing('wiggle-feed', 0.5),
                loose: true,
                element: 'feed',
            ),
            new Fault(
                'ground-open',
                'ground-open',
                'ground-wire',
                0.05,
                Severity::only(Adjustment::opened('ground')),
                [],
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-ground', 0.8),
                loose: true,
                element: 'ground',
            ),
            new Fault(
                'ground-resistive',
                'ground-resistive',
                'ground-wire',
                0.05,
                Severity::resistance('ground'),
                Observation::changing('wiggle-ground', 0.6),
                loose: true,
                element: 'ground',
            ),
            new Fault(
                'plug-burnt',
                'plug-burnt',
                'module-plug',
                0.07,
                Severity::resistance('plug-feed'),
                $look + Observation::changing('wiggle-module-plug', 0.7),
                loose: true,
                element: 'plug-feed',
            ),
            new Fault(
                'plug-open',
                'plug-open',
                'module-plug',
                0.04,
                Severity::only(Adjustment::opened('plug-feed')),
                $look + Observation::changing('wiggle-module-plug', 0.6),
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-module-plug', 0.8),
                loose: true,
                element: 'plug-feed',
            ),
        ];
        if ($v->relay) {
            $faults[] = new Fault(
                'relay-open',
                'relay-open',
                'relay',
                0.05,
                Severity::only(Adjustment::opened('relay')),
                [],
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-feed', 0.6),
                element: 'relay',
            );
        }

        return $faults;
    }
}

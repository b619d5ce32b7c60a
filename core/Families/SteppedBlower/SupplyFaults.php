<?php

declare(strict_types=1);

namespace Ispira\Core\Families\SteppedBlower;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Severity;

/**
 * What can fail between the battery and the selector of a stepped blower, and in its high relay.
 */
final readonly class SupplyFaults
{
    public function __construct(private Variant $variant) {}

    /** @return list<Fault> */
    public function supplyFaults(): array
    {
        $deadNeighbours = ['neighbours' => ['work' => 0.04, 'dead' => 0.96]];
        $faults = [
            new Fault(
                'fuse-open',
                'fuse-open',
                'fuse',
                0.06,
                [new Severity([FaultList::broken('fuse')])],
                $deadNeighbours,
                element: 'fuse',
            ),
            new Fault(
                'relay-open',
                'relay-open',
                'relay',
                0.045,
                [new Severity([FaultList::broken('relay')])],
                [],
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-relay', 0.85),
                element: 'relay',
            ),
            new Fault(
                'relay-welded',
                'relay-welded',
                'relay',
                0.02,
                [new Severity([Adjustment::atMost('relay.ohms', 0.004)])],
                element: 'relay',
            ),
            new Fault(
                'feed-open',
                'feed-open',
                'feed-wire',
                0.02,
                [new Severity([FaultList::broken('feed')])],
                $deadNeighbours,
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-feed', 0.85),
                loose: true,
                element: 'feed',
            ),
            new Fault(
                'ground-open',
                'ground-open',
                'ground-wire',
                0.035,
                [new Severity([FaultList::broken('ground')])],
                [],
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-ground', 0.85),
                loose: true,
                element: 'ground',
            ),
        ];
        if ($this->variant->modeContact()) {
            $faults[] = new Fault(
                'mode-open',
                'mode-open',
                'mode-selector',
                0.03,
                [new Severity([FaultList::broken('mode')])],
                [],
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-mode', 0.85),
                element: 'mode',
            );
        }

        return $faults;
    }

    /** @return list<Fault> */
    public function highFaults(): array
    {
        $v = $this->variant;
        if (!$v->highRelay()) {
            return [];
        }
        $faults = [
            new Fault(
                'high-coil-open',
                'high-coil-open',
                'high-relay',
                0.03,
                [new Severity([FaultList::broken('high-coil')])],
                element: 'high-coil',
            ),
            new Fault(
                'high-contact-open',
                'high-contact-open',
                'high-relay',
                0.04,
                [new Severity([FaultList::broken('high-joint')])],
                [],
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-high', 0.85),
                element: 'high-contact',
            ),
            new Fault(
                'high-contact-welded',
                'high-contact-welded',
                'high-relay',
                0.03,
                [new Severity([Adjustment::atMost('high-weld.ohms', 0.004)])],
                element: 'high-contact',
            ),
            new Fault(
                'high-feed-open',
                $v->feedSide ? 'high-feed-open' : 'high-ground-open',
                'high-wire',
                0.015,
                [new Severity([FaultList::broken('high-feed')])],
                [],
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-high-wire', 0.85),
                element: 'high-feed',
            ),
        ];
        if ($v->feedSide) {
            $faults[] = new Fault(
                'high-fuse-open',
                'high-fuse-open',
                'high-fuse',
                0.03,
                [new Severity([FaultList::broken('high-fuse')])],
                element: 'high-fuse',
            );
        }
        if ($v->high === 'changeover') {
            $faults[] = new Fault(
                'rest-contact-burnt',
                'rest-contact-burnt',
                'high-relay',
                0.05,
                [
                    new Severity([FaultList::broken('rest-joint')], share: 0.6),
                    new Severity([Adjustment::add('rest-joint.ohms', 0.5 * $v->impedance())], share: 0.4),
                ],
                [],
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-high', 0.85),
                element: 'rest',
            );
        }

        return $faults;
    }
}

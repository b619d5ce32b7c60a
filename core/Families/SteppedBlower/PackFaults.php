<?php

declare(strict_types=1);

namespace Ispira\Core\Families\SteppedBlower;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Severity;

/**
 * What can fail in the resistor pack, its plug and the other joints of a stepped blower.
 */
final readonly class PackFaults
{
    public function __construct(private Variant $variant) {}

    /** @return list<Fault> */
    public function packFaults(): array
    {
        $v = $this->variant;
        $part = $v->packPart();
        $low = $v->lowPositions();
        $share = 1.0 / \count($low);
        $burntPack = ['look-pack' => ['fine' => 0.4, 'burnt' => 0.5, 'corroded' => 0.04, 'cracked' => 0.06]];
        $faults = [
            new Fault(
                'common-open',
                $v->thermalFuse ? 'thermal-fuse-open' : 'common-open',
                $part,
                0.2,
                [new Severity([FaultList::broken('common')])],
                $burntPack,
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-pack', 0.85),
                element: 'common',
            ),
        ];
        foreach ($low as $k) {
            $words = ['k' => (string) $k];
            $faults[] = new Fault(
                "resistor-$k-open",
                'resistor-open',
                $part,
                0.1 * $share,
                [new Severity([FaultList::broken("resistor-$k")])],
                $burntPack,
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-pack', 0.85),
                words: $words,
                element: "resistor-$k",
            );
            $faults[] = new Fault(
                "resistor-$k-high",
                'resistor-high',
                $part,
                0.04 * $share,
                Severity::scaling("resistor-$k.ohms", 1.2, 12.0, 4),
                ['look-pack' => ['fine' => 0.45, 'burnt' => 0.3, 'corroded' => 0.2, 'cracked' => 0.05]],
                words: $words,
                element: "resistor-$k",
            );
            $faults[] = new Fault(
                "resistor-$k-shorted",
                'resistor-shorted',
                $part,
                0.015 * $share,
                [new Severity([Adjustment::atMost("resistor-$k.ohms", 0.01)])],
                ['look-pack' => ['fine' => 0.5, 'burnt' => 0.4, 'corroded' => 0.05, 'cracked' => 0.05]],
                words: $words,
                element: "resistor-$k",
            );
            $faults[] = new Fault(
                "resistor-$k-low",
                'resistor-low',
                $part,
                0.02 * $share,
                Severity::scaling("resistor-$k.ohms", 0.08, 0.75, 3),
                ['look-pack' => ['fine' => 0.5, 'burnt' => 0.35, 'corroded' => 0.1, 'cracked' => 0.05]],
                words: $words,
                element: "resistor-$k",
            );
        }

        return $faults;
    }

    /** @return list<Fault> */
    public function jointFaults(): array
    {
        $grades = fn(string $element): array => array_map(
            fn(float $ohms): Severity => new Severity(
                [Adjustment::add("$element.ohms", $ohms * $this->variant->impedance())],
                share: 1 / 3,
            ),
            [0.12, 0.35, 1.2],
        );

        return [
            new Fault(
                'plug-pack-burnt',
                'plug-pack-burnt',
                'pack-plug',
                0.08,
                $grades('plug-pack'),
                ['look-pack-plug' => FaultList::BURNT, 'wiggle-pack-plug' => ['steady' => 0.25, 'changes' => 0.75]],
                loose: true,
                element: 'plug-pack',
            ),
            new Fault(
                'plug-pack-open',
                'plug-pack-open',
                'pack-plug',
                0.035,
                [new Severity([FaultList::broken('plug-pack')])],
                ['look-pack-plug' => FaultList::BURNT, 'wiggle-pack-plug' => ['steady' => 0.4, 'changes' => 0.6]],
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-pack-plug', 0.85),
                loose: true,
                element: 'plug-pack',
            ),
            new Fault(
                'plug-motor-burnt',
                'plug-motor-burnt',
                'motor-plug',
                0.07,
                $grades('plug-plus'),
                ['look-motor-plug' => FaultList::BURNT, 'wiggle-motor-plug' => ['steady' => 0.25, 'changes' => 0.75]],
                loose: true,
                element: 'plug-plus',
            ),
            new Fault(
                'plug-motor-open',
                'plug-motor-open',
                'motor-plug',
                0.03,
                [new Severity([FaultList::broken('plug-plus')])],
                ['look-motor-plug' => FaultList::BURNT, 'wiggle-motor-plug' => ['steady' => 0.4, 'changes' => 0.6]],
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-motor-plug', 0.85),
                loose: true,
                element: 'plug-plus',
            ),
            new Fault(
                'feed-resistive',
                'feed-resistive',
                'feed-wire',
                0.03,
                $grades('feed'),
                Observation::changing('wiggle-feed', 0.6),
                loose: true,
                element: 'feed',
            ),
            new Fault(
                'ground-resistive',
                'ground-resistive',
                'ground-wire',
                0.045,
                $grades('ground'),
                Observation::changing('wiggle-ground', 0.6),
                loose: true,
                element: 'ground',
            ),
        ];
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Families\RadiatorFan;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Severity;
use Ispira\Core\Families\Mechanical\Mechanical;

/**
 * What can fail in a fan, its plug and its ground.
 */
final readonly class FanFaults
{
    public function __construct(private Layout $layout) {}

    /** @return list<Fault> */
    public function of(string $fan): array
    {
        $l = $this->layout;
        $words = ['fan' => Layout::WORDS[$fan]];
        $spin = $fan === 'a' ? 'spin' : 'spin-b';
        $look = ["look-plug-$fan" => FaultList::BURNT];
        $share = 1.0 / \count($l->fans());
        $faults = [
            new Fault(
                "fan-open-$fan",
                'fan-open',
                "fan-$fan",
                0.14 * $share,
                Severity::only(Adjustment::atLeast("fan-$fan.armatureOhms", 1e10)),
                ["knock-$fan" => ['nothing' => 0.5, 'starts' => 0.5]],
                comesAndGoes: true,
                observedPassing: ["knock-$fan" => ['nothing' => 0.3, 'starts' => 0.7]],
                words: $words,
                element: "fan-$fan",
            ),
            new Fault(
                "brushes-$fan",
                'brushes',
                "fan-$fan",
                0.08 * $share,
                Severity::adding("fan-$fan.armatureOhms", 0.06, 4.0),
                words: $words,
                element: "fan-$fan",
            ),
            new Fault(
                "drag-$fan",
                'drag',
                "fan-$fan",
                0.09 * $share,
                Severity::adding("fan-$fan.frictionTorque", 0.06, 3.2, 5),
                [$spin => ['free' => 0.06, 'gritty' => 0.9, 'locked' => 0.04]] +
                    Mechanical::noise($fan === 'a' ? ['squeal' => 0.4, 'rub' => 0.15] : ['squeal' => 0.35]),
                words: $words,
                element: "fan-$fan",
            ),
            new Fault(
                "seized-$fan",
                'seized',
                "fan-$fan",
                0.08 * $share,
                [
                    new Severity([Adjustment::set("fan-$fan.frictionTorque", 1e6)], share: 0.6),
                    new Severity(
                        [Adjustment::set("fan-$fan.frictionTorque", 1e6), Adjustment::opened('fuse')],
                        share: 0.4,
                    ),
                ],
                [$spin => ['free' => 0.02, 'gritty' => 0.06, 'locked' => 0.92]],
                words: $words,
                element: "fan-$fan",
            ),
            new Fault(
                "plug-open-$fan",
                'plug-open',
                "plug-$fan",
                0.06 * $share,
                Severity::only(Adjustment::opened("plug-minus-$fan")),
                $look + Observation::changing("wiggle-plug-$fan", 0.6),
                comesAndGoes: true,
                observedPassing: Observation::changing("wiggle-plug-$fan", 0.8),
                loose: true,
                words: $words,
                element: "plug-minus-$fan",
            ),
            new Fault(
                "plug-burnt-$fan",
                'plug-burnt',
                "plug-$fan",
                0.07 * $share,
                Severity::resistance("plug-minus-$fan"),
                $look + Observation::changing("wiggle-plug-$fan", 0.65),
                loose: true,
                words: $words,
                element: "plug-minus-$fan",
            ),
        ];
        if ($l->twoInputs($fan)) {
            $faults[] = new Fault(
                Layout::own('low-brush-open', $fan),
                'low-brush-open',
                "fan-$fan",
                0.12 * $share,
                Severity::only(Adjustment::opened(Layout::own('low-brush', $fan))),
                words: $words,
                element: Layout::own('low-brush', $fan),
            );
            $faults[] = new Fault(
                Layout::own('high-pin-open', $fan),
                'high-pin-open',
                "plug-$fan",
                0.05 * $share,
                Severity::only(Adjustment::opened(Layout::own('plug-high', $fan))),
                $look,
                words: $words,
                element: Layout::own('plug-high', $fan),
            );
            $faults[] = new Fault(
                Layout::own('low-pin-open', $fan),
                'low-pin-open',
                "plug-$fan",
                0.05 * $share,
                Severity::only(Adjustment::opened(Layout::own('plug-low', $fan))),
                $look,
                words: $words,
                element: Layout::own('plug-low', $fan),
            );
        }
        if ($l->hasGround($fan)) {
            $faults[] = new Fault(
                "ground-open-$fan",
                'ground-open',
                'ground-wire',
                0.04 * $share,
                Severity::only(Adjustment::opened("ground-$fan")),
                [],
                comesAndGoes: true,
                observedPassing: Observation::changing("wiggle-plug-$fan", 0.5),
                loose: true,
                words: $words,
                element: "ground-$fan",
            );
            $faults[] = new Fault(
                "ground-resistive-$fan",
                'ground-resistive',
                'ground-wire',
                0.045 * $share,
                Severity::resistance("ground-$fan"),
                Observation::changing("wiggle-plug-$fan", 0.4),
                loose: true,
                words: $words,
                element: "ground-$fan",
            );
        }

        return $faults;
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Families\RadiatorFan;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\FaultPair;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Severity;
use Ispira\Core\Families\Mechanical\Mechanical;

/**
 * What can fail around two-speed radiator fans.
 */
final readonly class FaultList
{
    public const BURNT = ['fine' => 0.12, 'burnt' => 0.8, 'corroded' => 0.08];

    public function __construct(private Layout $layout) {}

    /** @return list<Observation> */
    public function observations(): array
    {
        $observations = [
            new Observation('look-wheel', ['clean' => 0.95, 'debris' => 0.02, 'clogged' => 0.03]),
            new Observation('compressor', ['engages' => 0.96, 'stays-out' => 0.04]),
        ];
        foreach ($this->layout->fans() as $fan) {
            $observations[] = new Observation($fan === 'a' ? 'spin' : 'spin-b', [
                'free' => 0.95,
                'gritty' => 0.04,
                'locked' => 0.01,
            ]);
            $observations[] = new Observation("look-plug-$fan", ['fine' => 0.93, 'burnt' => 0.04, 'corroded' => 0.03]);
            $observations[] = new Observation("wiggle-plug-$fan", ['steady' => 0.98, 'changes' => 0.02]);
            $observations[] = new Observation("knock-$fan", ['nothing' => 0.98, 'starts' => 0.02]);
        }
        if ($this->layout->dropsInResistor()) {
            $observations[] = new Observation('look-resistor', ['fine' => 0.92, 'burnt' => 0.08]);
        }
        foreach (
            ['wiggle-control', 'wiggle-feed', ...$this->layout->dropsInResistor() ? ['wiggle-resistor'] : []]
            as $key
        ) {
            $observations[] = new Observation($key, ['steady' => 0.98, 'changes' => 0.02]);
        }

        return $observations;
    }

    /** @return list<Fault> */
    public function all(): array
    {
        $faults = $this->supply();
        foreach ($this->layout->fans() as $fan) {
            array_push($faults, ...$this->fan($fan));
        }

        return [...$faults, ...$this->lines(), ...$this->layout->relays ? $this->relays() : $this->thermalSwitch()];
    }

    /** @return list<FaultPair> */
    public function pairs(): array
    {
        $pairs = [new FaultPair('drag-a', 'plug-burnt-a', 0.01)];
        if ($this->layout->dropsInResistor()) {
            $pairs[] = new FaultPair('drag-a', 'resistor-open', 0.03);
        }

        return $pairs;
    }

    /** @return list<Part> */
    public function parts(): array
    {
        $l = $this->layout;
        $parts = [
            new Part('fuse', 2.0, 5.0),
            new Part('feed-wire', 12.0, 40.0),
            new Part('ground-wire', 8.0, 30.0),
            new Part('wheel', 25.0, 40.0),
            new Part('line-wire', 10.0, 45.0),
        ];
        foreach ($l->fans() as $fan) {
            $parts[] = new Part("fan-$fan", 120.0, 60.0);
            $parts[] = new Part("plug-$fan", 18.0, 30.0);
        }
        if ($l->dropsInResistor()) {
            $parts[] = new Part('resistor', 28.0, 25.0);
        }
        if (!$l->relays) {
            $parts[] = new Part('thermal-switch', 24.0, 35.0);
            $parts[] = new Part('switch-plug', 14.0, 25.0);
        } else {
            $parts[] = new Part('controller', 210.0, 45.0);
            $parts[] = new Part('request', 60.0, 40.0);
            foreach (array_keys($l->relaysByRequest()) as $relay) {
                $parts[] = new Part($relay, 14.0, 8.0);
            }
        }

        return $parts;
    }

    /** @return list<Fault> */
    private function supply(): array
    {
        return [
            new Fault(
                'fuse-open',
                'fuse-open',
                'fuse',
                0.07,
                Severity::only(Adjustment::opened('fuse')),
                element: 'fuse',
            ),
            new Fault(
                'feed-open',
                'feed-open',
                'feed-wire',
                0.03,
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
        ];
    }

    /** @return list<Fault> */
    private function fan(string $fan): array
    {
        $l = $this->layout;
        $two = $l->arrangement === 'two-input';
        $words = ['fan' => Layout::WORDS[$fan]];
        $spin = $fan === 'a' ? 'spin' : 'spin-b';
        $plug = $two ? 'plug-high' : "plug-$fan";
        $look = ["look-plug-$fan" => self::BURNT];
        $hasGround = !($l->pair() && $fan === 'a');
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
        if ($two) {
            $faults[] = new Fault(
                'low-brush-open',
                'low-brush-open',
                'fan-a',
                0.12,
                Severity::only(Adjustment::opened('low-brush')),
                element: 'low-brush',
            );
            $faults[] = new Fault(
                'high-pin-open',
                'high-pin-open',
                'plug-a',
                0.05,
                Severity::only(Adjustment::opened($plug)),
                $look,
                element: 'plug-high',
            );
            $faults[] = new Fault(
                'low-pin-open',
                'low-pin-open',
                'plug-a',
                0.05,
                Severity::only(Adjustment::opened('plug-low')),
                $look,
                element: 'plug-low',
            );
        }
        if ($hasGround) {
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

    /** @return list<Fault> */
    private function lines(): array
    {
        $l = $this->layout;
        if ($l->pair()) {
            return [];
        }
        $faults = [
            new Fault(
                'low-wire-open',
                'line-open',
                'line-wire',
                0.03,
                Severity::only(Adjustment::opened('low-wire')),
                words: ['line' => 'low'],
                element: 'low-wire',
            ),
            new Fault(
                'high-wire-open',
                'line-open',
                'line-wire',
                0.03,
                Severity::only(Adjustment::opened('high-wire')),
                words: ['line' => 'high'],
                element: 'high-wire',
            ),
        ];
        if ($l->dropsInResistor()) {
            $burnt = ['look-resistor' => ['fine' => 0.3, 'burnt' => 0.7]];
            $faults[] = new Fault(
                'resistor-open',
                'resistor-open',
                'resistor',
                0.18,
                Severity::only(Adjustment::opened('resistor')),
                $burnt,
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-resistor', 0.8),
                element: 'resistor',
            );
            $faults[] = new Fault(
                'resistor-high',
                'resistor-high',
                'resistor',
                0.04,
                Severity::scaling('resistor.ohms', 1.25, 12.0),
                $burnt,
                element: 'resistor',
            );
            $faults[] = new Fault(
                'resistor-low',
                'resistor-low',
                'resistor',
                0.02,
                Severity::scaling('resistor.ohms', 0.08, 0.75, 3),
                $burnt,
                element: 'resistor',
            );
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function thermalSwitch(): array
    {
        $moved = Observation::changing('wiggle-control', 0.75);

        return [
            new Fault(
                'stage-1-open',
                'stage-open',
                'thermal-switch',
                0.1,
                Severity::only(Adjustment::opened('stage-1')),
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-control', 0.6),
                words: ['stage' => 'low'],
                element: 'stage-1',
            ),
            new Fault(
                'stage-2-open',
                'stage-open',
                'thermal-switch',
                0.06,
                Severity::only(Adjustment::opened('stage-2')),
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-control', 0.6),
                words: ['stage' => 'high'],
                element: 'stage-2',
            ),
            new Fault(
                'stage-1-stuck',
                'stage-stuck',
                'thermal-switch',
                0.04,
                Severity::only(Adjustment::closed('stage-1')),
                words: ['stage' => 'low'],
                element: 'stage-1',
            ),
            new Fault(
                'stage-2-stuck',
                'stage-stuck',
                'thermal-switch',
                0.03,
                Severity::only(Adjustment::closed('stage-2')),
                words: ['stage' => 'high'],
                element: 'stage-2',
            ),
            new Fault(
                'switch-plug-open',
                'switch-plug-open',
                'switch-plug',
                0.05,
                Severity::only(Adjustment::opened('switch-plug')),
                $moved,
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-control', 0.8),
                loose: true,
                element: 'switch-plug',
            ),
            new Fault(
                'switch-plug-burnt',
                'switch-plug-burnt',
                'switch-plug',
                0.04,
                Severity::resistance('switch-plug'),
                $moved,
                loose: true,
                element: 'switch-plug',
            ),
        ];
    }

    /** @return list<Fault> */
    private function relays(): array
    {
        $l = $this->layout;
        $faults = [];
        foreach ($l->relaysByRequest() as $relay => $request) {
            $words = [
                'relay' =>
                    $relay === 'k-low'
                        ? 'low relay'
                        : ($relay === 'k-high'
                            ? 'high relay'
                            : 'relay ' . strtoupper($relay)),
            ];
            $joint = $relay === 'k2' ? 'k2-joint' : "$relay-joint";
            $contact = $relay === 'k2' ? 'k2-work' : "$relay-contact";
            $faults[] = new Fault(
                "$relay-coil-open",
                'coil-open',
                $relay,
                0.03,
                Severity::only(Adjustment::opened("$relay-coil")),
                words: $words,
                element: "$relay-coil",
            );
            $faults[] = new Fault(
                "$relay-contact-open",
                'contact-open',
                $relay,
                0.05,
                Severity::only(Adjustment::opened($joint)),
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-control', 0.75),
                words: $words,
                element: $contact,
            );
            $faults[] = new Fault(
                "$relay-welded",
                'contact-welded',
                $relay,
                0.03,
                Severity::only(
                    Adjustment::closed("$relay-weld"),
                    ...$relay === 'k2' ? [Adjustment::opened('k2-rest-joint')] : [],
                ),
                words: $words,
                element: $contact,
            );
            if ($relay === 'k2') {
                $faults[] = new Fault(
                    'k2-rest-burnt',
                    'rest-burnt',
                    'k2',
                    0.06,
                    Severity::only(Adjustment::opened('k2-rest-joint')),
                    comesAndGoes: true,
                    observedPassing: Observation::changing('wiggle-control', 0.75),
                    element: 'k2-rest',
                );
            }
        }
        $asOff = [];
        foreach ($l->fans() as $fan) {
            $asOff[$l->cell('low', $fan)] = $l->cell('off', $fan);
        }
        $noCompressor = ['compressor' => ['engages' => 0.06, 'stays-out' => 0.94]];
        array_push(
            $faults,
            new Fault(
                'low-output-dead',
                'output-dead',
                'controller',
                0.04,
                Severity::only(Adjustment::opened('request-low')),
                words: ['line' => 'low'],
                element: 'request-low',
            ),
            new Fault(
                'high-output-dead',
                'output-dead',
                'controller',
                0.04,
                Severity::only(Adjustment::opened('request-high')),
                words: ['line' => 'high'],
                element: 'request-high',
            ),
            new Fault(
                'low-output-stuck',
                'output-stuck',
                'controller',
                0.02,
                Severity::only(Adjustment::closed('request-low')),
                words: ['line' => 'low'],
                element: 'request-low',
            ),
            new Fault(
                'request-missing',
                'request-missing',
                'request',
                0.04,
                [new Severity([], $asOff)],
                $noCompressor,
                element: 'request-low',
            ),
        );

        return $faults;
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Families\RadiatorFan;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\FaultPair;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Severity;

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
        $fans = new FanFaults($this->layout);
        $control = new ControlFaults($this->layout);
        $faults = $this->supply();
        foreach ($this->layout->fans() as $fan) {
            array_push($faults, ...$fans->of($fan));
        }

        return [...$faults, ...$this->lines(), ...$control->all()];
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
    private function lines(): array
    {
        $l = $this->layout;
        if ($l->pair()) {
            return [];
        }
        $faults = [];
        foreach ($l->lineWires() as $wire) {
            $fan = str_ends_with($wire, '-b') || $wire === 'second-wire' ? 'b' : 'a';
            $line = match (true) {
                str_starts_with($wire, 'low') => 'low ',
                str_starts_with($wire, 'high') => 'high ',
                default => '',
            };
            $faults[] = new Fault(
                $fan === 'b' && $wire !== 'second-wire' ? substr($wire, 0, -2) . '-open-b' : "$wire-open",
                'line-open',
                'line-wire',
                0.03,
                Severity::only(Adjustment::opened($wire)),
                words: ['line' => $line, 'fan' => Layout::WORDS[$fan]],
                element: $wire,
            );
        }
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
}

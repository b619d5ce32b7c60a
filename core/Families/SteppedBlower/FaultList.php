<?php

declare(strict_types=1);

namespace Ispira\Core\Families\SteppedBlower;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\FaultPair;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Severity;
use Ispira\Core\Families\Mechanical\Mechanical;
use Ispira\Core\Families\Mechanical\Water;

/**
 * What can fail in a stepped-resistor blower, how often, and what a person sees of it.
 *
 * The frequencies are ordinary odds of the trade; only their ratios count.
 */
final readonly class FaultList
{
    /** Places that are moved, tapped or worked while the fan runs. */
    public const WIGGLES = [
        'wiggle-pack-plug',
        'wiggle-motor-plug',
        'wiggle-selector',
        'wiggle-pack',
        'wiggle-wires',
        'wiggle-relay',
        'wiggle-feed',
        'wiggle-ground',
        'wiggle-mode',
        'wiggle-high',
        'wiggle-high-wire',
    ];

    public const BURNT = ['fine' => 0.12, 'burnt' => 0.8, 'corroded' => 0.08];

    public function __construct(private Variant $variant) {}

    /** @return list<Observation> */
    public static function observations(): array
    {
        $plug = ['fine' => 0.93, 'burnt' => 0.04, 'corroded' => 0.03];

        return [
            new Observation('look-pack', ['fine' => 0.9, 'burnt' => 0.05, 'corroded' => 0.03, 'cracked' => 0.02]),
            new Observation('look-pack-plug', $plug),
            new Observation('look-motor-plug', $plug),
            new Observation('spin', ['free' => 0.95, 'gritty' => 0.04, 'locked' => 0.01]),
            new Observation('spin-bare', ['free' => 0.96, 'gritty' => 0.03, 'locked' => 0.01]),
            new Observation('look-wheel', ['clean' => 0.96, 'debris' => 0.01, 'clogged' => 0.03]),
            new Observation('air', ['fits' => 0.96, 'little' => 0.04]),
            new Observation('look-water', Water::USUAL),
            new Observation('motor-warmth', ['warm' => 0.95, 'hot' => 0.05]),
            new Observation('neighbours', ['work' => 0.97, 'dead' => 0.03]),
            new Observation('reader', ['follows' => 0.97, 'wrong' => 0.015, 'nothing' => 0.015]),
            ...array_map(
                static fn(string $key): Observation => new Observation($key, ['steady' => 0.98, 'changes' => 0.02]),
                self::WIGGLES,
            ),
            new Observation('knock', ['nothing' => 0.98, 'starts' => 0.02]),
        ];
    }

    /** @return list<Fault> */
    public function all(): array
    {
        $pack = new PackFaults($this->variant);
        $supply = new SupplyFaults($this->variant);

        return Water::in(
            [
                ...$pack->packFaults(),
                ...$pack->jointFaults(),
                ...$this->selectorFaults(),
                ...$supply->supplyFaults(),
                ...$supply->highFaults(),
                ...$this->motorFaults(),
            ],
            ['resistor-', 'common-open', 'plug-', 'motor-drag', 'motor-seized', 'ground-resistive'],
        );
    }

    /** @return list<FaultPair> */
    public function pairs(): array
    {
        $pairs = [
            new FaultPair('motor-drag', 'common-open', 0.035),
            new FaultPair('wheel-debris', 'common-open', 0.012),
            new FaultPair('motor-drag', 'plug-pack-burnt', 0.012),
            new FaultPair('common-open', 'plug-pack-burnt', 0.015),
        ];
        foreach ($this->variant->lowPositions() as $k) {
            if ($k + 1 < $this->variant->top) {
                $pairs[] = new FaultPair("resistor-$k-open", 'resistor-' . ($k + 1) . '-open', 0.006);
            }
        }

        return $pairs;
    }

    /** @return list<Part> */
    public function parts(): array
    {
        $v = $this->variant;
        $parts = [
            new Part('pack-plug', 22.0, 35.0),
            new Part('motor', 135.0, 45.0),
            new Part('motor-plug', 22.0, 30.0),
            new Part('wheel', 8.0, 35.0),
            new Part('fuse', 2.0, 5.0),
            new Part('relay', 14.0, 8.0),
            new Part('feed-wire', 12.0, 45.0),
            new Part('ground-wire', 8.0, 30.0),
            new Part('tap-wire', 8.0, 40.0),
        ];
        $parts[] = $v->packInHead || $v->electronic ? new Part('head', 165.0, 40.0) : new Part('selector', 70.0, 40.0);
        if (!$v->packInHead) {
            $parts[] = new Part('pack', 38.0, 25.0);
        }
        if ($v->highRelay()) {
            $parts[] = new Part('high-relay', 16.0, 10.0);
            $parts[] = new Part('high-wire', 10.0, 35.0);
            if ($v->feedSide) {
                $parts[] = new Part('high-fuse', 2.0, 5.0);
            }
        }
        if ($v->modeContact()) {
            $parts[] = new Part('mode-selector', 60.0, 50.0);
        }

        return $parts;
    }

    /** @return list<Fault> */
    private function selectorFaults(): array
    {
        $v = $this->variant;
        $part = $v->selectorPart();
        $share = 1.0 / $v->top;
        $sees = $v->electronic ? [] : ['wiggle-selector' => ['steady' => 0.5, 'changes' => 0.5]];
        $faults = [];
        foreach (range(1, $v->top) as $j) {
            $words = ['j' => (string) $j];
            $faults[] = new Fault(
                "contact-$j-open",
                'contact-open',
                $part,
                0.07 * $share,
                [new Severity([self::broken("contact-$j")])],
                $sees,
                comesAndGoes: !$v->electronic,
                observedPassing: Observation::changing('wiggle-selector', 0.85),
                words: $words,
                element: "contact-$j",
            );
            if (!$v->electronic) {
                $faults[] = new Fault(
                    "contact-$j-stuck",
                    'contact-stuck',
                    $part,
                    0.02 * $share,
                    [new Severity([Adjustment::atMost("contact-$j.ohms", 0.02)])],
                    $sees,
                    words: $words,
                    element: "contact-$j",
                );
            }
        }
        foreach ($v->lowPositions() as $k) {
            $words = ['j' => (string) $k, 'next' => (string) ($k + 1)];
            $faults[] = new Fault(
                "contact-$k-bridged",
                'contact-bridged',
                $part,
                0.015 * $share,
                [new Severity([Adjustment::atMost("bridge-$k.ohms", 0.02)])],
                words: $words,
                element: "contact-$k",
            );
            $faults[] = new Fault(
                "tap-$k-open",
                'tap-open',
                'tap-wire',
                0.03 * $share,
                [new Severity([self::broken("tap-$k")])],
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-wires', 0.85),
                loose: true,
                words: $words,
                element: "tap-$k",
            );
            // Where the pack sits in the head there is no loom between them.
            if (!$v->packInHead) {
                $faults[] = new Fault(
                    "tap-$k-touches",
                    'tap-touches',
                    'tap-wire',
                    0.012 * $share,
                    Severity::limiting("touch-$k.ohms", 0.015, 3.0, 2),
                    Observation::changing('wiggle-wires', 0.6),
                    words: $words,
                    element: "tap-$k",
                );
            }
            $blown = $v->feedSide ? [self::broken('fuse')] : [];
            $faults[] = new Fault(
                "tap-$k-to-body",
                $v->feedSide ? 'tap-to-body-fuse' : 'tap-to-body',
                'tap-wire',
                0.015 * $share,
                Severity::limiting("body-$k.ohms", 0.015, 3.0, 3, ...$blown),
                words: $words,
                element: "tap-$k",
            );
        }
        if (!$v->highRelay()) {
            $faults[] = new Fault(
                "tap-$v->top-open",
                'tap-open',
                'tap-wire',
                0.02 * $share,
                [new Severity([self::broken("tap-$v->top")])],
                words: ['j' => (string) $v->top],
                element: "tap-$v->top",
            );
        }
        $faults[] = new Fault(
            'selector-open',
            $v->electronic ? 'input-open' : 'selector-open',
            $part,
            0.03,
            [new Severity([self::broken('selector')])],
            $v->electronic ? ['reader' => ['follows' => 0.03, 'wrong' => 0.07, 'nothing' => 0.9]] : $sees,
            comesAndGoes: true,
            observedPassing: $v->electronic ? [] : Observation::changing('wiggle-selector', 0.85),
            element: 'selector',
        );
        if ($v->electronic) {
            $up = [];
            $down = ['1' => 'off'];
            foreach ($v->lowPositions() as $k) {
                $up[(string) $k] = (string) ($k + 1);
                $down[(string) ($k + 1)] = (string) $k;
            }
            $faults[] = new Fault(
                'code-wrong',
                'code-wrong',
                $part,
                0.03,
                [new Severity([], $up, 0.5), new Severity([], $down, 0.5)],
                ['reader' => ['follows' => 0.04, 'wrong' => 0.92, 'nothing' => 0.04]],
                element: 'selector',
            );
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function motorFaults(): array
    {
        $z = $this->variant->impedance();
        // From slight to nearly blocked.
        $dragging = static fn(float $least, float $most, int $slices): array => Severity::adding(
            'motor.frictionTorque',
            $least,
            $most,
            $slices,
        );
        $seized = Adjustment::set('motor.frictionTorque', 1e6);

        return [
            new Fault(
                'motor-open',
                'motor-open',
                'motor',
                0.07,
                [new Severity([self::broken('motor', 'armatureOhms')])],
                ['knock' => ['nothing' => 0.5, 'starts' => 0.5]],
                comesAndGoes: true,
                observedPassing: ['knock' => ['nothing' => 0.25, 'starts' => 0.75]],
                element: 'motor',
            ),
            new Fault(
                'motor-brushes',
                'motor-brushes',
                'motor',
                0.05,
                Severity::adding('motor.armatureOhms', 0.07 * $z, 4.0 * $z, 4),
                ['knock' => ['nothing' => 0.7, 'starts' => 0.3]],
                loose: false,
                element: 'motor',
            ),
            new Fault(
                'motor-drag',
                'motor-drag',
                'motor',
                0.07,
                $dragging(0.03, 1.1, 5),
                [
                    'spin' => ['free' => 0.06, 'gritty' => 0.9, 'locked' => 0.04],
                    'spin-bare' => ['free' => 0.03, 'gritty' => 0.93, 'locked' => 0.04],
                    'motor-warmth' => ['warm' => 0.5, 'hot' => 0.5],
                ] + Mechanical::noise(['squeal' => 0.45, 'rub' => 0.1]),
                element: 'motor',
            ),
            new Fault(
                'motor-turns',
                'motor-turns',
                'motor',
                0.015,
                [
                    new Severity([
                        Adjustment::scale('motor.armatureOhms', 0.9),
                        Adjustment::scale('motor.emfConstant', 0.95),
                        Adjustment::add('motor.brakingConstant', 4e-4),
                    ]),
                ],
                ['motor-warmth' => ['warm' => 0.07, 'hot' => 0.93]],
                element: 'motor',
            ),
            new Fault(
                'motor-seized',
                'motor-seized',
                'motor',
                0.04,
                [new Severity([$seized, self::broken('fuse')], share: 0.5), new Severity([$seized], share: 0.5)],
                [
                    'spin' => ['free' => 0.02, 'gritty' => 0.08, 'locked' => 0.9],
                    'spin-bare' => ['free' => 0.01, 'gritty' => 0.04, 'locked' => 0.95],
                ],
                element: 'motor',
            ),
            new Fault(
                'wheel-debris',
                'wheel-debris',
                'wheel',
                0.045,
                $dragging(0.02, 0.8, 3),
                [
                    'look-wheel' => ['clean' => 0.02, 'debris' => 0.96, 'clogged' => 0.02],
                    'spin' => ['free' => 0.25, 'gritty' => 0.7, 'locked' => 0.05],
                ] + Mechanical::noise(['tick' => 0.35, 'rub' => 0.3]),
                element: 'motor',
            ),
            new Fault(
                'wheel-jammed',
                'wheel-jammed',
                'wheel',
                0.012,
                [new Severity([$seized, self::broken('fuse')], share: 0.3), new Severity([$seized], share: 0.7)],
                [
                    'look-wheel' => ['clean' => 0.05, 'debris' => 0.92, 'clogged' => 0.03],
                    'spin' => ['free' => 0.02, 'gritty' => 0.08, 'locked' => 0.9],
                    'spin-bare' => ['free' => 0.95, 'gritty' => 0.04, 'locked' => 0.01],
                ],
                element: 'motor',
            ),
            new Fault(
                'air-blocked',
                'air-blocked',
                'wheel',
                0.035,
                Severity::scaling('motor.fanConstant', 0.2, 0.85, 3),
                [
                    'look-wheel' => ['clean' => 0.05, 'debris' => 0.03, 'clogged' => 0.92],
                    'air' => ['fits' => 0.06, 'little' => 0.94],
                ],
                element: 'motor',
            ),
        ];
    }

    public static function broken(string $element, string $parameter = 'ohms'): Adjustment
    {
        return Adjustment::atLeast("$element.$parameter", Variant::OPEN);
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Families\ElectronicBlower;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\FaultPair;
use Ispira\Core\Device\Observation;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Severity;
use Ispira\Core\Families\Mechanical\Mechanical;
use Ispira\Core\Families\Mechanical\Water;

/**
 * What can fail around a blower with electronic speed control.
 */
final readonly class FaultList
{
    public const BURNT = ['fine' => 0.12, 'burnt' => 0.8, 'corroded' => 0.08];

    public function __construct(private Variant $variant) {}

    /** @return list<Observation> */
    public function observations(): array
    {
        $plug = ['fine' => 0.93, 'burnt' => 0.04, 'corroded' => 0.03];
        $steady = ['steady' => 0.98, 'changes' => 0.02];

        return [
            new Observation('look-module-plug', $plug),
            new Observation('look-motor-plug', $plug),
            new Observation('look-module', ['fine' => 0.92, 'cracked' => 0.03, 'wet' => 0.05]),
            new Observation('spin', ['free' => 0.95, 'gritty' => 0.04, 'locked' => 0.01]),
            new Observation('look-wheel', ['clean' => 0.96, 'debris' => 0.01, 'clogged' => 0.03]),
            new Observation('air', ['fits' => 0.96, 'little' => 0.04]),
            new Observation('look-water', Water::USUAL),
            new Observation('reader', ['follows' => 0.97, 'wrong' => 0.015, 'nothing' => 0.015]),
            new Observation('steps', ['even' => 0.96, 'gaps' => 0.04]),
            ...array_map(static fn(string $key): Observation => new Observation($key, $steady), [
                'wiggle-module-plug',
                'wiggle-feed',
                'wiggle-ground',
                'wiggle-command',
                'warm',
            ]),
        ];
    }

    /** @return list<Fault> */
    public function all(): array
    {
        return Water::in(
            [
                ...$this->module(),
                ...$this->command(),
                ...(new SupplyFaults($this->variant))->supply(),
                ...$this->motor(),
            ],
            ['stage-', 'logic-stuck', 'plug-', 'motor-plug-burnt', 'motor-drag', 'motor-seized', 'ground-'],
        );
    }

    /** @return list<FaultPair> */
    public function pairs(): array
    {
        return $this->variant->external
            ? [new FaultPair('motor-drag', 'stage-open', 0.02), new FaultPair('motor-drag', 'plug-burnt', 0.01)]
            : [new FaultPair('motor-drag', 'plug-burnt', 0.01)];
    }

    /** @return list<Part> */
    public function parts(): array
    {
        $parts = [
            new Part('controller', 240.0, 50.0),
            new Part('command-wire', 10.0, 45.0),
            new Part('fuse', 3.0, 5.0),
            new Part('feed-wire', 12.0, 45.0),
            new Part('ground-wire', 8.0, 30.0),
            new Part('module-plug', 24.0, 35.0),
            new Part('wheel', 8.0, 35.0),
        ];
        if ($this->variant->external) {
            return [
                ...$parts,
                new Part('module', 75.0, 25.0),
                new Part('motor', 135.0, 45.0),
                new Part('motor-plug', 20.0, 30.0),
                ...$this->variant->relay ? [new Part('relay', 14.0, 8.0)] : [],
            ];
        }

        return [...$parts, new Part('assembly', 220.0, 45.0)];
    }

    /** @return list<Fault> */
    private function module(): array
    {
        $v = $this->variant;
        $part = $v->modulePart();
        $look = ['look-module' => ['fine' => 0.55, 'cracked' => 0.25, 'wet' => 0.2]];

        return [
            // Behind a brushed motor a shorted transistor means full speed; a shorted leg of a brushless stage blows
            // the fuse.
            new Fault(
                'stage-shorted',
                $v->external ? 'stage-shorted' : 'leg-shorted',
                $part,
                0.14,
                $v->external
                    ? Severity::only(Adjustment::set('stage.leastDuty', 1.0), Adjustment::closed('through', 0.03))
                    : Severity::only(
                        Adjustment::set('stage.mostDuty', 0.0),
                        Adjustment::closed('leg', 0.05),
                        Adjustment::opened('fuse'),
                    ),
                $look,
                element: 'stage',
            ),
            new Fault(
                'stage-open',
                'stage-open',
                $part,
                0.14,
                Severity::only(Adjustment::set('stage.mostDuty', 0.0)),
                $look,
                comesAndGoes: true,
                observedPassing: Observation::changing('warm', 0.8),
                element: 'stage',
            ),
            new Fault(
                'stage-weak',
                'stage-weak',
                $part,
                0.06,
                Severity::scaling('stage.mostDuty', 0.25, 0.92, 3),
                $look + Observation::changing('warm', 0.5),
                element: 'stage',
            ),
            new Fault(
                'logic-stuck',
                'logic-stuck',
                $part,
                0.06,
                Severity::scaling(
                    'stage.mostDuty',
                    0.12,
                    0.97,
                    4,
                    Adjustment::follow('stage.leastDuty', 'stage.mostDuty'),
                ),
                $look,
                element: 'stage',
            ),
        ];
    }

    /** @return list<Fault> */
    private function command(): array
    {
        $v = $this->variant;
        $wrong = [
            'reader' => ['follows' => 0.08, 'wrong' => 0.86, 'nothing' => 0.06],
            'steps' => ['even' => 0.15, 'gaps' => 0.85],
        ];
        $down = [];
        foreach (range(1, $v->steps) as $step) {
            $down[(string) $step] = (string) (2 * intdiv($step, 2) === 0 ? 1 : 2 * intdiv($step, 2));
        }

        return [
            new Fault(
                'no-signal',
                'no-signal',
                'controller',
                0.1,
                [
                    new Severity([Adjustment::follow('command.volts', 'command.idle')], share: 0.5),
                    new Severity([Adjustment::atLeast('command.ohms', 1e10)], share: 0.5),
                ],
                ['reader' => ['follows' => 0.3, 'wrong' => 0.2, 'nothing' => 0.5]],
                element: 'command',
            ),
            new Fault(
                'stuck-duty',
                'stuck-duty',
                'controller',
                0.05,
                Severity::following('command.volts', 'level.volts', 0.08, 0.95),
                ['steps' => ['even' => 0.2, 'gaps' => 0.8]],
                element: 'command',
            ),
            new Fault(
                'missing-steps',
                'missing-steps',
                'controller',
                0.05,
                [new Severity([], $down, 0.4), ...$this->silentSteps(0.6)],
                $wrong,
                element: 'command',
            ),
            new Fault(
                'command-open',
                'command-open',
                'command-wire',
                0.07,
                Severity::only(Adjustment::opened('command-wire')),
                [],
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-command', 0.8),
                loose: true,
                element: 'command-wire',
            ),
            new Fault(
                'command-grounded',
                'command-grounded',
                'command-wire',
                0.04,
                Severity::limiting('command-ground.ohms', 0.3, 3e3),
                comesAndGoes: true,
                observedPassing: Observation::changing('wiggle-command', 0.8),
                element: 'command-wire',
            ),
            new Fault(
                'command-shorted',
                'command-shorted',
                'command-wire',
                0.02,
                Severity::limiting('command-supply.ohms', 0.3, 3e3, 3),
                element: 'command-wire',
            ),
        ];
    }

    /** @return list<Severity> one step at which the controller sends nothing */
    private function silentSteps(float $share): array
    {
        return array_map(
            fn(int $step): Severity => new Severity([], [$step => 'off'], $share / $this->variant->steps),
            range(1, $this->variant->steps),
        );
    }

    /** @return list<Fault> */
    private function motor(): array
    {
        $v = $this->variant;
        $part = $v->motorPart();
        $spin = static fn(float $free, float $gritty, float $locked): array => [
            'spin' => ['free' => $free, 'gritty' => $gritty, 'locked' => $locked],
        ];
        $faults = [
            new Fault(
                'motor-drag',
                'motor-drag',
                $part,
                0.06,
                Severity::adding('motor.frictionTorque', 0.03, 1.1, 5),
                $spin(0.06, 0.9, 0.04) + Mechanical::noise(['squeal' => 0.45, 'rub' => 0.1]),
                element: 'motor',
            ),
            new Fault(
                'motor-seized',
                'motor-seized',
                $part,
                0.04,
                Severity::only(Adjustment::set('motor.frictionTorque', 1e6)),
                $spin(0.02, 0.06, 0.92),
                element: 'motor',
            ),
            new Fault(
                'wheel-debris',
                'wheel-debris',
                'wheel',
                0.04,
                Severity::adding('motor.frictionTorque', 0.02, 0.8, 3),
                ['look-wheel' => ['clean' => 0.02, 'debris' => 0.96, 'clogged' => 0.02]] +
                    $spin(0.25, 0.7, 0.05) +
                    Mechanical::noise(['tick' => 0.35, 'rub' => 0.3]),
                element: 'motor',
            ),
            new Fault(
                'wheel-jammed',
                'wheel-jammed',
                'wheel',
                0.012,
                Severity::only(Adjustment::set('motor.frictionTorque', 1e6)),
                ['look-wheel' => ['clean' => 0.05, 'debris' => 0.92, 'clogged' => 0.03]] + $spin(0.02, 0.08, 0.9),
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
        if (!$v->external) {
            return $faults;
        }

        return [
            ...$faults,
            new Fault(
                'motor-open',
                'motor-open',
                'motor',
                0.07,
                Severity::only(Adjustment::atLeast('motor.armatureOhms', 1e10)),
                element: 'motor',
            ),
            new Fault(
                'motor-brushes',
                'motor-brushes',
                'motor',
                0.05,
                Severity::adding('motor.armatureOhms', 0.07, 4.0),
                element: 'motor',
            ),
            new Fault(
                'motor-plug-burnt',
                'motor-plug-burnt',
                'motor-plug',
                0.05,
                Severity::resistance('plug-motor'),
                ['look-motor-plug' => self::BURNT],
                loose: true,
                element: 'plug-motor',
            ),
        ];
    }
}

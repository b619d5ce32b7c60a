<?php

declare(strict_types=1);

namespace Tests\Core\Circuit;

use Ispira\Core\Circuit\BrushedMotor;
use Ispira\Core\Circuit\CircuitSolver;
use Ispira\Core\Circuit\CompoundMotor;
use Ispira\Core\Circuit\Control;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Circuit\OperatingPoint;
use Ispira\Core\Circuit\SpeedModule;
use PHPUnit\Framework\TestCase;

/**
 * Several windings on one shaft, compound fields and speed modules: known answers, and the equations themselves at
 * random.
 */
final class MachinesTest extends TestCase
{
    private static function random(float $least, float $most): float
    {
        return $least + (($most - $least) * mt_rand()) / mt_getrandmax();
    }

    /** One armature with three brushes: low, high and common, with a small resistance at each. */
    private static function threeBrushes(float $lowFeed, float $highFeed): OperatingPoint
    {
        [$ra, $k, $h, $x] = [0.35, 0.05, 0.7, 1 / 3];

        return (new CircuitSolver(
            new Netlist([
                Element::source('battery', 'supply', '0', 13.0),
                Element::resistor('low', 'supply', 'L', $lowFeed),
                Element::resistor('high', 'supply', 'H', $highFeed),
                Element::resistor('brush-low', 'L', 'l', 0.03),
                Element::resistor('brush-high', 'H', 'h', 0.03),
                Element::resistor('brush-common', 'c', '0', 0.03),
                Element::motor('motor', 'l', 'c', new BrushedMotor(2 * $ra, $k, 0.05, 0.0, 2e-4)),
                Element::winding('upper', 'h', 'c', 2 * $ra * (1 - $x), $h * $k, 'motor'),
                Element::winding('between', 'l', 'h', 2 * $ra * $x, (1 - $h) * $k, 'motor'),
            ]),
        ))->solve();
    }

    public function testThreeBrushesOnOneArmature(): void
    {
        $low = self::threeBrushes(1e-6, 1e10);
        self::assertEqualsWithDelta(244.0, $low->speed('motor'), 1.0);
        self::assertEqualsWithDelta(2.0, $low->current('low'), 0.05);
        self::assertEqualsWithDelta(9.0, $low->potential('H') ?? 0.0, 0.3, 'the idle brush is alive');
        $high = self::threeBrushes(1e10, 1e-6);
        self::assertEqualsWithDelta(336.0, $high->speed('motor'), 1.5);
        self::assertEqualsWithDelta(3.3, $high->current('high'), 0.06);
        self::assertEqualsWithDelta(17.7, $high->potential('L') ?? 0.0, 0.2, 'above the supply');
    }

    private static function compound(float $run, float $field): OperatingPoint
    {
        return (new CircuitSolver(
            new Netlist([
                Element::source('battery', 'feed', '0', 13.0, 0.05),
                Element::resistor('series', 'feed', 'a', 0.15),
                Element::compoundMotor('motor', 'a', 'run', new CompoundMotor(0.35, 0.003, 0.12, 0.25, 0.001), 'shunt'),
                Element::resistor('shunt', 'a', 'field', 20.0),
                Element::resistor('field-resistor', 'field', 'run', 40.0),
                Element::resistor('run-switch', 'run', '0', $run),
                Element::resistor('field-switch', 'field', '0', $field),
            ]),
        ))->solve();
    }

    public function testACompoundMotorRunsSlowerWithItsFieldFed(): void
    {
        $fast = self::compound(0.001, 1e10);
        self::assertEqualsWithDelta(169.0, $fast->speed('motor'), 1.5);
        self::assertEqualsWithDelta(8.7, $fast->current('motor'), 0.1);
        $slow = self::compound(0.001, 0.001);
        self::assertEqualsWithDelta(123.0, $slow->speed('motor'), 1.0);
        self::assertEqualsWithDelta(4.4, $slow->current('motor'), 0.1);
    }

    /** A fan pair: in series on low, each on its own feed on high. */
    private static function pair(bool $series, float $aOhms = 0.15, float $aFriction = 0.05): OperatingPoint
    {
        return (new CircuitSolver(
            new Netlist([
                Element::source('battery', 'plus', '0', 13.2),
                Element::resistor('k1', 'plus', 'a', 1e-4),
                Element::resistor('k2-work', 'a-minus', '0', $series ? 1e10 : 1e-4),
                Element::resistor('k2-rest', 'a-minus', 'b', $series ? 1e-4 : 1e10),
                Element::resistor('k3', 'plus', 'b', $series ? 1e10 : 1e-4),
                Element::motor('A', 'a', 'a-minus', new BrushedMotor($aOhms, 0.045, $aFriction, 9e-6)),
                Element::motor('B', 'b', '0', new BrushedMotor(0.15, 0.045, 0.05, 9e-6)),
            ]),
        ))->solve();
    }

    public function testAFanPairInSeriesSharesTheSupply(): void
    {
        $full = self::pair(false)->speed('A');
        foreach (
            [
                [self::pair(true), 0.53, 0.53],
                [self::pair(true, 1e10), 0.0, 0.0],
                [self::pair(true, aFriction: 1e6), 0.0, 0.89],
                [self::pair(true, aFriction: 0.25), 0.319, 0.679],
                [self::pair(false, 1e10), 0.0, 1.0],
            ]
            as [$point, $a, $b]
        ) {
            self::assertEqualsWithDelta($a, $point->speed('A') / $full, 0.006);
            self::assertEqualsWithDelta($b, $point->speed('B') / $full, 0.006);
        }
    }

    public function testAtRandomTheEquationsOfTheModuleAndTheMotorHold(): void
    {
        mt_srand(31);
        for ($run = 0; $run < 200; ++$run) {
            $duty = self::random(0.05, 1.0);
            $linear = mt_rand(0, 1) === 1;
            [$ron, $diode, $ra, $k, $tf, $c] = [
                self::random(0.005, 0.2),
                self::random(0.3, 0.9),
                self::random(0.1, 0.6),
                self::random(0.015, 0.05),
                self::random(0.0, 0.05),
                self::random(1e-6, 1e-5),
            ];
            $point = (new CircuitSolver(
                new Netlist([
                    Element::source('battery', 'plus', '0', 13.0, self::random(0.005, 0.1)),
                    Element::resistor('feed', 'plus', 'in', self::random(0.001, 0.3)),
                    Element::resistor('ground', 'minus', '0', self::random(0.001, 0.1)),
                    Element::moduleInput('module', 'in', 'minus'),
                    Element::moduleOutput(
                        'stage',
                        'out',
                        'minus',
                        new SpeedModule($ron, $duty, $diode, $linear),
                        'module',
                    ),
                    Element::resistor('plug', 'out', 'm', self::random(0.001, 0.2)),
                    Element::motor('motor', 'm', 'minus', new BrushedMotor($ra, $k, $tf, $c)),
                ]),
            ))->solve();
            $amps = $point->current('motor');
            $speed = $point->speed('motor');
            self::assertEqualsWithDelta(($linear ? 1.0 : $duty) * $amps, $point->current('module'), 1e-9);
            self::assertEqualsWithDelta($amps, -$point->current('stage'), 1e-9);
            $expected =
                $duty * $point->voltageBetween('in', 'minus') - (1.0 - $duty) * ($linear ? 0.0 : $diode) - $ron * $amps;
            self::assertEqualsWithDelta($expected, $point->voltageBetween('out', 'minus'), 1e-9);
            self::assertEqualsWithDelta($k * $speed, $point->voltageBetween('m', 'minus') - $ra * $amps, 1e-9);
            if ($speed > 0.0) {
                self::assertEqualsWithDelta($tf + $c * $speed * $speed, $k * $amps, 1e-9);
            } else {
                self::assertLessThanOrEqual($tf, $k * $amps);
            }
        }
    }

    public function testAModuleThatIsOffOrNotFedLetsNothingThrough(): void
    {
        foreach ([[0.0, 0.001], [0.6, 1e10]] as [$duty, $feed]) {
            $point = (new CircuitSolver(
                new Netlist([
                    Element::source('battery', 'plus', '0', 13.0, 0.01),
                    Element::resistor('feed', 'plus', 'in', $feed),
                    Element::moduleInput('module', 'in', '0'),
                    Element::moduleOutput('stage', 'out', '0', new SpeedModule(0.02, $duty), 'module'),
                    Element::motor('motor', 'out', '0', new BrushedMotor(0.25, 0.025, 0.03, 3.5e-6)),
                ]),
            ))->solve();
            self::assertEqualsWithDelta(0.0, $point->current('motor'), 1e-9);
            self::assertSame(0.0, $point->speed('motor'));
            self::assertEqualsWithDelta(0.0, $point->current('module'), 1e-9);
        }
    }

    public function testAnUnpluggedModuleStillShowsItsOutput(): void
    {
        $point = (new CircuitSolver(
            new Netlist([
                Element::source('battery', 'plus', '0', 12.0, 0.01),
                Element::moduleInput('module', 'plus', '0'),
                Element::moduleOutput('stage', 'out', '0', new SpeedModule(0.02, 0.5, 0.0), 'module'),
                Element::resistor('plug', 'out', 'm', 1e10),
                Element::motor('motor', 'm', '0', new BrushedMotor(0.25, 0.025, 0.03, 3.5e-6)),
            ]),
        ))->solve();
        self::assertEqualsWithDelta(6.0, $point->voltageBetween('out', '0'), 1e-6);
        self::assertSame(0.0, $point->speed('motor'));
    }

    public function testAControlReadsItsSignalAndSteersTheModule(): void
    {
        $at = static fn(float $volts, float $wire): OperatingPoint => (new CircuitSolver(
            new Netlist([
                Element::source('battery', 'plus', '0', 13.0, 0.01),
                Element::source('command', 'sent', '0', $volts, 1000.0),
                Element::resistor('wire', 'sent', 'command-pin', $wire),
                Element::controlInput(
                    'input',
                    'command-pin',
                    '0',
                    100e3,
                    new Control('stage.duty', [[0.05, 0.0], [0.1, 0.2], [0.9, 1.0]], 5.0),
                ),
                Element::moduleInput('module', 'plus', '0'),
                Element::moduleOutput('stage', 'out', '0', new SpeedModule(0.02, 0.0), 'module'),
                Element::motor('motor', 'out', '0', new BrushedMotor(0.25, 0.025, 0.03, 3.5e-6)),
            ]),
        ))->solve();
        self::assertSame(0.0, $at(0.0, 0.1)->speed('motor'));
        self::assertSame(0.0, $at(4.0, 1e10)->speed('motor'), 'an open command wire');
        self::assertGreaterThan(100.0, $at(2.0, 0.1)->speed('motor'));
        self::assertGreaterThan($at(2.0, 0.1)->speed('motor'), $at(4.0, 0.1)->speed('motor'));
        self::assertEqualsWithDelta((4.0 * 100) / 101, $at(4.0, 0.1)->voltageBetween('command-pin', '0'), 1e-3);
    }

    public function testAControlGoesStraightBetweenThePointsOfItsTable(): void
    {
        $control = new Control('stage.duty', [[0.1, 0.0], [0.1, 0.2], [0.9, 1.0]]);
        self::assertSame(0.0, $control->value(0.05));
        self::assertSame(0.0, $control->value(0.1));
        self::assertEqualsWithDelta(0.6, $control->value(0.5), 1e-12);
        self::assertSame(1.0, $control->value(2.0));
    }

    public function testAMotorWithAClosedLoopIsBrakedByItsOwnCurrent(): void
    {
        $solver = new CircuitSolver(
            new Netlist([
                Element::source('battery', 'plus', '0', 12.0, 0.01),
                Element::resistor('switch', 'plus', 'm', 1e10),
                Element::resistor('brake', 'm', '0', 0.1),
                Element::motor('motor', 'm', '0', new BrushedMotor(0.4, 0.05, 0.02, 0.0)),
            ]),
        );
        self::assertEqualsWithDelta(
            0.05 ** 2 / 0.5,
            $solver->electricBraking($solver->nominalValues(), 'motor'),
            1e-12,
        );
        $open = $solver->nominalValues();
        $open[$solver->slot('brake.ohms')] = 1e10;
        self::assertSame(0.0, $solver->electricBraking(array_values($open), 'motor'));
    }

    /**
     * However many motors share their feeds: each turns where its torque meets its load, or stands while friction holds
     * it.
     */
    public function testSeveralMotorsAreEachInBalance(): void
    {
        mt_srand(53);
        for ($round = 0; $round < 150; ++$round) {
            $motors = mt_rand(2, 4);
            $elements = [Element::source('battery', 'n0', '0', 13.2, self::random(0.01, 0.3))];
            $fans = [];
            for ($number = 1; $number <= $motors; ++$number) {
                $fans["m$number"] = new BrushedMotor(
                    self::random(0.1, 0.6),
                    self::random(0.02, 0.06),
                    self::random(0.0, 0.2),
                    self::random(2e-6, 2e-5),
                    self::random(0.0, 1e-4),
                );
                $elements[] = Element::resistor("r$number", 'n' . ($number - 1), "n$number", self::random(0.02, 0.6));
                $elements[] = Element::motor(
                    "m$number",
                    "n$number",
                    mt_rand(0, 2) === 0 && $number > 1 ? 'n' . ($number - 2) : '0',
                    $fans["m$number"],
                );
            }
            $point = (new CircuitSolver(new Netlist($elements)))->solve();
            foreach ($fans as $id => $fan) {
                $speed = $point->speed($id);
                $torque = $fan->emfConstant * $point->current($id);
                if ($speed === 0.0) {
                    self::assertLessThanOrEqual($fan->frictionTorque + 1e-9, abs($torque), "round $round, $id");
                } else {
                    $turns = $speed < 0.0 ? -1.0 : 1.0;
                    self::assertEqualsWithDelta(
                        $fan->frictionTorque +
                            $fan->brakingConstant * abs($speed) +
                            $fan->fanConstant * $speed * $speed,
                        $turns * $torque,
                        1e-7,
                        "round $round, $id",
                    );
                }
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Circuit;

use Ispira\Core\Circuit\BrushedMotor;
use Ispira\Core\Circuit\CircuitError;
use Ispira\Core\Circuit\CircuitSolver;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Circuit\Ohmmeter;
use Ispira\Core\Circuit\OperatingPoint;
use PHPUnit\Framework\TestCase;

final class CircuitSolverTest extends TestCase
{
    private function solve(Element ...$elements): OperatingPoint
    {
        return (new CircuitSolver(new Netlist(array_values($elements))))->solve();
    }

    public function testADividerAndItsCurrents(): void
    {
        $point = $this->solve(
            Element::source('v', 'a', '0', 12.0),
            Element::resistor('r1', 'a', 'b', 2.0),
            Element::resistor('r2', 'b', '0', 4.0),
        );
        self::assertEqualsWithDelta(8.0, $point->potential('b'), 1e-12);
        self::assertEqualsWithDelta(2.0, $point->current('r1'), 1e-12);
        self::assertEqualsWithDelta(-2.0, $point->current('v'), 1e-12);
    }

    public function testWhatHangsOnNothingIsReportedAsFloating(): void
    {
        $point = $this->solve(
            Element::source('v', 'a', '0', 12.0, 0.1),
            Element::switch('s', 'a', 'b', false),
            Element::resistor('r', 'b', 'c', 5.0),
        );
        self::assertNull($point->potential('b'));
        self::assertNull($point->potential('c'));
        self::assertSame(0.0, $point->voltageBetween('b', '0'), 'the meter pulls a floating lead to the other');
        self::assertSame(0.0, $point->voltageBetween('b', 'c'));
    }

    public function testNodesAcrossABreakKeepTheirOwnPotential(): void
    {
        $point = $this->solve(
            Element::source('v', 'a', '0', 12.0, 0.1),
            Element::resistor('r', 'a', 'b', 1.0),
            Element::switch('s', 'b', 'c', false),
            Element::resistor('m', 'c', '0', 0.3),
        );
        self::assertEqualsWithDelta(12.0, $point->potential('b'), 1e-9);
        self::assertEqualsWithDelta(0.0, $point->potential('c'), 1e-9);
        self::assertEqualsWithDelta(12.0, $point->voltageBetween('b', 'c'), 1e-9);
    }

    public function testMilliohmsBesideGigaohmsKeepTheirDigits(): void
    {
        $point = $this->solve(
            Element::source('v', 'a', '0', 10.0),
            Element::resistor('big', 'a', 'b', 5e8),
            Element::resistor('small', 'b', 'c', 1e-3),
            Element::resistor('other', 'c', '0', 5e8),
        );
        self::assertEqualsWithDelta(1e-8, $point->current('small'), 1e-14);
        self::assertEqualsWithDelta(10 / (1e9 + 1e-3), $point->current('big'), 1e-20);
    }

    public function testIdealBranchesCarryWhatTheRestLeavesOver(): void
    {
        $point = $this->solve(
            Element::source('v', 'a', '0', 12.0),
            Element::switch('s1', 'a', 'b', true),
            Element::switch('s2', 'b', 'c', true),
            Element::resistor('r1', 'b', '0', 6.0),
            Element::resistor('r2', 'c', '0', 3.0),
        );
        self::assertEqualsWithDelta(6.0, $point->current('s1'), 1e-12);
        self::assertEqualsWithDelta(4.0, $point->current('s2'), 1e-12);
        self::assertEqualsWithDelta(-6.0, $point->current('v'), 1e-12);
    }

    public function testALoopOfIdealBranchesIsRefused(): void
    {
        $this->expectException(CircuitError::class);
        $this->expectExceptionMessage('closes a loop');
        $this->solve(
            Element::source('v', 'a', '0', 12.0),
            Element::switch('s', 'a', '0', true),
            Element::resistor('r', 'a', '0', 1.0),
        );
    }

    public function testARelayPullsInAndBreaksItsRestContact(): void
    {
        $relay = static fn(float $volts): OperatingPoint => (new CircuitSolver(
            new Netlist([
                Element::source('v', 'a', '0', $volts, 0.01),
                Element::coil('k', 'a', '0', 80.0, 7.0, 2.0),
                Element::workContact('no', 'a', 'b', 'k', 0.005),
                Element::restContact('nc', 'a', 'c', 'k', 0.005),
                Element::resistor('r1', 'b', '0', 10.0),
                Element::resistor('r2', 'c', '0', 10.0),
            ]),
        ))->solve();
        self::assertGreaterThan(1.0, $relay(12.0)->current('r1'));
        self::assertSame(0.0, $relay(12.0)->current('r2'));
        self::assertSame(0.0, $relay(5.0)->current('r1'));
        self::assertGreaterThan(0.4, $relay(5.0)->current('r2'));
        self::assertFalse($relay(12.0)->chatters);
    }

    public function testARelayThatCutsItsOwnCoilChatters(): void
    {
        $point = $this->solve(
            Element::source('v', 'a', '0', 12.0, 0.01),
            Element::restContact('nc', 'a', 'b', 'k', 0.005),
            Element::coil('k', 'b', '0', 80.0, 7.0, 2.0),
        );
        self::assertTrue($point->chatters);
    }

    public function testABrokenCoilDoesNotPullIn(): void
    {
        $solver = new CircuitSolver(
            new Netlist([
                Element::source('v', 'a', '0', 12.0, 0.01),
                Element::coil('k', 'a', '0', 80.0, 7.0, 2.0),
                Element::workContact('no', 'a', 'b', 'k', 0.005),
                Element::resistor('r', 'b', '0', 10.0),
            ]),
        );
        $values = $solver->nominalValues();
        $values[$solver->slot('k.ohms')] = 1e10;
        self::assertSame(0.0, $solver->solve(array_values($values))->current('r'));
    }

    public function testTheOhmmeterSeesADeadCircuit(): void
    {
        $solver = new CircuitSolver(
            new Netlist([
                Element::source('v', 'a', '0', 12.0, 0.5),
                Element::resistor('r1', 'a', 'b', 3.0),
                Element::resistor('r2', 'b', 'c', 4.0),
                Element::switch('s', 'c', 'd', false),
                Element::motor('m', 'd', '0', new BrushedMotor(0.25, 0.025, 0.03, 3.5e-6)),
            ]),
        );
        self::assertEqualsWithDelta(7.0, (new Ohmmeter($solver, 'a', 'c'))->measure($solver->nominalValues()), 1e-9);
        self::assertEqualsWithDelta(0.25, (new Ohmmeter($solver, 'd', '0'))->measure($solver->nominalValues()), 1e-9);
        self::assertEqualsWithDelta(
            7.75,
            (new Ohmmeter($solver, 'c', 'd'))->measure($solver->nominalValues()),
            1e-9,
            'round through the dead source and the motor',
        );
        $values = $solver->nominalValues();
        $values[$solver->slot('m.armatureOhms')] = 1e10;
        self::assertSame(\INF, (new Ohmmeter($solver, 'c', 'd'))->measure(array_values($values)));
    }

    public function testTwoMotorsInSeriesShareTheVoltage(): void
    {
        $fan = new BrushedMotor(0.15, 0.045, 0.05, 9e-6);
        $point = $this->solve(
            Element::source('v', 'a', '0', 13.2),
            Element::motor('A', 'a', 'b', $fan),
            Element::motor('B', 'b', '0', $fan),
        );
        $alone = $this->solve(Element::source('v', 'a', '0', 13.2), Element::motor('A', 'a', '0', $fan));
        self::assertEqualsWithDelta(6.6, $point->potential('b'), 1e-6);
        self::assertEqualsWithDelta(0.53, $point->speed('A') / $alone->speed('A'), 0.01);
        self::assertEqualsWithDelta($point->speed('A'), $point->speed('B'), 1e-6);
    }

    public function testASeizedFanMakesItsPartnerFaster(): void
    {
        $fan = new BrushedMotor(0.15, 0.045, 0.05, 9e-6);
        $seized = new BrushedMotor(0.15, 0.045, 1e6, 9e-6);
        $point = $this->solve(
            Element::source('v', 'a', '0', 13.2),
            Element::motor('A', 'a', 'b', $seized),
            Element::motor('B', 'b', '0', $fan),
        );
        $alone = $this->solve(Element::source('v', 'a', '0', 13.2), Element::motor('A', 'a', '0', $fan));
        self::assertSame(0.0, $point->speed('A'));
        self::assertEqualsWithDelta(0.89, $point->speed('B') / $alone->speed('A'), 0.01);
    }

    public function testUnknownNamesSayWhatIsWrong(): void
    {
        $point = $this->solve(Element::source('v', 'a', '0', 1.0), Element::resistor('r', 'a', '0', 1.0));
        $this->expectException(CircuitError::class);
        $this->expectExceptionMessage('node called "nowhere"');
        $point->potential('nowhere');
    }
}

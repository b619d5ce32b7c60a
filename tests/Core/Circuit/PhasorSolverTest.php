<?php

declare(strict_types=1);

namespace Tests\Core\Circuit;

use Ispira\Core\Circuit\CircuitError;
use Ispira\Core\Circuit\CircuitSolver;
use Ispira\Core\Circuit\Contactor;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Circuit\Ohmmeter;
use Ispira\Core\Circuit\PhasorPoint;
use Ispira\Core\Circuit\PhasorSolver;
use PHPUnit\Framework\TestCase;

final class PhasorSolverTest extends TestCase
{
    private static function solver(float $fault): PhasorSolver
    {
        return new PhasorSolver(
            new Netlist([
                Element::alternatingSource('transformer', 'R', '0', 27.0, 1.5),
                // The resistance of a fault is given with that of the transformer.
                Element::resistor('contact', 'R', 'Y', max(1e-3, $fault - 1.5)),
                Element::contactor('contactor', 'Y', '0', Contactor::of(9.0, 18.0, 0.6, 72.0, 0.35, 18.5, 10.0)),
            ]),
        );
    }

    private static function held(float $fault): PhasorPoint
    {
        return self::solver($fault)->solve();
    }

    public function testAContactorPullsInOrBuzzesAtTheEndOfAResistance(): void
    {
        $apart = static function (float $fault): float {
            $solver = self::solver($fault);
            $values = $solver->nominalValues();
            $values[$solver->slot('contactor.pullInVolts')] = 100.0;

            return $solver->solve(array_values($values))->voltageBetween('Y', '0');
        };
        foreach ([[8.0, 20.5], [12.0, 18.0], [20.0, 14.3]] as [$ohms, $volts]) {
            self::assertEqualsWithDelta($volts, $apart($ohms), 0.15);
        }
        self::assertSame(1.0, self::held(8.0)->speed('contactor'));
        self::assertGreaterThan(24.0, self::held(8.0)->voltageBetween('Y', '0'), 'sealed, it draws less');
        self::assertNan(self::held(20.0)->speed('contactor'), 'between drop-out and pull-in it buzzes');
        self::assertSame(0.0, self::held(60.0)->speed('contactor'));
    }

    public function testCurrentIsTheSameAllRoundTheLoop(): void
    {
        $point = self::held(5.0);
        self::assertEqualsWithDelta($point->current('contact'), $point->current('contactor'), 1e-9);
        self::assertEqualsWithDelta($point->current('contact'), $point->current('transformer'), 1e-9);
        self::assertEqualsWithDelta(3.5 * $point->current('contact'), $point->voltageBetween('R', 'Y'), 1e-9);
    }

    public function testACoilAndACapacitorInSeriesCancelAtResonance(): void
    {
        $point = (new PhasorSolver(
            new Netlist([
                Element::alternatingSource('V', 'a', '0', 10.0, 1.0),
                Element::impedance('L', 'a', 'b', 1.0, 50.0),
                Element::impedance('C', 'b', '0', 0.001, -50.0),
            ]),
        ))->solve();
        self::assertEqualsWithDelta(10.0 / 2.001, $point->current('L'), 1e-6);
        self::assertGreaterThan(200.0, $point->voltageBetween('b', '0'));
    }

    public function testAnOpenWireLeavesTheLoadFloating(): void
    {
        $point = self::held(1e10);
        self::assertTrue($point->isOpen('contact'));
        self::assertEqualsWithDelta(27.0, $point->voltageBetween('R', 'Y'), 1e-6, 'across the break');
        self::assertEqualsWithDelta(27.0, $point->voltageBetween('R', '0'), 1e-6);
        self::assertEqualsWithDelta(27.0, $point->potential('R') ?? 0.0, 1e-6);
        self::assertSame(0.0, $point->current('contact'));
    }

    public function testAnOhmmeterSeesTheWindingOnDirectCurrent(): void
    {
        $solver = self::solver(1e10);
        self::assertEqualsWithDelta(9.0, (new Ohmmeter($solver, 'Y', '0'))->measure($solver->nominalValues()), 1e-6);
    }

    public function testEachSolverRefusesWhatBelongsToTheOther(): void
    {
        $netlist = new Netlist([
            Element::alternatingSource('V', 'a', '0', 24.0, 1.0),
            Element::resistor('R', 'a', '0', 10.0),
        ]);
        self::assertInstanceOf(PhasorSolver::class, $netlist->solver());
        try {
            new CircuitSolver($netlist);
            self::fail('taken');
        } catch (CircuitError $error) {
            self::assertStringContainsString('alternating', $error->getMessage());
        }
        $this->expectException(CircuitError::class);
        new PhasorSolver(new Netlist([Element::source('V', 'a', '0', 12.0, 1.0)]));
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Circuit;

use Ispira\Core\Circuit\CircuitError;
use Ispira\Core\Circuit\CircuitSolver;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Circuit\Ohmmeter;
use Ispira\Core\Circuit\SpeedModule;
use PHPUnit\Framework\TestCase;
use Tests\Core\Diagnosis\Bench;

/**
 * Resistances between two places of a dead circuit, worked out on paper.
 */
final class OhmmeterTest extends TestCase
{
    /** @param list<Element> $elements */
    private static function ohms(array $elements, string $a, string $b): float
    {
        $solver = new CircuitSolver(new Netlist($elements));

        return (new Ohmmeter($solver, $a, $b))->measure($solver->nominalValues());
    }

    public function testResistorsInSeriesAndBesideEachOther(): void
    {
        $pack = [
            Element::resistor('low', 'a', 'b', 0.8),
            Element::resistor('middle', 'b', 'c', 0.5),
            Element::resistor('high', 'c', '0', 0.3),
            Element::resistor('beside', 'b', '0', 1.6),
        ];
        self::assertEqualsWithDelta(0.8 + 1.0 / (1.0 / 0.8 + 1.0 / 1.6), self::ohms($pack, 'a', '0'), 1e-6);
        self::assertEqualsWithDelta(1.0 / (1.0 / 0.5 + 1.0 / 1.9), self::ohms($pack, 'b', 'c'), 1e-6);
    }

    public function testASourceIsDeadAndShowsWhatIsInside(): void
    {
        $circuit = [Element::source('battery', 'plus', '0', 12.6, 0.02), Element::resistor('load', 'plus', '0', 0.02)];
        self::assertEqualsWithDelta(0.01, self::ohms($circuit, 'plus', '0'), 1e-6);
    }

    public function testWhatNothingJoinsIsOpen(): void
    {
        $apart = [
            Element::resistor('here', 'a', '0', 10.0),
            Element::resistor('gap', 'a', 'b', Element::OPEN_OHMS),
            Element::resistor('there', 'b', 'c', 10.0),
        ];
        self::assertSame(INF, self::ohms($apart, 'a', 'c'));
        self::assertEqualsWithDelta(10.0, self::ohms($apart, 'b', 'c'), 1e-6);
    }

    public function testAModuleIsNoConductor(): void
    {
        $module = [
            Element::moduleInput('module', 'plus', '0'),
            Element::moduleOutput('stage', 'out', '0', new SpeedModule(0.02, 0.0, 0.6, false), 'module'),
            Element::resistor('inside', 'plus', '0', 33e3),
            Element::resistor('load', 'out', '0', 5.0),
        ];
        self::assertEqualsWithDelta(33e3, self::ohms($module, 'plus', '0'), 1.0);
        self::assertEqualsWithDelta(5.0, self::ohms($module, 'out', '0'), 1e-6);
    }

    public function testAPlaceThatIsNotThereIsRefused(): void
    {
        $this->expectException(CircuitError::class);
        self::ohms([Element::resistor('one', 'a', '0', 1.0)], 'a', 'nowhere');
    }

    /** As a meter on the pins of an unplugged module: kilohms, or the motor through a shorted transistor. */
    public function testAModuleAtRestShowsKilohmsAndAShortedOneItsMotor(): void
    {
        $bench = new Bench([], false, 'electronic-blower');
        $test = $bench->circuit->tests['module-ohms'];
        foreach (['none', 'stage-open#0', 'fuse-open#0'] as $key) {
            foreach ($bench->predictions->of($bench->hypotheses[$key], $test) as $ohms) {
                self::assertGreaterThan(1e3, $ohms);
                self::assertLessThan(2e6, $ohms);
            }
        }
        foreach ($bench->predictions->of($bench->hypotheses['stage-shorted#0'], $test) as $ohms) {
            self::assertGreaterThan(0.05, $ohms);
            self::assertLessThan(3.0, $ohms);
        }
    }
}

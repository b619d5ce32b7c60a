<?php

declare(strict_types=1);

namespace Tests\Core\Circuit;

use Ispira\Core\Circuit\BrushedMotor;
use Ispira\Core\Circuit\CircuitSolver;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\ElementType;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Circuit\Ohmmeter;
use PHPUnit\Framework\TestCase;

/**
 * Laws that hold for every network.
 */
final class NetworkPropertiesTest extends TestCase
{
    private function random(float $least, float $most): float
    {
        return $least + (($most - $least) * mt_rand()) / mt_getrandmax();
    }

    /** @return list<Element> */
    private function network(int $nodes, bool $motor): array
    {
        $name = static fn(int $n): string => $n === 0 ? '0' : "n$n";
        $elements = [Element::source('V', 'n1', '0', $this->random(5, 25), $this->random(0.01, 1))];
        for ($n = 2; $n <= $nodes; ++$n) {
            $elements[] = Element::resistor("T$n", $name($n), $name(mt_rand(0, $n - 1)), 10 ** $this->random(-3, 3));
            $elements[] = Element::resistor("R$n", $name($n), $name(mt_rand(0, $n - 1)), 10 ** $this->random(-3, 3));
        }
        if ($motor) {
            $elements[] = Element::motor('M', "n$nodes", '0', new BrushedMotor(0.3, 0.03, 0.02, 3e-6));
        }

        return $elements;
    }

    public function testCurrentsIntoEveryNodeAddUpToNothing(): void
    {
        mt_srand(31);
        for ($run = 0; $run < 120; ++$run) {
            $netlist = new Netlist($this->network(mt_rand(2, 12), $run % 2 === 0));
            $point = (new CircuitSolver($netlist))->solve();
            $sums = [];
            $largest = 0.0;
            foreach ($netlist->elements as $id => $element) {
                $current = $point->current($id);
                $sums[$element->from] = ($sums[$element->from] ?? 0.0) - $current;
                $sums[$element->to] = ($sums[$element->to] ?? 0.0) + $current;
                $largest = max($largest, abs($current));
            }
            foreach ($sums as $node => $sum) {
                self::assertEqualsWithDelta(0.0, $sum, 1e-8 * max(1.0, $largest), "run $run, node $node");
            }
        }
    }

    public function testPowerDeliveredIsPowerUsed(): void
    {
        mt_srand(32);
        for ($run = 0; $run < 80; ++$run) {
            $netlist = new Netlist($this->network(mt_rand(2, 10), true));
            $point = (new CircuitSolver($netlist))->solve();
            $power = 0.0;
            foreach ($netlist->elements as $id => $element) {
                $power += $point->voltageBetween($element->from, $element->to) * $point->current($id);
            }
            self::assertEqualsWithDelta(0.0, $power, 1e-6);
        }
    }

    public function testResistanceIsTheSameFromEitherSideAndObeysTheTriangle(): void
    {
        mt_srand(33);
        for ($run = 0; $run < 40; ++$run) {
            $solver = new CircuitSolver(new Netlist($this->network(6, false)));
            $ohms = static fn(string $a, string $b): float => (new Ohmmeter($solver, $a, $b))->measure(
                $solver->nominalValues(),
            );
            self::assertEqualsWithDelta($ohms('n2', 'n5'), $ohms('n5', 'n2'), 1e-6 * $ohms('n2', 'n5'));
            self::assertLessThanOrEqual($ohms('n2', 'n3') + $ohms('n3', 'n5') + 1e-6, $ohms('n2', 'n5'));
        }
    }

    public function testTwiceTheSourceIsTwiceEverythingInALinearNetwork(): void
    {
        mt_srand(34);
        for ($run = 0; $run < 40; ++$run) {
            $solver = new CircuitSolver(new Netlist($this->network(8, false)));
            $values = $solver->nominalValues();
            $one = $solver->solve($values);
            $values[$solver->slot('V.volts')] *= 2.0;
            $two = $solver->solve(array_values($values));
            foreach (['n2', 'n5', 'n8'] as $node) {
                self::assertEqualsWithDelta(
                    2.0 * (float) $one->potential($node),
                    $two->potential($node),
                    1e-9 * max(1.0, abs((float) $two->potential($node))),
                );
            }
        }
    }

    public function testMoreSeriesResistanceNeverMakesAFanFaster(): void
    {
        $last = \INF;
        for ($ohms = 0.01; $ohms < 8.0; $ohms += 0.07) {
            $speed = (new CircuitSolver(
                new Netlist([
                    Element::source('V', 'a', '0', 13.2, 0.02),
                    Element::resistor('R', 'a', 'b', $ohms),
                    Element::motor('M', 'b', '0', new BrushedMotor(0.25, 0.025, 0.03, 3.5e-6)),
                ]),
            ))
                ->solve()
                ->speed('M');
            self::assertLessThanOrEqual($last, $speed);
            $last = $speed;
        }
    }

    public function testASolverThatMetOtherShapesBeforeGivesTheSame(): void
    {
        mt_srand(35);
        $elements = $this->network(9, true);
        $used = new CircuitSolver(new Netlist($elements));
        for ($run = 0; $run < 60; ++$run) {
            $values = $used->nominalValues();
            foreach ($elements as $element) {
                if ($element->type === ElementType::Resistor && mt_rand(0, 3) === 0) {
                    $values[$used->slot("$element->id.ohms")] = 1e10;
                }
            }
            $values = array_values($values);
            $again = $used->solve($values);
            $fresh = (new CircuitSolver(new Netlist($elements)))->solve($values);
            self::assertEqualsWithDelta($fresh->speed('M'), $again->speed('M'), 1e-9);
            self::assertSame($fresh->potential('n5'), $again->potential('n5'));
        }
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Family;

use Ispira\Core\Circuit\CircuitSolver;
use Ispira\Core\Circuit\ElementType;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Circuit\OperatingPoint;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\Simulator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Diagnosis\Bench;
use Tests\Core\Families;
use Tests\Core\Ngspice;

/**
 * The circuits of the families, sound and with faults, against an independent circuit simulator: it gets the
 * resistances
 * with relays and controls where they came to rest, and what turns as a voltage.
 */
final class CircuitsInNgspiceTest extends TestCase
{
    /** One of so many faults is tried in each set-up. */
    private const OF_FAULTS = 17;

    /** Circuits that the simulator gets together: it takes far longer over many than over the same in parts. */
    private const TOGETHER = 25;

    /** Circuits made so far: their nodes and elements need names of their own. */
    private static int $made = 0;

    /** @return iterable<string, array{0: string}> */
    public static function onDirectCurrent(): iterable
    {
        foreach (FamilyRegistry::shipped()->all() as $key => $family) {
            if ($family->circuit($family->parameters()->read([]))->netlist->solver() instanceof CircuitSolver) {
                yield $key => [$key];
            }
        }
    }

    #[DataProvider('onDirectCurrent')]
    public function testEveryLeadFindsWhatTheSimulatorFinds(string $family): void
    {
        $bench = new Bench([], false, $family);
        $simulator = new Simulator($bench->circuit);
        $circuits = [];
        foreach (array_values($bench->circuit->setUps) as $number => $setUp) {
            foreach (self::some($bench->hypotheses, $number) as $hypothesis) {
                $point = $simulator->solver->solve(
                    $simulator->valuesFor($simulator->solver->nominalValues(), $setUp, $hypothesis),
                );
                self::assertInstanceOf(OperatingPoint::class, $point);
                if (!$point->chatters) {
                    $circuits[] = self::deck($bench->circuit->netlist, $point, "$setUp->key, $hypothesis->key");
                }
            }
        }
        $this->compare($circuits, 1e-5);
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testAnOhmmeterShowsWhatTheSimulatorFinds(string $family): void
    {
        $bench = new Bench([], false, $family);
        $simulator = new Simulator($bench->circuit);
        $circuits = [];
        foreach (array_values($bench->circuit->tests) as $number => $test) {
            foreach (
                $test->probe->quantity === Quantity::Ohms ? self::some($bench->hypotheses, $number) : []
                as $hypothesis
            ) {
                $solver = $simulator->solverFor($test->probe);
                $point = $solver->solve(
                    $simulator->valuesAt(
                        $test->probe,
                        $simulator->valuesFor(
                            $simulator->solver->nominalValues(),
                            $bench->circuit->setUps[$test->setUp],
                            $hypothesis,
                        ),
                    ),
                );
                self::assertInstanceOf(OperatingPoint::class, $point);
                $circuits[] = self::deck($solver->netlist(), $point, "$test->key, $hypothesis->key");
            }
        }
        $this->compare($circuits, 1e-5);
    }

    /**
     * @param array<string, Hypothesis> $hypotheses
     *
     * @return list<Hypothesis> nothing wrong, and others by turns
     */
    private static function some(array $hypotheses, int $turn): array
    {
        $some = [];
        foreach (array_values($hypotheses) as $number => $hypothesis) {
            if ($number === 0 || $number % self::OF_FAULTS === $turn % self::OF_FAULTS) {
                $some[] = $hypothesis;
            }
        }

        return $some;
    }

    /**
     * One circuit where it came to rest.
     *
     * @return array{deck: list<string>, own: array<string, array{0: float, 1: string}>} lines for the simulator, and our
     *     potentials by its names of the nodes, with where that is
     */
    private static function deck(Netlist $netlist, OperatingPoint $point, string $where): array
    {
        $circuit = self::$made++;
        $deck = $own = [];
        $numbers = array_flip($netlist->nodes);
        $at = static fn(string $node): string => $node === $netlist->ground ? '0' : "x{$circuit}_$numbers[$node]";
        foreach ($netlist->nodes as $node) {
            if ($node !== $netlist->ground) {
                $deck[] = "Rl{$circuit}_$numbers[$node] {$at($node)} 0 1e13";
                $potential = $point->potential($node);
                if ($potential !== null) {
                    $own[$at($node)] = [$potential, "$where, $node"];
                }
            }
        }
        foreach (array_values($netlist->elements) as $number => $element) {
            $ohms = $point->parameter("$element->id." . $element->type->resistanceParameter());
            if ($ohms >= CircuitSolver::OPEN_FROM_OHMS) {
                continue;
            }
            $id = "{$circuit}_$number";
            $volts =
                $element->type === ElementType::Source
                    ? $point->parameter("$element->id.volts")
                    : $point->voltageBetween($element->from, $element->to) - $point->current($element->id) * $ohms;
            $deck[] = sprintf('R%s %s e%s %.15g', $id, $at($element->from), $id, $ohms);
            $deck[] = sprintf(
                'V%s e%s %s %.15g',
                $id,
                $id,
                $at($element->to),
                $element->type === ElementType::Source || $element->type->hasEmf() ? $volts : 0.0,
            );
        }

        return ['deck' => $deck, 'own' => $own];
    }

    /** @param list<array{deck: list<string>, own: array<string, array{0: float, 1: string}>}> $circuits */
    private function compare(array $circuits, float $tolerance): void
    {
        self::assertNotSame([], $circuits);
        foreach (array_chunk($circuits, self::TOGETHER) as $some) {
            $own = array_merge(...array_column($some, 'own'));
            $output = Ngspice::output([
                '* circuits of a family',
                '.options reltol=1e-9 abstol=1e-14 vntol=1e-11 gmin=1e-16',
                ...array_merge(...array_column($some, 'deck')),
                '.control',
                'set numdgt=14',
                'op',
                ...array_map(static fn(string $node): string => "print v($node)", array_keys($own)),
                '.endc',
                '.end',
                '',
            ]);
            preg_match_all('/v\((x\d+_\d+)\) = (\S+)/', $output, $found, \PREG_SET_ORDER);
            self::assertCount(
                \count($own),
                $found,
                'The simulator did not answer for every node: ' . substr($output, 0, 300),
            );
            foreach ($found as [, $node, $value]) {
                [$potential, $where] = $own[$node];
                $near = $tolerance * (1.0 + abs((float) $value));
                self::assertEqualsWithDelta((float) $value, $potential, $near, $where);
            }
        }
    }
}

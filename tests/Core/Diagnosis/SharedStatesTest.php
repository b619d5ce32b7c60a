<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Circuit\CircuitSolver;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Simulator;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

/**
 * Hypotheses whose circuits have one signature share a solved state: it has to be the state of each.
 */
final class SharedStatesTest extends TestCase
{
    #[DataProviderExternal(Families::class, 'all')]
    public function testOneSignatureMeansTheSameCurrentsAndSpeeds(string $key): void
    {
        $family = FamilyRegistry::shipped()->get($key);
        $circuit = $family->circuit($family->parameters()->read([]));
        $simulator = new Simulator($circuit);
        $solver = $simulator->solver;
        $hypotheses = HypothesisList::of($circuit, false);
        $movers = array_unique(array_column($circuit->positions, 'mover'));
        $shared = 0;
        foreach ($circuit->setUps as $setUp) {
            $usual = $simulator->valuesFor(
                $solver->nominalValues(),
                $setUp,
                $hypotheses[HypothesisList::NOTHING_WRONG],
            );
            $states = [];
            foreach ($hypotheses as $hypothesis) {
                $values = $simulator->valuesFor($solver->nominalValues(), $setUp, $hypothesis);
                $signature = $solver->signature($values, $usual);
                $own = $solver->solve($values);
                $first = $states[$signature] ??= $own;
                if ($first === $own) {
                    continue;
                }
                ++$shared;
                foreach ($movers as $mover) {
                    self::assertSame(
                        is_nan($first->speed($mover)),
                        is_nan($own->speed($mover)),
                        "$setUp->key, $hypothesis->key: $mover",
                    );
                    if (is_nan($own->speed($mover))) {
                        continue;
                    }
                    self::assertEqualsWithDelta(
                        $first->speed($mover),
                        $own->speed($mover),
                        1e-6 + 1e-6 * abs($own->speed($mover)),
                        "$setUp->key, $hypothesis->key: $mover",
                    );
                }
                foreach (array_keys($circuit->netlist->elements) as $element) {
                    self::assertEqualsWithDelta(
                        $own->current($element),
                        $first->current($element),
                        1e-5 + 1e-5 * abs($own->current($element)),
                        "$setUp->key, $hypothesis->key: $element",
                    );
                }
            }
        }
        self::assertGreaterThan(0, $shared);
    }

    /** A state that is shared, hung as a hypothesis has it, shows the voltages of that hypothesis solved alone. */
    #[DataProviderExternal(Families::class, 'all')]
    public function testASharedStateShowsTheVoltagesOfEach(string $key): void
    {
        $bench = new Bench([], false, $key);
        $simulator = new Simulator($bench->circuit);
        $solver = $simulator->solver;
        $compared = 0;
        foreach ($bench->circuit->tests as $test) {
            if (!$test->probe->quantity->isOfPlace() || $test->probe->against === '') {
                continue;
            }
            $setUp = $bench->circuit->setUps[$test->setUp];
            $usual = $simulator->valuesFor($solver->nominalValues(), $setUp, $bench->hypotheses['none']);
            $states = [];
            foreach ($bench->hypotheses as $hypothesis) {
                $values = $simulator->valuesFor($solver->nominalValues(), $setUp, $hypothesis);
                $signature = $solver->signature($values, $usual);
                $own = $solver->solve($values);
                $first = $states[$signature] ??= $own;
                $shared = $solver->rehung($first, $values);
                self::assertEqualsWithDelta(
                    $own->voltageBetween($test->probe->at, $test->probe->against),
                    $shared->voltageBetween($test->probe->at, $test->probe->against),
                    0.02,
                    "$test->key, $hypothesis->key",
                );
                ++$compared;
            }
        }
        self::assertGreaterThan(0, $compared);
    }

    /** Whoever asks first, and in whatever order: a prediction is one of circuit, hypothesis and test alone. */
    #[DataProviderExternal(Families::class, 'all')]
    public function testTheOrderOfQuestionsChangesNoPrediction(string $key): void
    {
        $forward = new Bench([], false, $key);
        $backward = new Bench([], false, $key);
        $tests = array_filter(
            $forward->circuit->tests,
            static fn(Test $test): bool => $test->probe->quantity !== Quantity::Observation,
        );
        foreach (array_reverse($backward->hypotheses) as $hypothesis) {
            foreach (array_reverse($tests) as $test) {
                $backward->predictions->few($hypothesis, $test);
            }
        }
        foreach ($forward->hypotheses as $name => $hypothesis) {
            foreach ($tests as $test) {
                $once = self::said($forward->predictions->few($hypothesis, $test));
                $again = self::said($backward->predictions->few($backward->hypotheses[$name], $test));
                self::assertEqualsWithDelta($once, $again, 1e-4, "$test->key, $name");
            }
        }
    }

    /**
     * A relay that chatters has no speed: that has to be so whoever asks.
     *
     * @param list<float> $numbers
     *
     * @return list<float|string>
     */
    private static function said(array $numbers): array
    {
        return array_map(static fn(float $one): float|string => is_nan($one) ? 'chatters' : $one, $numbers);
    }

    /** States are shared between questions of speed and of voltage too: no question may answer for another. */
    #[DataProviderExternal(Families::class, 'all')]
    public function testWhatWasAskedBeforeChangesNoPrediction(string $key): void
    {
        $alone = new Bench([], false, $key);
        $after = new Bench([], false, $key);
        $tests = array_filter(
            $after->circuit->tests,
            static fn(Test $test): bool => \in_array(
                $test->probe->quantity,
                [Quantity::Volts, Quantity::Amps, Quantity::Vacuum],
                true,
            ),
        );
        foreach ($after->hypotheses as $hypothesis) {
            foreach ($after->circuit->positions as $position) {
                $after->predictions->few($hypothesis, $after->circuit->speedTest((string) $position->key));
            }
        }
        foreach (\array_slice($tests, 0, 12) as $test) {
            foreach (['none', array_key_last($after->hypotheses)] as $hypothesis) {
                self::assertEqualsWithDelta(
                    $alone->predictions->few($alone->hypotheses[$hypothesis], $alone->circuit->tests[$test->key]),
                    $after->predictions->few($after->hypotheses[$hypothesis], $test),
                    1e-6,
                    "$test->key, $hypothesis",
                );
            }
        }
    }

    public function testADeadEndHangsWhereItShouldBesideAnIdealSource(): void
    {
        $solver = new CircuitSolver(
            new Netlist([
                Element::source('battery', 'plus', '0', 12.0),
                Element::resistor('load', 'plus', '0', 6.0),
                Element::resistor('a', 'plus', 'middle', 1.0),
                Element::resistor('b', 'middle', 'end', 1.0),
                Element::resistor('other', 'end', '0', Element::OPEN_OHMS),
            ]),
        );
        $broken = static function (string $element) use ($solver): array {
            $values = $solver->nominalValues();
            $values[$solver->slot("$element.ohms")] = Element::OPEN_OHMS;

            return array_values($values);
        };
        [$one, $two] = [$broken('a'), $broken('b')];
        // With an internal resistance both share their currents, and the second is hung anew.
        $real = new CircuitSolver(
            new Netlist([
                Element::source('battery', 'plus', '0', 12.0, 0.01),
                ...\array_slice(array_values($solver->netlist()->elements), 1),
            ]),
        );
        self::assertSame(
            $real->signature(self::stiff($one), $real->nominalValues()),
            $real->signature(self::stiff($two), $real->nominalValues()),
        );
        $rehung = $real->rehung($real->solve(self::stiff($one)), self::stiff($two));
        foreach (['plus', 'middle', 'end'] as $node) {
            self::assertEqualsWithDelta(
                $real->solve(self::stiff($two))->voltageBetween($node, '0'),
                $rehung->voltageBetween($node, '0'),
                1e-9,
                $node,
            );
        }
        // An ideal source ties nodes together: nothing is shared but what is equal.
        self::assertNotSame(
            $solver->signature($one, $solver->nominalValues()),
            $solver->signature($two, $solver->nominalValues()),
        );
        self::assertSame(12.0, $solver->solve($two)->voltageBetween('middle', '0'));
        self::assertSame(0.0, $solver->solve($one)->voltageBetween('middle', '0'));
    }

    /**
     * The same with an internal resistance of the source.
     *
     * @param list<float> $values
     *
     * @return list<float>
     */
    private static function stiff(array $values): array
    {
        $values[1] = 0.01;

        return array_values($values);
    }
}

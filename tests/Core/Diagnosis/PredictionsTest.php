<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Circuit\SolvedState;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\DrawnValues;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Diagnosis\Inference\Predictions;
use Ispira\Core\Diagnosis\Inference\Simulator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

/**
 * The shared and kept predictions against solving every case on its own.
 */
final class PredictionsTest extends TestCase
{
    /** @return iterable<string, array{0: array<string, mixed>}> */
    public static function circuits(): iterable
    {
        yield 'feed side' => [['positions' => '3']];
        yield 'ground side with high relay' => [['positions' => '3', 'side' => 'ground', 'high' => 'relay']];
        yield 'feed side with changeover relay and coils' => [
            ['positions' => '3', 'high' => 'changeover', 'pack' => 'coils', 'modeContact' => 'return'],
        ];
        yield 'ground side with changeover relay' => [
            ['positions' => '3', 'side' => 'ground', 'high' => 'changeover', 'selector' => 'electronic'],
        ];
    }

    /** @param array<string, mixed> $parameters */
    #[DataProvider('circuits')]
    public function testEveryCellEqualsItsOwnSolution(array $parameters): void
    {
        $bench = new Bench($parameters);
        $simulator = new Simulator($bench->circuit);
        $drawn = DrawnValues::of($bench->circuit, $simulator->solver);
        $draws = $drawn->vectors;
        $compared = 0;
        foreach ($bench->hypotheses as $hypothesis) {
            foreach ($bench->circuit->tests as $test) {
                if (!$test->probe->quantity->isNumber() || $hypothesis->comesAndGoes) {
                    continue;
                }
                $draw = ($compared * 7) % \count($draws);
                $values = $simulator->valuesAt(
                    $test->probe,
                    $simulator->valuesFor(
                        $draws[$draw],
                        $bench->circuit->setUps[$test->setUp],
                        $hypothesis->inDegree(...$drawn->degrees[$draw]),
                    ),
                );
                $alone = $simulator->observe($test->probe, $simulator->solverFor($test->probe)->solve($values));
                $kept = $bench->predictions->of($hypothesis, $test)[$draw];
                if (is_infinite($alone)) {
                    self::assertInfinite($kept, "$hypothesis->key, $test->key");
                } else {
                    self::assertEqualsWithDelta(
                        $alone,
                        $kept,
                        1e-7 * max(1.0, abs($alone)),
                        "$hypothesis->key, $test->key",
                    );
                }
                ++$compared;
            }
        }
        self::assertGreaterThan(1000, $compared);
    }

    /** What stands surely in one draw and in its mirror image is not solved in the others: it stands there too. */
    #[DataProviderExternal(Families::class, 'all')]
    public function testWhatSurelyStandsInAPairStandsInEveryDraw(string $key): void
    {
        $bench = new Bench([], false, $key);
        $simulator = new Simulator($bench->circuit);
        $drawn = DrawnValues::forJudging($bench->circuit, $simulator->solver);
        $standing = 0;
        foreach ($bench->circuit->positions as $position => $_) {
            $test =
                array_values(
                    array_filter(
                        $bench->circuit->tests,
                        static fn(Test $test): bool => $test->probe->quantity === Quantity::Speed &&
                            $bench->circuit->setUps[$test->setUp]->position === (string) $position,
                    ),
                )[0] ?? null;
            if ($test === null) {
                continue;
            }
            foreach ($bench->hypotheses as $hypothesis) {
                if ($hypothesis->hasDegree()) {
                    continue;
                }
                $points = array_map(
                    fn(array $vector, array $degrees): SolvedState => $simulator->solver->solve(
                        $simulator->valuesFor(
                            $vector,
                            $bench->circuit->setUps[$test->setUp],
                            $hypothesis->inDegree(...$degrees),
                        ),
                    ),
                    $drawn->vectors,
                    $drawn->degrees,
                );
                if ($points[0]->standsSurely($test->probe->at) && $points[1]->standsSurely($test->probe->at)) {
                    ++$standing;
                    foreach ($points as $point) {
                        self::assertSame(0.0, abs($point->speed($test->probe->at)), "$test->key, $hypothesis->key");
                    }
                }
            }
        }
        self::assertGreaterThan(0, $standing);
    }

    /** A fault put on a set-up that was applied before gives what both give when they are applied together. */
    #[DataProviderExternal(Families::class, 'all')]
    public function testAFaultCanBePutOnASetUp(string $key): void
    {
        $bench = new Bench([], false, $key);
        $simulator = new Simulator($bench->circuit);
        $nominal = $simulator->solver->nominalValues();
        $put = 0;
        foreach ($bench->circuit->setUps as $setUp) {
            foreach ($bench->hypotheses as $hypothesis) {
                if ($simulator->canBePutOn($setUp, $hypothesis)) {
                    ++$put;
                    $alone = $simulator->withSetUp($nominal, $setUp, $hypothesis);
                    self::assertSame(
                        $simulator->valuesFor($nominal, $setUp, $hypothesis),
                        $simulator->putOn($alone, $hypothesis),
                        "$setUp->key, $hypothesis->key",
                    );
                }
            }
        }
        self::assertGreaterThan(0, $put);
    }

    public function testTheSoundCircuitIsHeardRightEverywhere(): void
    {
        $bench = new Bench(['high' => 'relay']);
        foreach ($bench->circuit->tests as $test) {
            if ($test->probe->quantity === Quantity::Speed) {
                foreach ($bench->predictions->of($bench->hypotheses['none'], $test) as $ratio) {
                    self::assertEqualsWithDelta(
                        $bench->circuit->kindIn($test) === PositionKind::Runs ? 1.0 : 0.0,
                        $ratio,
                        1e-9,
                        $test->key,
                    );
                }
            }
        }
    }

    public function testWhatWasPredictedIsKeptAndUsedAgain(): void
    {
        $bench = new Bench();
        $store = new MemoryStore();
        $first = new Predictions($bench->circuit, $bench->hypotheses['none'], $store);
        $test = $bench->circuit->tests['motor-volts@4'];
        $numbers = $first->of($bench->hypotheses['motor-open#0'], $test);
        self::assertSame([], $store->load($bench->circuit->hash));
        $first->keep();
        self::assertNotSame([], $store->load($bench->circuit->hash));
        $second = new Predictions($bench->circuit, $bench->hypotheses['none'], $store);
        self::assertSame($numbers, $second->of($bench->hypotheses['motor-open#0'], $test));
    }

    public function testDrawsAreBalancedAndUncorrelated(): void
    {
        $bench = new Bench(['positions' => '7']);
        $simulator = new Simulator($bench->circuit);
        $draws = DrawnValues::of($bench->circuit, $simulator->solver)->vectors;
        $supply = array_column($draws, $simulator->solver->slot('battery.volts'));
        self::assertCount(32, $supply, 'the smallest design with room for all unknowns and a degree');
        self::assertSame(
            [16, 16],
            array_values(array_count_values(array_map(static fn(float $v): string => (string) round($v, 6), $supply))),
        );
        self::assertEqualsWithDelta(13.05, array_sum($supply) / 32, 1e-9);
        $judging = array_column(
            DrawnValues::forJudging($bench->circuit, $simulator->solver)->vectors,
            $simulator->solver->slot('battery.volts'),
        );
        self::assertEqualsWithDelta(
            13.05,
            array_sum($judging) / \count($judging),
            1e-9,
            'the mirror images keep the few draws balanced',
        );
    }

    public function testAWeldBeatsASwitchThatIsOffAndABreakOneThatIsOn(): void
    {
        $bench = new Bench();
        $simulator = new Simulator($bench->circuit);
        $values = $simulator->solver->nominalValues();
        $slot = $simulator->solver->slot('relay.ohms');
        $off = $bench->circuit->setUps['key-off'];
        $on = $bench->circuit->setUps['4'];
        $welded = $bench->hypotheses['relay-welded#0'];
        $broken = $bench->hypotheses['relay-open#0'];
        $none = new Hypothesis('none', [], [], 1.0, []);
        self::assertSame(1e10, $simulator->valuesFor($values, $off, $none)[$slot]);
        self::assertLessThan(0.01, $simulator->valuesFor($values, $off, $welded)[$slot]);
        self::assertSame(1e10, $simulator->valuesFor($values, $on, $broken)[$slot]);
    }
}

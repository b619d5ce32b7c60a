<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Diagnosis\Decision\Evidence;
use Ispira\Core\Diagnosis\Decision\TestValues;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Inference\ReadingScale;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Kernel\RandomSource;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

/**
 * What tests that are only thought of may show: chances that add up, ranges that hold what they should.
 */
final class ForeseenOutcomesTest extends TestCase
{
    /** @var array<string, list<array{0: Bench, 1: Evidence}>> by family */
    private static array $cases = [];

    public static function tearDownAfterClass(): void
    {
        self::$cases = [];
    }

    /** @return list<array{0: Bench, 1: Evidence}> of a lasting and of a passing fault, after a map and a number */
    private static function cases(string $family): array
    {
        return self::$cases[$family] ??= self::weighed($family);
    }

    /** @return list<array{0: Bench, 1: Evidence}> */
    private static function weighed(string $family): array
    {
        $cases = [];
        foreach ([false, true] as $intermittent) {
            $bench = new Bench(intermittent: $intermittent, family: $family);
            $wanted = array_filter($bench->hypotheses, static fn($one): bool => $one->comesAndGoes === $intermittent);
            $keys = array_keys($wanted);
            $chance = new RandomSource(crc32("foreseen/$family"));
            $truth = $bench->hypotheses[$keys[intdiv(\count($keys), 2)]];
            $unit = new SimulatedUnit($bench->circuit, $truth, $chance, 0.0);
            $case = new CaseFile($unit->map(), [], $intermittent);
            $next = $bench->diagnose($case)->next;
            self::assertNotNull($next);
            $case = $case->with($unit->read('one', $next->test, 0));
            $cases[] = [$bench, $bench->diagnose($case)->evidence];
        }

        return $cases;
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testTheOutcomesOfEveryTestShareOutEverySuspect(string $family): void
    {
        foreach (self::cases($family) as [$bench, $evidence]) {
            $suspects = [];
            foreach (array_keys($evidence->values->suspects()) as $key) {
                $suspects[$key] = $bench->hypotheses[$key];
            }
            foreach ($bench->circuit->tests as $test) {
                $shares = $evidence->foreseen->shares($test, $suspects);
                self::assertEqualsCanonicalizing(array_keys($suspects), array_keys($shares), $test->key);
                $outcomes = array_unique(array_map(\count(...), $shares));
                self::assertCount(1, $outcomes, "$test->key: the same outcomes for all");
                foreach ($shares as $key => $chances) {
                    self::assertEqualsWithDelta(1.0, array_sum($chances), 1e-9, "$test->key, $key");
                    foreach ($chances as $chance) {
                        self::assertGreaterThan(0.0, $chance, "$test->key, $key: a slip may give any");
                    }
                }
                // Seen from the outcomes it is the same.
                $turned = $evidence->values->likelihoods($test);
                foreach ($turned as $outcome => $byHypothesis) {
                    foreach ($byHypothesis as $key => $likelihood) {
                        self::assertSame($shares[$key][$outcome], $likelihood);
                    }
                }
            }
        }
    }

    /** What is expected of the suspects after a test is what they are now, and no test tells more than its outcomes can. */
    #[DataProviderExternal(Families::class, 'all')]
    public function testATestMovesNoOddsOnAverageAndTellsNoMoreThanItCan(string $family): void
    {
        foreach (self::cases($family) as [$bench, $evidence]) {
            $now = $evidence->values->suspects();
            $open = TestValues::entropy(HypothesisList::byRemedy($bench->hypotheses, $now));
            foreach ($evidence->values->all([], []) as $choice) {
                $expected = array_fill_keys(array_keys($now), 0.0);
                $entropy = 0.0;
                $outcomes = $evidence->values->likelihoods($choice->test);
                foreach ($outcomes as $likelihoods) {
                    $after = [];
                    foreach ($likelihoods as $key => $likelihood) {
                        $after[$key] = $now[$key] * $likelihood;
                    }
                    $chance = array_sum($after);
                    foreach ($after as $key => $weight) {
                        $expected[$key] += $weight;
                    }
                    $byRemedy = HypothesisList::byRemedy(
                        $bench->hypotheses,
                        array_map(static fn(float $weight): float => $weight / $chance, $after),
                    );
                    $entropy += $chance * TestValues::entropy($byRemedy);
                }
                foreach ($expected as $key => $weight) {
                    self::assertEqualsWithDelta($now[$key], $weight, 1e-9, "{$choice->test->key}, $key");
                }
                $told = $open - $entropy;
                self::assertGreaterThan(-1e-9, $told, $choice->test->key);
                self::assertLessThanOrEqual(log(\count($outcomes), 2) + 1e-9, $told, $choice->test->key);
            }
        }
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testRangesHoldTheirMiddleAndDensitiesAddUp(string $family): void
    {
        [$bench, $evidence] = self::cases($family)[0];
        $leading = \array_slice(array_keys($evidence->values->suspects()), 0, 3);
        foreach ($bench->circuit->tests as $test) {
            if (!$test->offered || !$test->probe->quantity->isNumber()) {
                continue;
            }
            foreach ($leading as $key) {
                $hypothesis = $bench->hypotheses[$key];
                [$middle, $spread] = $evidence->foreseen->summary($hypothesis, $test);
                [$low, $high] = $evidence->foreseen->range($hypothesis, $test, 2.0);
                $any = $evidence->foreseen->rangeOfAny($hypothesis, $test, 2.0);
                if (is_infinite($middle)) {
                    self::assertSame([\INF, \INF], [$low, $high], "$test->key is open");
                    continue;
                }
                self::assertGreaterThan(0.0, $spread);
                self::assertTrue($low < $middle && $middle < $high, "$test->key, $key: between $low and $high");
                self::assertLessThan($any[1], $any[0]);
                if ($key === HypothesisList::SOMETHING_ELSE) {
                    continue;
                }
                [$place, $wide] = $evidence->foreseen->onScale($hypothesis, $test);
                $density = $evidence->foreseen->density($hypothesis, $test);
                $sum = 0.0;
                for ($off = -8.0; $off < 8.0; $off += 0.05) {
                    $sum += 0.05 * $wide * $density($place + $off * $wide);
                }
                self::assertEqualsWithDelta(1.0, $sum, 1e-3, "$test->key, $key");
                self::assertEqualsWithDelta(
                    $place,
                    ReadingScale::to($test->probe->quantity, $middle),
                    1e-6 * max(1.0, abs($place)),
                );
            }
        }
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testEveryAnswerHasAChanceUnderEveryHypothesis(string $family): void
    {
        foreach (self::cases($family) as [$bench, $evidence]) {
            foreach ($bench->circuit->tests as $test) {
                if ($test->probe->quantity->isNumber()) {
                    continue;
                }
                $answers = Judged::answers($bench->circuit, $test);
                foreach (\array_slice(array_keys($evidence->belief->byHypothesis()), 0, 12) as $key) {
                    $chances = $evidence->foreseen->chances($bench->hypotheses[$key], $test);
                    self::assertEqualsWithDelta(1.0, array_sum($chances), 0.01, "$test->key, $key");
                    self::assertSame([], array_diff(array_keys($chances), $answers), "$test->key, $key");
                }
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Assimilation;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\Measurement;
use Ispira\Core\Diagnosis\Inference\ReadingScale;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\MeterAccuracy;
use Ispira\Core\Reading\Reading;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

/**
 * Numbers that are weighed together under one hypothesis, for the circuits of every family.
 */
final class NumbersTogetherTest extends TestCase
{
    /** Numbers that are weighed together, and how many deviations off one that is a slip lies. */
    private const TOGETHER = 6;
    private const A_SLIP = 14.0;

    private static function bench(string $family): Bench
    {
        return new Bench(family: $family);
    }

    /** @return list<Test> of numbers that the sound circuit shows */
    private static function tests(Bench $bench): array
    {
        $finite = static fn(Test $one): bool => $one->offered &&
            $one->probe->quantity->isNumber() &&
            !$bench->predictions->expected($bench->hypotheses['none'], $one)->open;

        return array_values(array_filter($bench->circuit->tests, $finite));
    }

    /** Spread of what a meter shows there on any sound machine, on the scale of the quantity. */
    private static function spread(Bench $bench, Test $test): float
    {
        $expected = $bench->predictions->expected($bench->hypotheses['none'], $test);
        $quantity = $test->probe->quantity;
        $shown = ReadingScale::from($quantity, $expected->mean);
        $own = MeterAccuracy::spread($quantity, $shown) * ReadingScale::slope($quantity, $shown);

        return sqrt($expected->variance() + $own ** 2);
    }

    /** Whether it lies so far from zero that its scale is the logarithm. */
    private static function isLarge(Bench $bench, Test $test): bool
    {
        return abs($bench->predictions->expected($bench->hypotheses['none'], $test)->mean) > 4.0;
    }

    /** What lies so many spreads from the middle of what is to be expected. */
    private static function off(Bench $bench, Test $test, float $spreads): Reading
    {
        $place =
            $bench->predictions->expected($bench->hypotheses['none'], $test)->mean +
            $spreads * self::spread($bench, $test);

        return new Reading("of-$test->key", $test->key, ReadingScale::from($test->probe->quantity, $place));
    }

    /** @param list<Reading> $readings */
    private static function weigh(Bench $bench, array $readings, ?Hypothesis $state = null): Assimilation
    {
        $measured = array_map(
            static fn(Measurement $one): array => [$one, $state ?? $bench->hypotheses['none']],
            Measurement::all($bench->circuit, $readings),
        );

        return Assimilation::of($measured, $bench->predictions, $bench->predictions->scale());
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testTheFartherOffTheWorseItFitsAndTheLikelierItIsASlip(string $family): void
    {
        $bench = self::bench($family);
        foreach (self::tests($bench) as $test) {
            $fits = $slips = [];
            foreach ([0.0, 0.7, 1.5, 2.5, 4.0] as $spreads) {
                $weighed = self::weigh($bench, [self::off($bench, $test, $spreads)]);
                $fits[] = $weighed->logEvidence + log(1.0 - $weighed->slips[0]);
                $slips[] = $weighed->slips[0];
            }
            $falling = $fits;
            rsort($falling);
            self::assertSame($falling, $fits, "$test->key is right less likely the farther off it is");
            self::assertLessThan(0.1, $slips[0], "$test->key in the middle is right");
            self::assertGreaterThanOrEqual($slips[1], $slips[2], "$test->key is likelier a slip farther off");
        }
    }

    /** A density adds up to one: where a meter errs alike on either side, all but the slips does. */
    #[DataProviderExternal(Families::class, 'all')]
    public function testWhatIsRightAddsUpToAllThatIsNoSlip(string $family): void
    {
        $bench = self::bench($family);
        $step = 0.05;
        $plain = array_filter(self::tests($bench), static fn(Test $one): bool => self::isLarge($bench, $one));
        self::assertNotSame([], $plain);
        foreach (\array_slice($plain, 0, 10) as $test) {
            $sum = 0.0;
            $wide = self::spread($bench, $test);
            for ($spreads = -12.0; $spreads <= 12.0; $spreads += $step) {
                $weighed = self::weigh($bench, [self::off($bench, $test, $spreads)]);
                $sum += $step * $wide * exp($weighed->logEvidence) * (1.0 - $weighed->slips[0]);
            }
            // The tails of sound machines are weighed only where the usual spread does not do.
            self::assertEqualsWithDelta(1.0, $sum, 0.05, $test->key);
        }
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testNoOrderOfNumbersMatters(string $family): void
    {
        $bench = self::bench($family);
        $chance = new RandomSource(crc32("order/$family"));
        $readings = [];
        foreach (\array_slice(self::tests($bench), 0, self::TOGETHER) as $test) {
            $readings[] = self::off($bench, $test, $chance->normal());
        }
        $first = self::weigh($bench, $readings);
        for ($times = 0; $times < 4; ++$times) {
            $readings = $chance->shuffled($readings);
            $again = self::weigh($bench, $readings);
            self::assertEqualsWithDelta($first->logEvidence, $again->logEvidence, 1e-7);
            $sorted = static function (Assimilation $one): array {
                $slips = $one->slips;
                sort($slips);

                return $slips;
            };
            self::assertEqualsWithDelta($sorted($first), $sorted($again), 1e-7);
        }
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testOneSlipIsFoundOutAndTheOthersStand(string $family): void
    {
        $bench = self::bench($family);
        $tests = \array_slice(self::tests($bench), 0, self::TOGETHER);
        foreach ($tests as $wrong => $slipped) {
            $readings = [];
            foreach ($tests as $number => $test) {
                $readings[] = self::off($bench, $test, $number === $wrong ? self::A_SLIP : 0.0);
            }
            $slips = self::weigh($bench, $readings)->slips;
            self::assertGreaterThan(0.9, $slips[$wrong], "$slipped->key is the slip");
            foreach (array_diff_key($slips, [$wrong => true]) as $number => $slip) {
                self::assertLessThan(0.25, $slip, "{$tests[$number]->key} beside $slipped->key");
            }
        }
    }

    /** A break foretells over range: a number there is a slip, and over range is one where a number is foretold. */
    #[DataProviderExternal(Families::class, 'all')]
    public function testOverRangeFitsABreakAndNothingElse(string $family): void
    {
        $bench = self::bench($family);
        $found = 0;
        $ohms = static fn(Test $one): bool => $one->probe->quantity === Quantity::Ohms;
        foreach (array_filter(self::tests($bench), $ohms) as $test) {
            foreach ($bench->hypotheses as $hypothesis) {
                if ($hypothesis->comesAndGoes || !$bench->predictions->expected($hypothesis, $test)->open) {
                    continue;
                }
                $open = [new Reading('open', $test->key, null)];
                $closed = [self::off($bench, $test, 0.0)];
                self::assertGreaterThan(
                    self::weigh($bench, $open)->logEvidence,
                    self::weigh($bench, $open, $hypothesis)->logEvidence,
                    "$test->key over range",
                );
                self::assertLessThan(
                    self::weigh($bench, $closed)->logEvidence,
                    self::weigh($bench, $closed, $hypothesis)->logEvidence,
                    "$test->key as in a sound circuit",
                );
                self::assertGreaterThan(0.5, self::weigh($bench, $open)->slips[0]);
                ++$found;
                break;
            }
        }
        self::assertGreaterThan(0, $found, 'something can be open');
    }
}

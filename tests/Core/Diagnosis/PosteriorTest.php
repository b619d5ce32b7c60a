<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Diagnosis\Inference\Posterior;
use PHPUnit\Framework\TestCase;

/**
 * The joint Gaussian solution against conditioning by hand.
 */
final class PosteriorTest extends TestCase
{
    /**
     * @param list<float> $deviations
     *
     * @return array{mean: float, deviations: list<float>, value: float, variance: float}
     */
    private static function reading(float $mean, array $deviations, float $value, float $variance): array
    {
        return ['mean' => $mean, 'deviations' => $deviations, 'value' => $value, 'variance' => $variance];
    }

    public function testOneReadingMovesTheMeanByItsShare(): void
    {
        // Prior variance 4, instrument variance 1: the mean moves four fifths of the way, the variance falls to 0.8.
        $posterior = Posterior::of([self::reading(10.0, [2.0, 0.0], 11.0, 1.0)]);
        self::assertEqualsWithDelta([10.8, 0.8], $posterior->expect(10.0, [2.0, 0.0]), 1e-12);
        self::assertEqualsWithDelta(-0.5 * (1.0 / 5.0 + log(5.0) + log(2.0 * \M_PI)), $posterior->logEvidence(), 1e-12);
    }

    public function testWithoutReadingsThePriorStands(): void
    {
        self::assertSame([3.0, 5.0], Posterior::nothing()->expect(3.0, [1.0, 2.0]));
        self::assertSame(0.0, Posterior::nothing()->logEvidence());
        self::assertSame([], Posterior::nothing()->leftOut());
    }

    public function testWhatIsUncorrelatedIsNotTouched(): void
    {
        $posterior = Posterior::of([self::reading(0.0, [1.0, 0.0], 0.9, 0.01)]);
        self::assertEqualsWithDelta([0.0, 1.0], $posterior->expect(0.0, [0.0, 1.0]), 1e-12);
    }

    public function testAWiderWorldIsTheSameAsWiderDeviations(): void
    {
        $narrow = Posterior::of([self::reading(1.0, [3.0, 1.5], 2.0, 0.2)]);
        $wide = Posterior::of([self::reading(1.0, [1.0, 0.5], 2.0, 0.2)], 3.0);
        self::assertEqualsWithDelta($narrow->logEvidence(), $wide->logEvidence(), 1e-12);
        self::assertEqualsWithDelta($narrow->expect(0.0, [3.0, 0.0]), $wide->expect(0.0, [1.0, 0.0]), 1e-12);
    }

    public function testReadingsGiveTheSameInAnyOrderAndEachAgainstTheOthersIsConditioning(): void
    {
        mt_srand(5);
        $number = static fn(): float => mt_rand() / mt_getrandmax() - 0.5;
        for ($n = 0; $n < 50; ++$n) {
            $readings = [];
            for ($k = 0; $k < 5; ++$k) {
                $deviations = array_map(static fn(): float => $number(), range(1, 8));
                $readings[] = self::reading($number(), $deviations, $number(), 0.05 + abs($number()));
            }
            $asked = array_map(static fn(): float => $number(), range(1, 8));
            $one = Posterior::of($readings);
            $turned = array_reverse($readings);
            $other = Posterior::of($turned);
            self::assertEqualsWithDelta($one->expect(0.3, $asked), $other->expect(0.3, $asked), 1e-9);
            self::assertEqualsWithDelta($one->logEvidence(), $other->logEvidence(), 1e-9);
            foreach ($one->leftOut() as $k => [$off, $variance]) {
                $left = $readings[$k];
                $others = $readings;
                array_splice($others, $k, 1);
                [$mean, $spread] = Posterior::of($others)->expect($left['mean'], $left['deviations']);
                self::assertEqualsWithDelta($left['value'] - $mean, $off, 1e-9);
                self::assertEqualsWithDelta($spread + $left['variance'], $variance, 1e-9);
            }
        }
    }

    public function testManyReadingsAgreeWithTheClosedForm(): void
    {
        // n readings of one unknown with prior variance v and instrument variance r: v·r/(r + n·v).
        $readings = [];
        foreach (range(1, 7) as $n) {
            $readings[] = self::reading(4.0, [1.0], 4.6, 0.3);
            [$mean, $variance] = Posterior::of($readings)->expect(4.0, [1.0]);
            self::assertEqualsWithDelta(0.3 / (0.3 + $n), $variance, 1e-12);
            self::assertEqualsWithDelta(4.0 + (0.6 * $n) / ($n + 0.3), $mean, 1e-12);
        }
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Diagnosis\Inference\Agreement;
use Ispira\Core\Diagnosis\Inference\Covariance;
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

    /** @param list<array{mean: float, deviations: list<float>, value: float, variance: float}> $readings */
    private static function agreement(array $readings, float $width = 1.0): Agreement
    {
        return new Agreement(Covariance::along($readings), $readings, $width);
    }

    public function testOneReadingMovesTheMeanByItsShare(): void
    {
        // Prior variance 4, instrument variance 1: the mean moves four fifths of the way, the variance falls to 0.8.
        $posterior = Posterior::of([self::reading(10.0, [2.0, 0.0], 11.0, 1.0)]);
        self::assertEqualsWithDelta([10.8, 0.8], $posterior->expect(10.0, [2.0, 0.0]), 1e-12);
        self::assertEqualsWithDelta(
            -0.5 * (1.0 / 5.0 + log(5.0) + log(2.0 * \M_PI)),
            self::agreement([self::reading(10.0, [2.0, 0.0], 11.0, 1.0)])->logEvidence(),
            1e-12,
        );
    }

    public function testWithoutReadingsThePriorStands(): void
    {
        self::assertSame([3.0, 5.0], Posterior::nothing()->expect(3.0, [1.0, 2.0]));
        self::assertSame(0.0, self::agreement([])->logEvidence());
        self::assertSame([], self::agreement([])->leftOut());
    }

    public function testWhatIsUncorrelatedIsNotTouched(): void
    {
        $posterior = Posterior::of([self::reading(0.0, [1.0, 0.0], 0.9, 0.01)]);
        self::assertEqualsWithDelta([0.0, 1.0], $posterior->expect(0.0, [0.0, 1.0]), 1e-12);
    }

    public function testAWiderWorldIsTheSameAsWiderDeviations(): void
    {
        $ofNarrow = [self::reading(1.0, [3.0, 1.5], 2.0, 0.2)];
        $ofWide = [self::reading(1.0, [1.0, 0.5], 2.0, 0.2)];
        [$narrow, $wide] = [Posterior::of($ofNarrow), Posterior::of($ofWide, 3.0)];
        self::assertEqualsWithDelta(
            self::agreement($ofNarrow)->logEvidence(),
            self::agreement($ofWide, 3.0)->logEvidence(),
            1e-12,
        );
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
            $all = self::agreement($readings);
            self::assertEqualsWithDelta($all->logEvidence(), self::agreement($turned)->logEvidence(), 1e-9);
            foreach ($all->leftOut() as $k => [$off, $variance]) {
                $left = $readings[$k];
                $others = $readings;
                array_splice($others, $k, 1);
                [$mean, $spread] = Posterior::of($others)->expect($left['mean'], $left['deviations']);
                self::assertEqualsWithDelta($left['value'] - $mean, $off, 1e-9);
                self::assertEqualsWithDelta($spread + $left['variance'], $variance, 1e-9);
            }
            $without = [$readings[0], $readings[2], $readings[4]];
            $all->leaveOut(3);
            $all->leaveOut(1);
            self::assertSame([0, 2, 4], $all->takenIn());
            self::assertEqualsWithDelta(self::agreement($without)->logEvidence(), $all->logEvidence(), 1e-9);
            self::assertEqualsWithDelta(self::agreement($without)->strain(), $all->strain(), 1e-9);
            self::assertEqualsWithDelta(
                array_values(self::agreement($without)->leftOut()),
                array_values($all->leftOut()),
                1e-9,
            );
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

<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Diagnosis\Inference\Learned;
use PHPUnit\Framework\TestCase;

/**
 * The ensemble filter against Gaussian conditioning by hand.
 */
final class LearnedTest extends TestCase
{
    public function testOneReadingMovesTheMeanByItsShare(): void
    {
        $draws = [8.0, 12.0, 8.0, 12.0];
        self::assertEqualsWithDelta([10.0, 4.0], Learned::nothing()->expect($draws), 1e-12);
        // Prior variance 4, instrument variance 1: the mean moves four fifths of the way, the variance falls to 0.8.
        $after = Learned::nothing()->with($draws, 11.0, 1.0)->expect($draws);
        self::assertEqualsWithDelta(10.8, $after[0], 1e-12);
        self::assertEqualsWithDelta(0.8, $after[1], 1e-12);
    }

    public function testWhatIsUncorrelatedIsNotTouched(): void
    {
        $a = [1.0, 1.0, -1.0, -1.0];
        $b = [1.0, -1.0, 1.0, -1.0];
        self::assertEqualsWithDelta([0.0, 1.0], Learned::nothing()->with($a, 0.9, 0.01)->expect($b), 1e-12);
    }

    public function testTwoReadingsGiveTheSameInEitherOrder(): void
    {
        mt_srand(5);
        $numbers = static fn(): array => array_map(
            static fn(): float => (mt_rand() / mt_getrandmax()) * 10,
            range(1, 24),
        );
        for ($n = 0; $n < 50; ++$n) {
            [$a, $b, $c] = [$numbers(), $numbers(), $numbers()];
            $one = Learned::nothing()->with($a, 4.0, 0.2)->with($b, 6.0, 0.5)->expect($c);
            $other = Learned::nothing()->with($b, 6.0, 0.5)->with($a, 4.0, 0.2)->expect($c);
            self::assertEqualsWithDelta($one, $other, 1e-9);
        }
    }

    public function testManyReadingsAgreeWithTheClosedForm(): void
    {
        // n readings of one unknown with prior variance v and instrument variance r: v·r/(r + n·v).
        $draws = [3.0, 5.0];
        $learned = Learned::nothing();
        foreach (range(1, 7) as $n) {
            $learned = $learned->with($draws, 4.6, 0.3);
            [$mean, $variance] = $learned->expect($draws);
            self::assertEqualsWithDelta(0.3 / (0.3 + $n), $variance, 1e-12);
            self::assertEqualsWithDelta(4.0 + (0.6 * $n) / ($n + 0.3), $mean, 1e-12);
        }
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Learning;

use Ispira\Core\Learning\LogGamma;
use Ispira\Core\Learning\Shrunk;
use PHPUnit\Framework\TestCase;

final class ShrunkTest extends TestCase
{
    private const EXPECTED = ['motor' => 0.5, 'pack' => 0.3, 'wire' => 0.2];

    public function testTheLogarithmOfGammaHasItsKnownValues(): void
    {
        foreach (
            [[1.0, 0.0], [2.0, 0.0], [5.0, log(24.0)], [0.5, log(sqrt(\M_PI))], [11.0, log(3628800.0)]]
            as [$x, $is]
        ) {
            self::assertEqualsWithDelta($is, LogGamma::of($x), 1e-9, "at $x");
        }
        // Γ(x + 1) = x Γ(x)
        foreach ([0.003, 0.7, 3.3, 42.0, 2000.5] as $x) {
            self::assertEqualsWithDelta(
                LogGamma::of($x) + log($x),
                LogGamma::of($x + 1.0),
                1e-9 * max(1.0, $x),
                "at $x",
            );
        }
    }

    public function testWithoutCountsTheExpectationStands(): void
    {
        $shrunk = Shrunk::of(self::EXPECTED, []);
        foreach (self::EXPECTED as $key => $share) {
            self::assertEqualsWithDelta($share, $shrunk->chances[$key], 1e-12);
        }
        self::assertSame(0.0, $shrunk->counted);
    }

    public function testManyCountsSpeakForThemselves(): void
    {
        $shrunk = Shrunk::of(self::EXPECTED, ['motor' => 1000.0, 'pack' => 1000.0, 'wire' => 8000.0]);
        self::assertEqualsWithDelta(0.8, $shrunk->chances['wire'], 0.01);
        self::assertEqualsWithDelta(1.0, array_sum($shrunk->chances), 1e-12);
        self::assertLessThan(0.01, $shrunk->spread['wire']);
    }

    public function testCountsThatLookLikeTheExpectationLeaveItStronger(): void
    {
        $alike = Shrunk::of(self::EXPECTED, ['motor' => 50.0, 'pack' => 30.0, 'wire' => 20.0]);
        $apart = Shrunk::of(self::EXPECTED, ['motor' => 10.0, 'pack' => 10.0, 'wire' => 80.0]);
        self::assertGreaterThan(4.0 * $apart->strength, $alike->strength);
        self::assertEqualsWithDelta(0.5, $alike->chances['motor'], 1e-9);
        self::assertGreaterThan(0.6, $apart->chances['wire']);
    }

    public function testOneJobMovesLittleAndOnlyTowardsItself(): void
    {
        $one = Shrunk::of(self::EXPECTED, ['wire' => 1.0]);
        self::assertGreaterThan(0.2, $one->chances['wire']);
        self::assertLessThan(0.25, $one->chances['wire']);
        self::assertLessThan(0.5, $one->chances['motor']);
    }

    public function testWhatIsNotExpectedIsLeftOut(): void
    {
        $shrunk = Shrunk::of(self::EXPECTED, ['compressor' => 500.0]);
        self::assertSame(0.0, $shrunk->counted);
        self::assertEqualsWithDelta(0.5, $shrunk->chances['motor'], 1e-12);
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Learning;

use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Learning\Calibration;
use Ispira\Core\Learning\Share;
use Ispira\Core\Learning\StatedVerdict;
use PHPUnit\Framework\TestCase;

final class CalibrationTest extends TestCase
{
    public function testTheIntervalOfAShareIsTheOneOfTheBooks(): void
    {
        // Newcombe 1998, table I, method 3: 81 of 263, 15 of 148, 0 of 20, 1 of 29.
        foreach (
            [[81, 263, 0.2553, 0.3662], [15, 148, 0.0624, 0.1605], [0, 20, 0.0, 0.1611], [1, 29, 0.0061, 0.1718]]
            as [$of, $all, $low, $high]
        ) {
            $share = Share::of($of, $all);
            self::assertEqualsWithDelta($low, $share->low, 5e-5);
            self::assertEqualsWithDelta($high, $share->high, 5e-5);
        }
        self::assertSame([0.0, 1.0], [Share::of(0, 0)->low, Share::of(0, 0)->high]);
    }

    public function testVerdictsThatHoldAsOftenAsTheyStateAreNotWarnedOf(): void
    {
        $chance = new RandomSource(5);
        $warned = 0;
        for ($run = 0; $run < 200; ++$run) {
            $verdicts = [];
            for ($n = 0; $n < 60; ++$n) {
                $stated = $chance->between(0.7, 0.999);
                $verdicts[] = new StatedVerdict('motor', $stated, $chance->happens($stated));
            }
            $warned += Calibration::of($verdicts)->parted ? 1 : 0;
        }
        // Two standard deviations: one of twenty by chance.
        self::assertLessThan(18, $warned);
    }

    public function testVerdictsThatStateTooMuchAreWarnedOf(): void
    {
        $verdicts = array_map(
            static fn(int $n): StatedVerdict => new StatedVerdict('motor', 0.98, $n % 5 !== 0),
            range(1, 40),
        );
        $calibration = Calibration::of([
            ...$verdicts,
            new StatedVerdict('pack', null, false),
            new StatedVerdict('pack', 0.9, null),
        ]);
        self::assertTrue($calibration->parted);
        self::assertSame(32, $calibration->held->of);
        self::assertSame(40, $calibration->held->all);
        self::assertCount(1, $calibration->bins);
        self::assertEqualsWithDelta(0.98, $calibration->bins[0]->stated, 1e-9);
        self::assertFalse(Calibration::of(\array_slice($verdicts, 0, 5))->parted, 'five say nothing');
        self::assertFalse(Calibration::of([])->parted);
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Measurement;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\PickUp;
use PHPUnit\Framework\TestCase;

/**
 * Nobody reads 0.00 V beside live wires of alternating current.
 */
final class PickUpTest extends TestCase
{
    public function testOnlyVoltsWhereNothingIsDrivenPickAnythingUp(): void
    {
        self::assertTrue(PickUp::mayBeAt(Quantity::Volts, 0.0, self::shows(0.0)));
        self::assertTrue(PickUp::mayBeAt(Quantity::Volts, -1e-6, self::shows(231.0)));
        self::assertTrue(
            PickUp::mayBeAt(Quantity::Volts, 0.014, self::shows(231.0)),
            'a lead that is cut off, its load still on it',
        );
        self::assertFalse(
            PickUp::mayBeAt(Quantity::Volts, 0.014, self::shows(0.014)),
            'a contact that carries current is no aerial',
        );
        self::assertFalse(PickUp::mayBeAt(Quantity::Volts, 24.0, self::shows(24.0)));
        foreach ([Quantity::Amps, Quantity::Ohms, Quantity::Pressure, Quantity::Duty] as $quantity) {
            self::assertFalse(PickUp::mayBeAt($quantity, 0.0, self::shows(10.0)));
        }
    }

    /** @return \Closure(): float */
    private static function shows(float $volts): \Closure
    {
        return static fn(): float => $volts;
    }

    public function testTenthsOfAVoltArePickedUpAndNoTens(): void
    {
        foreach ([0.0, 0.2, 0.6, 1.5] as $volts) {
            self::assertTrue(PickUp::mayBe($volts));
        }
        self::assertFalse(PickUp::mayBe(12.0));
        self::assertGreaterThan(PickUp::density(1.0, 0.0), PickUp::density(0.3, 0.0));
        self::assertGreaterThan(PickUp::density(2.0, 0.0), PickUp::density(1.0, 0.0));
    }

    /** By the trapezium rule, over all that may be read; the meter's own part is given as a narrow triangle. */
    public function testItsDensityAddsUpToOne(): void
    {
        $sum = 0.0;
        $step = 0.0005;
        for ($volts = 0.0; $volts < 4.0; $volts += $step) {
            $meter = max(0.0, 1.0 - $volts / 0.05) * 40.0;
            $sum += $step * PickUp::density($volts, $meter);
        }
        self::assertEqualsWithDelta(1.0, $sum, 0.01);
    }

    public function testWhatIsDrawnHasThatDensity(): void
    {
        $chance = new RandomSource(3);
        $nothing = $little = 0;
        for ($n = 0; $n < 4000; ++$n) {
            $volts = PickUp::drawn($chance->between(0.0, 1.0), $chance->normal());
            self::assertGreaterThanOrEqual(0.0, $volts);
            $nothing += $volts === 0.0 ? 1 : 0;
            $little += $volts > 0.0 && $volts < PickUp::VOLTS ? 1 : 0;
        }
        self::assertEqualsWithDelta(0.5, $nothing / 4000, 0.03);
        self::assertEqualsWithDelta(0.5 * 0.683, $little / 4000, 0.03, 'within one deviation');
    }
}

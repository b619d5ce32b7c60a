<?php

declare(strict_types=1);

namespace Tests\Core\Measurement;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\PickUp;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Nobody reads 0.00 V beside live wires.
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

    /** @return iterable<string, array{0: string, 1: float, 2: float, 3: bool}> */
    public static function circuits(): iterable
    {
        yield 'mains' => ['tapped-blower', 0.5, 0.5, false];
        yield '24 V of a transformer' => ['control-output', 0.5, 0.5, false];
        yield 'rectified mains' => ['five-wire-fan', 0.15, 0.9, true];
        yield 'a vehicle' => ['stepped-blower', 0.1, 0.9, true];
    }

    private static function of(string $family): PickUp
    {
        $one = FamilyRegistry::shipped()->get($family);

        return PickUp::in($one->circuit($one->parameters()->read([]))->netlist);
    }

    #[DataProvider('circuits')]
    public function testLittleIsPickedUpAndNoTens(string $family, float $deviation, float $none, bool $signed): void
    {
        $pickUp = self::of($family);
        self::assertSame($deviation, $pickUp->volts);
        foreach ([0.0, 0.4, 1.2, 3.0] as $times) {
            self::assertTrue($pickUp->mayBe($times * $deviation));
            self::assertTrue($pickUp->mayBe(-$times * $deviation));
        }
        self::assertFalse($pickUp->mayBe(12.0));
        self::assertGreaterThan($pickUp->density(2.0 * $deviation, 0.0), $pickUp->density(0.6 * $deviation, 0.0));
        self::assertGreaterThan($pickUp->density(4.0 * $deviation, 0.0), $pickUp->density(2.0 * $deviation, 0.0));
    }

    /** By the trapezium rule, over all that may be read; the meter's own part is given as a narrow triangle. */
    #[DataProvider('circuits')]
    public function testItsDensityAddsUpToOne(string $family, float $deviation, float $none, bool $signed): void
    {
        $pickUp = self::of($family);
        $sum = 0.0;
        $step = $deviation / 1000.0;
        for ($volts = $signed ? -8.0 * $deviation : 0.0; $volts < 8.0 * $deviation; $volts += $step) {
            $meter = max(0.0, 1.0 - abs($volts) / (0.1 * $deviation)) * (($signed ? 10.0 : 20.0) / $deviation);
            $sum += $step * $pickUp->density($volts, $meter);
        }
        self::assertEqualsWithDelta(1.0, $sum, 0.01);
    }

    #[DataProvider('circuits')]
    public function testWhatIsDrawnHasThatDensity(string $family, float $deviation, float $none, bool $signed): void
    {
        $pickUp = self::of($family);
        $chance = new RandomSource(3);
        $nothing = $little = $below = 0;
        for ($n = 0; $n < 4000; ++$n) {
            $volts = $pickUp->drawn($chance->between(0.0, 1.0), $chance->normal());
            $nothing += $volts === 0.0 ? 1 : 0;
            $little += $volts !== 0.0 && abs($volts) < $deviation ? 1 : 0;
            $below += $volts < 0.0 ? 1 : 0;
        }
        self::assertEqualsWithDelta($none, $nothing / 4000, 0.03);
        self::assertEqualsWithDelta((1.0 - $none) * 0.683, $little / 4000, 0.03, 'within one deviation');
        self::assertEqualsWithDelta($signed ? 0.5 * (1.0 - $none) : 0.0, $below / 4000, 0.03, 'under nothing');
    }
}

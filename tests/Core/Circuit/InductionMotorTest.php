<?php

declare(strict_types=1);

namespace Tests\Core\Circuit;

use Ispira\Core\Circuit\InductionMotor;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class InductionMotorTest extends TestCase
{
    private static function motor(float $friction = 0.0, float $fan = 1.0): InductionMotor
    {
        return new InductionMotor(4.0, 5.0, 110.0, 26.0, 214.0, 0.003, frictionTorque: $friction, fanTorque: $fan);
    }

    /** @return iterable<string, array{0: float, 1: float, 2: float}> flux, share of the auxiliary current, turns a minute */
    public static function taps(): iterable
    {
        yield 'fastest tap' => [1.0, 1.0, 1072.0];
        yield 'nine tenths' => [0.9, 1.0, 1041.0];
        yield 'eight tenths' => [0.8, 1.0, 994.0];
        yield 'seven tenths' => [0.7, 1.0, 915.0];
        // Torque at eight tenths: 0.55 + 0.45 · 0.5556.
        yield 'weak capacitor' => [1.0, 0.5556, 1039.0];
    }

    #[DataProvider('taps')]
    public function testSixPolesAtSixtyHertz(float $flux, float $auxiliary, float $rpm): void
    {
        self::assertEqualsWithDelta($rpm, (self::motor()->speed($flux, $auxiliary) * 30.0) / \M_PI, 1.0);
    }

    public function testTheSpeedIsWhereTorqueAndLoadMeet(): void
    {
        mt_srand(31);
        for ($n = 0; $n < 200; ++$n) {
            [$flux, $friction, $fan] = [
                0.5 + mt_rand() / mt_getrandmax(),
                (0.3 * mt_rand()) / mt_getrandmax(),
                0.3 + mt_rand() / mt_getrandmax(),
            ];
            $motor = self::motor($friction, $fan);
            $speed = $motor->speed($flux, 1.0);
            if ($speed === 0.0) {
                continue;
            }
            $slip = 1.0 - $speed / $motor->synchronousSpeed;
            $torque = (1.5 * $flux * $flux * 2.0) / ($slip / 0.28 + 0.28 / $slip);
            self::assertEqualsWithDelta($friction + $fan * ($speed / $motor->ratedSpeed) ** 2, $torque, 1e-5);
        }
    }

    public function testMoreFluxIsNeverSlowerAndMoreDragNeverFaster(): void
    {
        $before = 0.0;
        foreach ([0.5, 0.6, 0.7, 0.8, 0.9, 1.0, 1.1] as $flux) {
            $speed = self::motor()->speed($flux, 1.0);
            self::assertGreaterThanOrEqual($before, $speed);
            self::assertLessThanOrEqual($speed, self::motor(0.2)->speed($flux, 1.0));
            $before = $speed;
        }
    }

    public function testWithoutItsAuxiliaryWindingItDoesNotStartButRunsOnceItTurns(): void
    {
        $motor = self::motor(0.03, 0.97);
        self::assertSame(0.0, $motor->push(1.0, 0.0));
        self::assertGreaterThan(1.0, $motor->push(1.0, 1.0));
        self::assertLessThan(1.0, self::motor(0.6)->push(1.0, 1.0), 'drag above the torque at rest');
        self::assertEqualsWithDelta(954.0, (self::motor()->speed(1.0, 0.0) * 30.0) / \M_PI, 2.0);
    }

    /**
     * A search in steps of a thousandth, from the synchronous speed down, for the first speed that torque and load
     * hold.
     */
    public function testNoFasterSpeedHolds(): void
    {
        mt_srand(41);
        for ($n = 0; $n < 150; ++$n) {
            [$flux, $friction, $fan, $auxiliary] = [
                0.3 + (0.9 * mt_rand()) / mt_getrandmax(),
                (0.4 * mt_rand()) / mt_getrandmax(),
                mt_rand() / mt_getrandmax(),
                mt_rand() / mt_getrandmax(),
            ];
            $motor = self::motor($friction, $fan);
            $drive = 2.0 * (0.55 + 0.45 * $auxiliary) * 1.5 * $flux * $flux;
            $held = 0.0;
            for ($share = 0.9999; $share > 0.02 && $held === 0.0; $share -= 0.001) {
                $slip = 1.0 - $share;
                $torque =
                    $drive / ($slip / 0.28 + 0.28 / $slip) -
                    $friction -
                    $fan * (($share * $motor->synchronousSpeed) / $motor->ratedSpeed) ** 2;
                $held = $torque >= 0.0 ? $share : 0.0;
            }
            self::assertEqualsWithDelta(
                $held,
                $motor->speed($flux, $auxiliary) / $motor->synchronousSpeed,
                0.0011,
                "flux $flux, friction $friction, fan $fan, auxiliary $auxiliary",
            );
        }
    }

    public function testALoadThatItCannotCarryStopsIt(): void
    {
        self::assertSame(0.0, self::motor(50.0)->speed(1.0, 1.0));
    }
}

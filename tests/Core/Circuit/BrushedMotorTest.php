<?php

declare(strict_types=1);

namespace Tests\Core\Circuit;

use Ispira\Core\Circuit\BrushedMotor;
use Ispira\Core\Circuit\CircuitError;
use Ispira\Core\Circuit\CircuitSolver;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Known answers of an ordinary 12 V cabin blower: Ra 0.25 Ω, k 0.025 V·s/rad, Tf 0.03 N·m, c 3.5e-6 N·m·s².
 */
final class BrushedMotorTest extends TestCase
{
    /** @return array{0: float, 1: float} current and speed */
    private function run13V2(float $seriesOhms, float $drag = 0.0): array
    {
        $solver = new CircuitSolver(
            new Netlist([
                Element::source('battery', 'a', '0', 13.2),
                Element::resistor('pack', 'a', 'm', $seriesOhms),
                Element::motor('motor', 'm', '0', new BrushedMotor(0.25, 0.025, 0.03 + $drag, 3.5e-6)),
            ]),
        );
        $point = $solver->solve();

        return [$point->current('motor'), $point->speed('motor')];
    }

    public function testCurrentOnHighAndThroughTheWholePack(): void
    {
        self::assertEqualsWithDelta(18.1, $this->run13V2(0.0)[0], 0.05);
        self::assertEqualsWithDelta(4.9, $this->run13V2(1.6)[0], 0.05);
    }

    /** @return iterable<string, array{0: float, 1: float, 2: float, 3: float}> */
    public static function drags(): iterable
    {
        yield '0.05 N·m' => [0.05, 0.97, 1.06, 0.77];
        yield '0.10 N·m' => [0.1, 0.94, 1.11, 0.48];
        yield '0.15 N·m' => [0.15, 0.91, 1.17, 0.0];
    }

    #[DataProvider('drags')]
    public function testDragSlowsTheLowestStepMost(
        float $drag,
        float $highSpeed,
        float $highCurrent,
        float $lowSpeed,
    ): void {
        [$current, $speed] = $this->run13V2(0.0);
        [$dragCurrent, $dragSpeed] = $this->run13V2(0.0, $drag);
        self::assertEqualsWithDelta($highSpeed, $dragSpeed / $speed, 0.01);
        self::assertEqualsWithDelta($highCurrent, $dragCurrent / $current, 0.01);
        self::assertEqualsWithDelta($lowSpeed, $this->run13V2(1.6, $drag)[1] / $this->run13V2(1.6)[1], 0.01);
    }

    public function testALockedRotorDrawsLittleThroughThePackAndHeatsIt(): void
    {
        [$current] = $this->run13V2(1.6, 1e6);
        self::assertEqualsWithDelta(7.1, $current, 0.1);
        self::assertEqualsWithDelta(80.0, $current ** 2 * 1.6, 3.0);
        self::assertEqualsWithDelta(40.0, $this->run13V2(1.6)[0] ** 2 * 1.6, 3.0);
        self::assertGreaterThan(50.0, $this->run13V2(0.0, 1e6)[0]);
    }

    public function testATenthOfAnOhmCostsMoreOnHighThanOnLow(): void
    {
        self::assertEqualsWithDelta(0.91, $this->run13V2(0.1)[1] / $this->run13V2(0.0)[1], 0.01);
        self::assertEqualsWithDelta(0.97, $this->run13V2(1.7)[1] / $this->run13V2(1.6)[1], 0.01);
    }

    public function testATwentyFourVoltMotorRunsAlikeAtHalfTheCurrent(): void
    {
        $point = (new CircuitSolver(
            new Netlist([
                Element::source('battery', 'a', '0', 26.4),
                Element::motor('motor', 'a', '0', new BrushedMotor(1.0, 0.05, 0.03, 3.5e-6)),
            ]),
        ))->solve();
        self::assertEqualsWithDelta($this->run13V2(0.0)[1], $point->speed('motor'), 1e-6);
        self::assertEqualsWithDelta($this->run13V2(0.0)[0] / 2, $point->current('motor'), 1e-6);
    }

    public function testItIsOddInTheVoltage(): void
    {
        $forward = BrushedMotor::settledSpeed(20.0, 3.0, 0.025, 0.03, 3.5e-6, 1e-4);
        self::assertSame(-$forward, BrushedMotor::settledSpeed(-20.0, 3.0, 0.025, 0.03, 3.5e-6, 1e-4));
    }

    public function testTheBalancesHoldAtTheSettledSpeed(): void
    {
        mt_srand(3);
        for ($n = 0; $n < 500; ++$n) {
            $r = static fn(float $a, float $b): float => $a + (($b - $a) * mt_rand()) / mt_getrandmax();
            [$i0, $g, $k, $tf, $c, $b] = [
                $r(0.1, 60),
                $r(0.1, 5),
                $r(0.01, 0.1),
                $r(0.0, 0.2),
                $r(0.0, 1e-5),
                $r(0.0, 5e-4),
            ];
            $speed = BrushedMotor::settledSpeed($i0, $g, $k, $tf, $c, $b);
            if ($speed === 0.0) {
                self::assertLessThanOrEqual($tf, $k * $i0);
                continue;
            }
            self::assertEqualsWithDelta($tf + $b * $speed + $c * $speed ** 2, $k * ($i0 - $g * $k * $speed), 1e-9);
        }
    }

    public function testAMotorWithoutResistanceIsRefused(): void
    {
        $this->expectException(CircuitError::class);
        new BrushedMotor(0.0, 0.025, 0.03, 3.5e-6);
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Capture;

use Ispira\Core\Capture\CaptureError;
use Ispira\Core\Capture\Head;
use Ispira\Core\Capture\Pulses;
use Ispira\Core\Capture\SampleStore;
use Ispira\Core\Capture\SimulatedScope;
use Ispira\Core\Kernel\RandomSource;
use PHPUnit\Framework\TestCase;

final class PulsesTest extends TestCase
{
    use Folders;

    /** Duty and frequency within 0.1 % of truth, from 20 samples a period on. */
    public function testDutyAndFrequencyAreWithinAThousandthOfTheTruth(): void
    {
        $chance = new RandomSource(3);
        for ($case = 0; $case < 40; ++$case) {
            $perPeriod = 20.0 + (180.0 * $case) / 40.0 + $chance->between(0.0, 1.0);
            $frequency = 10.0 ** $chance->between(0.5, 4.0);
            // Levels must be reached: a flat part of a sample and more on either side.
            $narrowest = (100.0 * 4.5) / $perPeriod;
            $duty = $chance->between($narrowest, 100.0 - $narrowest);
            $rate = $perPeriod * $frequency;
            // Slopes of two samples and more, as a scope's own bandwidth makes them.
            $scope = new SimulatedScope($rate, $frequency, $duty, 0.1, 12.4, rise: $chance->between(2.0, 3.0) / $rate);
            $store = $this->store();
            $scope->into($store, (int) (60.0 * $perPeriod));
            $pulses = Pulses::of($store, 0);
            self::assertEqualsWithDelta($frequency, $pulses->frequency, 1e-3 * $frequency, "case $case");
            self::assertEqualsWithDelta($duty, $pulses->duty, 1e-3 * $duty, "case $case: $perPeriod samples a period");
            self::assertEqualsWithDelta(12.4, $pulses->high, 0.05);
            self::assertEqualsWithDelta(0.1, $pulses->low, 0.05);
            self::assertSame(0, $pulses->missing);
            self::assertSame(0, $pulses->bounces);
        }
    }

    /** Edges without a slope lie anywhere between two samples, and are found only on average over many periods. */
    public function testSharpEdgesAveragedOverManyPeriods(): void
    {
        foreach ([[213.7, 37.3], [97.31, 12.0], [1013.9, 71.9]] as [$frequency, $duty]) {
            $store = $this->store();
            (new SimulatedScope(20.37 * $frequency, $frequency, $duty))->into($store, 80_000);
            $pulses = Pulses::of($store, 0);
            self::assertEqualsWithDelta($frequency, $pulses->frequency, 1e-3 * $frequency);
            self::assertEqualsWithDelta($duty, $pulses->duty, 0.1);
        }
    }

    public function testNoiseIsNoEdge(): void
    {
        $store = $this->store();
        (new SimulatedScope(50_000.0, 213.7, 37.3, 0.2, 12.1, rise: 2e-4, noise: 0.4))->into($store, 100_000);
        $pulses = Pulses::of($store, 0);
        self::assertEqualsWithDelta(213.7, $pulses->frequency, 0.2);
        self::assertEqualsWithDelta(37.3, $pulses->duty, 0.15);
        self::assertSame(0, $pulses->bounces);
    }

    public function testJitterIsMeasured(): void
    {
        $store = $this->store();
        (new SimulatedScope(100_000.0, 100.0, 50.0, jitter: 0.02))->into($store, 400_000);
        // Both ends of a period shake: the standard deviations add by their squares.
        self::assertEqualsWithDelta(2.0 * M_SQRT2, Pulses::of($store, 0)->jitter, 0.4);
        self::assertLessThan(0.1, $this->pulses(100_000.0, 100.0, 50.0)->jitter);
    }

    public function testMissingPulsesAreCountedAndTellWhatIsActive(): void
    {
        $store = $this->store();
        (new SimulatedScope(20_000.0, 100.0, 40.0, skips: 8))->into($store, 80_000);
        $pulses = Pulses::of($store, 0);
        self::assertEqualsWithDelta(50, $pulses->missing, 1);
        self::assertTrue($pulses->activeHigh, 'It rests low, so high is what does something.');
        self::assertEqualsWithDelta(100.0, $pulses->frequency, 0.1);
        self::assertEqualsWithDelta(40.0, $pulses->duty, 0.2);
        $turned = $this->store();
        foreach ($store->parts(0) as $values) {
            $turned->append(0, array_map(static fn(float $v): float => 12.0 - $v, $values));
        }
        $turned->finish($store->head());
        self::assertFalse(Pulses::of($turned, 0)->activeHigh);
        self::assertNull($this->pulses(20_000.0, 100.0, 40.0)->activeHigh, 'With no rest it cannot be told.');
    }

    public function testBouncesAreCountedAndTakenOut(): void
    {
        $store = $this->store();
        // A switch that bounces twice whenever it closes: 10 Hz, closed for 40 ms.
        for ($pulse = 0; $pulse < 30; ++$pulse) {
            $store->append(0, [
                ...array_fill(0, 12, 12.0),
                ...array_fill(0, 7, 0.0),
                ...array_fill(0, 9, 12.0),
                ...array_fill(0, 5, 0.0),
                ...array_fill(0, 367, 12.0),
                ...array_fill(0, 600, 0.0),
            ]);
        }
        $store->finish(new Head(['switch'], ['V'], 1e-4, 0.0, 30_000));
        $pulses = Pulses::of($store, 0);
        self::assertEqualsWithDelta(10.0, $pulses->frequency, 0.01);
        self::assertEqualsWithDelta(40.0, $pulses->duty, 0.1);
        self::assertGreaterThan(100, $pulses->bounces);
        self::assertSame(
            0,
            $this->pulses(100_000.0, 100.0, 4.0)->bounces,
            'Narrow pulses that come every period are the signal.',
        );
        self::assertEqualsWithDelta(4.0, $this->pulses(100_000.0, 100.0, 4.0)->duty, 0.05);
    }

    public function testALevelThatRestsHasNoPulses(): void
    {
        foreach ([20.0, 80.0] as $duty) {
            $store = $this->store();
            (new SimulatedScope(10_000.0, 0.0, $duty, noise: 0.02))->into($store, 5000);
            $pulses = Pulses::of($store, 0);
            self::assertFalse($pulses->isPulsed());
            self::assertEqualsWithDelta($duty > 50.0 ? 12.0 : 0.0, $pulses->mean, 0.01);
        }
        $store = $this->store();
        $store->append(0, [0.0, 0.0, 12.0, 12.0, 0.0]);
        $store->finish(new Head(['one'], ['V'], 1.0, 0.0, 5));
        self::assertNull(Pulses::of($store, 0)->frequency, 'One pulse is no frequency.');
    }

    public function testASignalThatIsOnlyNoiseIsSaidSo(): void
    {
        $store = $this->store();
        for ($part = 0; $part < 1100; ++$part) {
            $store->append(0, array_map(static fn(int $n): float => $n % 2 === 0 ? 0.0 : 5.0, range(1, 2000)));
        }
        $store->finish(new Head(['noise'], ['V'], 1e-6, 0.0, 2_200_000));
        $this->expectException(CaptureError::class);
        Pulses::of($store, 0);
    }

    public function testThePictureHoldsTheExtremesOfEveryColumn(): void
    {
        $store = $this->store();
        (new SimulatedScope(10_000.0, 50.0, 30.0, 0.0, 12.0, noise: 0.3))->into($store, 90_001);
        $samples = self::samples($store);
        foreach ([[0, 90_001], [0, 1500], [40_000, 40_700], [77, 89_999]] as [$from, $to]) {
            $envelope = $store->envelope(0, $from, $to, 120);
            self::assertLessThanOrEqual(120, \count($envelope));
            $part = \array_slice($samples, $from, $to - $from);
            self::assertNotSame([], $part);
            self::assertNotSame([], $envelope);
            // Long stretches are drawn by blocks, which may reach over the ends.
            $slack = $to - $from > 2 * SampleStore::BLOCK * 120 ? 1.5 : 1e-9;
            self::assertEqualsWithDelta(min([\INF, ...$part]), min([\INF, ...array_column($envelope, 0)]), $slack);
            self::assertEqualsWithDelta(max([-\INF, ...$part]), max([-\INF, ...array_column($envelope, 1)]), $slack);
        }
    }

    private function pulses(float $rate, float $frequency, float $duty): Pulses
    {
        $store = $this->store();
        (new SimulatedScope($rate, $frequency, $duty))->into($store, (int) ((40.0 * $rate) / $frequency));

        return Pulses::of($store, 0);
    }
}

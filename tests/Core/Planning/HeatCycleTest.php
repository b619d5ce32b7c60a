<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Ispira\Core\Device\ParameterError;
use Ispira\Core\Planning\HeatCycle\Calls;
use Ispira\Core\Planning\HeatCycle\DelayWindow;
use Ispira\Core\Planning\HeatCycle\FanControl;
use Ispira\Core\Planning\HeatCycle\Furnace;
use Ispira\Core\Planning\HeatCycle\HeatCycle;
use Ispira\Core\Planning\HeatCycle\HeatCyclePlanner;
use Ispira\Core\Planning\HeatCycle\HeatCycleSimulation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class HeatCycleTest extends TestCase
{
    private static function run1(FanControl $control, Calls $calls, float $step = 1.0): HeatCycle
    {
        return (new HeatCycleSimulation(new Furnace(), $control, $calls, $step))->run();
    }

    public function testAFanThatStopsWithTheBurnerTripsAtTheEndOfACallFromCold(): void
    {
        $run = self::run1(FanControl::plainRelay(), new Calls(600.0, 1800.0, 1));
        self::assertEqualsWithDelta(150.0, $run->hottest, 5.0);
        self::assertEqualsWithDelta(107.0, $run->hottestLimit, 1.0);
        self::assertCount(1, $run->trips);
        self::assertGreaterThan(600.0, $run->trips[0]);
    }

    public function testEighteenSecondsOfRunOnAreTheLeastAndAStartBeyondAHundredAndFiveTrips(): void
    {
        $once = new Calls(600.0, 1800.0, 1);
        self::assertSame([], self::run1(new FanControl(0.0, 18.0), $once)->trips);
        self::assertCount(1, self::run1(new FanControl(0.0, 17.0), $once)->trips);
        self::assertSame([], self::run1(new FanControl(105.0, 60.0), $once)->trips);
        self::assertNotSame([], self::run1(new FanControl(107.0, 60.0), $once)->trips);
    }

    /** @return iterable<array{0: float, 1: float, 2: float}> run-on, off time, longest start delay */
    public static function windows(): iterable
    {
        foreach (
            [60 => [180 => 52, 300 => 57, 600 => 68, 1200 => 83], 20 => [180 => 19, 300 => 31, 600 => 50, 1200 => 72]]
            as $runOn => $starts
        ) {
            foreach ($starts as $off => $start) {
                yield "$runOn s of run-on, $off s off" => [(float) $runOn, (float) $off, (float) $start];
            }
        }
    }

    #[DataProvider('windows')]
    public function testHeatLeftOverNarrowsTheWindow(float $runOn, float $off, float $start): void
    {
        self::assertEqualsWithDelta(
            $start,
            (float) (new DelayWindow(new Furnace(), new Calls(600.0, $off)))->longestStart($runOn),
            1.0,
        );
    }

    public function testTheLeastRunOnIsVerySensitive(): void
    {
        $least = static fn(Furnace $furnace): ?float => (new DelayWindow(
            $furnace,
            new Calls(600.0, 1800.0),
        ))->leastRunOn(0.0);
        self::assertEqualsWithDelta(2.0, (float) $least(new Furnace(soak: 0.6)), 1.0);
        self::assertEqualsWithDelta(30.0, (float) $least(new Furnace(soak: 0.8)), 1.0);
        self::assertEqualsWithDelta(48.0, (float) $least(new Furnace(moving: 120.0)), 1.0);
        self::assertEqualsWithDelta(60.0, (float) $least(new Furnace(flow: 0.4)), 1.0);
    }

    public function testTheEnergyBalanceCloses(): void
    {
        mt_srand(51);
        for ($n = 0; $n < 40; ++$n) {
            $run = self::run1(
                new FanControl((float) mt_rand(0, 90), (float) mt_rand(0, 120)),
                new Calls(400.0 + mt_rand(0, 400), 120.0 + mt_rand(0, 600), 4, mt_rand(1, 6), mt_rand(0, 1) === 1),
            );
            self::assertEqualsWithDelta($run->heatIn, $run->heatOut + $run->heatKept, 1e-3 * $run->heatIn);
        }
    }

    public function testHalvingTheStepMovesNoTripByAHundredth(): void
    {
        foreach ([[0.0, 0.0], [45.0, 10.0], [80.0, 30.0], [120.0, 60.0]] as [$start, $runOn]) {
            $coarse = self::run1(new FanControl($start, $runOn), new Calls(600.0, 300.0), 4.0)->trips;
            $fine = self::run1(new FanControl($start, $runOn), new Calls(600.0, 300.0), 2.0)->trips;
            self::assertSame(\count($coarse), \count($fine));
            foreach ($coarse as $number => $trip) {
                self::assertEqualsWithDelta($trip, $fine[$number], 0.01 * $trip);
            }
        }
    }

    public function testTheClosedFormAgreesWithSmallStepsOfTheEquations(): void
    {
        $f = new Furnace();
        $metal = $limit = $f->airTemperature;
        for ($time = 0.0; $time < 30.0; $time += 1e-3) {
            $metal += (1e-3 * ($f->burner - $f->still * ($metal - $f->airTemperature))) / $f->metal;
            $limit += (1e-3 * ($f->felt($metal, false) - $limit)) / $f->lagStill;
        }
        $trace = self::run1(new FanControl(60.0, 60.0), new Calls(600.0, 1800.0, 1))->trace;
        self::assertEqualsWithDelta(30.0, $trace[30][0], 1e-6);
        self::assertEqualsWithDelta($metal, $trace[30][1], 0.02);
        self::assertEqualsWithDelta($limit, $trace[30][2], 0.02);
    }

    public function testTheBoardLocksOutAfterItsTrips(): void
    {
        $run = self::run1(FanControl::plainRelay(), new Calls(600.0, 900.0, 6, 3));
        self::assertNotNull($run->lockedOut);
        self::assertSame($run->trips[2], $run->lockedOut);
        self::assertEqualsWithDelta(1800.0, $run->heatIn / 20e3, 60.0, 'three of the six calls were burnt');
        self::assertSame(
            [],
            self::run1(FanControl::plainRelay(), new Calls(600.0, 900.0, 3, 3, countsIdleTrips: false))->trips,
            'a trip between two calls does not count',
        );
    }

    public function testAdviceIsTheAdverseCornerNeverTheNominal(): void
    {
        $planner = new HeatCyclePlanner();
        $plan = $planner->plan(
            $planner->parameters()->read([
                'startLeast' => '0',
                'startMost' => '0',
                'runOnLeast' => '60',
                'runOnMost' => '60',
                'off' => '1800',
            ]),
        );
        preg_match('/run on for at least (\d+) s/', implode(' ', $plan->findings), $found);
        $adverse = new DelayWindow((new Furnace())->scaled(1.1, 0.9, 0.05, 0.9), new Calls(600.0, 1800.0));
        self::assertSame((int) ceil((float) $adverse->leastRunOn(0.0)), (int) ($found[1] ?? 0));
        self::assertGreaterThan(18, (int) ($found[1] ?? 0));
    }

    public function testASequencerThatTripsIsRefused(): void
    {
        $planner = new HeatCyclePlanner();
        self::assertNotSame(
            [],
            $planner->plan($planner->parameters()->read(['runOnLeast' => '0', 'runOnMost' => '10']))->refusals,
        );
        self::assertSame(
            [],
            $planner->plan(
                $planner
                    ->parameters()
                    ->read(['startLeast' => '0', 'startMost' => '10', 'runOnLeast' => '150', 'runOnMost' => '170']),
            )->refusals,
        );
        $this->expectException(ParameterError::class);
        $planner->plan($planner->parameters()->read(['closes' => '95']));
    }
}

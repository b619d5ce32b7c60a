<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Planning\PackRebuild\FanMotor;
use Ispira\Core\Planning\PackRebuild\PackRebuildPlanner;
use Ispira\Core\Planning\PackRebuild\PreferredValues;
use Ispira\Core\Planning\Plan;
use PHPUnit\Framework\TestCase;

final class PackRebuildTest extends TestCase
{
    /** @param array<string, mixed> $given */
    private static function plan(array $given): Plan
    {
        $planner = new PackRebuildPlanner();

        return $planner->plan($planner->parameters()->read($given));
    }

    /** The motor model agrees with the circuit solver, for the exact resistance of any speed. */
    public function testTheExactResistanceGivesTheWantedSpeed(): void
    {
        foreach ([[13.2, 17.0], [12.0, 9.0], [26.4, 8.5]] as [$volts, $amps]) {
            $motor = new FanMotor($volts, $amps);
            self::assertEqualsWithDelta($amps, $motor->ampsAt(1.0), 1e-9);
            foreach ([0.4, 0.55, 0.8] as $share) {
                $ohms = $motor->ohmsFor($share);
                self::assertEqualsWithDelta($share, $motor->shareWith($ohms), 1e-9);
                $solver = (new Netlist([
                    Element::source('v', 'a', '0', $volts, 1e-6),
                    Element::resistor('r', 'a', 'b', $ohms),
                    Element::motor('m', 'b', '0', $motor->motor),
                ]))->solver();
                $point = $solver->solve();
                self::assertEqualsWithDelta($share * $motor->fullSpeed, $point->speed('m'), 1e-3 * $motor->fullSpeed);
                self::assertEqualsWithDelta($motor->ampsAt($share), abs($point->current('r')), 1e-3 * $amps);
            }
        }
    }

    /** In a chain of 0.3, 0.5 and 0.8 Ω the 0.3 Ω takes about 40 W on its fastest step and 7 W on low. */
    public function testAChainByHand(): void
    {
        $motor = new FanMotor(13.2, 17.0);
        $fast = $motor->ampsAt($motor->shareWith(0.3));
        $low = $motor->ampsAt($motor->shareWith(1.6));
        self::assertEqualsWithDelta(40.0, 0.3 * $fast * $fast, 6.0);
        self::assertEqualsWithDelta(7.0, 0.3 * $low * $low, 2.0);
    }

    public function testEveryTapComesWithinTheToleranceOfItsResistors(): void
    {
        foreach (['E12', 'E24'] as $series) {
            $plan = self::plan(['speeds' => [40, 60, 80], 'series' => $series]);
            self::assertSame([], $plan->refusals);
            foreach ($plan->tables[1]->rows as $tap) {
                self::assertEqualsWithDelta((float) $tap[3], (float) $tap[4], 2.0, "step $tap[0]: wanted against got");
            }
            foreach ($plan->tables[0]->rows as $resistor) {
                self::assertGreaterThanOrEqual(
                    2.5 * (float) $resistor[2] - 0.2,
                    (float) $resistor[3],
                    'The rating has its margin.',
                );
            }
        }
    }

    public function testWhatIsRefused(): void
    {
        self::assertStringContainsString('would not start', self::plan(['speeds' => [10, 60, 80]])->refusals[0]);
        self::assertStringContainsString('cut-out', self::plan(['cutOut' => 'no'])->refusals[0]);
        $this->expectException(ParameterError::class);
        self::plan(['speeds' => [60, 40, 80]]);
    }

    public function testPreferredValuesAndPairs(): void
    {
        self::assertSame(
            ['how' => 'single', 'values' => [0.47], 'ohms' => 0.47],
            PreferredValues::nearest(0.465, false),
        );
        $pair = PreferredValues::nearest(1.4, false);
        self::assertNotSame('single', $pair['how']);
        self::assertEqualsWithDelta(1.4, $pair['ohms'], 0.02);
        self::assertSame(50.0, PreferredValues::rating(26.0));
        self::assertNull(PreferredValues::rating(1000.0));
        mt_srand(3);
        for ($case = 0; $case < 200; ++$case) {
            $ohms = 10.0 ** (mt_rand(-100, 200) / 100.0);
            self::assertEqualsWithDelta($ohms, PreferredValues::nearest($ohms, $case % 2 === 0)['ohms'], 0.031 * $ohms);
        }
    }
}

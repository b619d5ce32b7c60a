<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Ispira\Core\Device\ParameterError;
use Ispira\Core\Planning\BatteryDrain\BatteryDrainPlanner;
use Ispira\Core\Planning\Plan;
use PHPUnit\Framework\TestCase;

final class BatteryDrainTest extends TestCase
{
    /** @param array<string, string> $values */
    private function plan(array $values): Plan
    {
        $planner = new BatteryDrainPlanner();

        return $planner->plan($planner->parameters()->read($values));
    }

    public function testHoursByHand(): void
    {
        // 60 Ah at 80 %: 48 Ah; from 90 to 50 %: 19.2 Ah; at 0.4 A: 48 h.
        $plan = $this->plan(['milliamps' => '400']);
        self::assertSame('19.2 Ah', $plan->figures[0]->value);
        self::assertSame('48.0 h', $plan->figures[1]->value);
        self::assertStringContainsString('something stays on', $plan->findings[0]);
        self::assertStringContainsString('48 hours, 2.0 days', $plan->findings[1]);
        // At that moment the curve has come down to what it needs to start.
        $mark = $plan->charts[0]->marks[0];
        self::assertSame(50.0, $mark['y']);
        $points = $plan->charts[0]->curves[0]['points'];
        self::assertSame(90.0, $points[0][1]);
        foreach (array_slice($points, 1) as [$hours, $left]) {
            self::assertEqualsWithDelta(max(0.0, 90.0 - (100.0 * 0.4 * $hours) / 48.0), $left, 1e-9);
        }
    }

    public function testTwiceTheCurrentHalvesTheHours(): void
    {
        foreach (['12', '50', '333', '4000'] as $milliamps) {
            $once = (float) $this->plan(['milliamps' => $milliamps])->charts[0]->marks[0]['x'];
            $twice = (float) $this->plan(['milliamps' => (string) (2 * (int) $milliamps)])->charts[0]->marks[0]['x'];
            self::assertEqualsWithDelta($once / 2.0, $twice, 1e-9);
        }
    }

    public function testASleepingVehicleAndAnEmptyBattery(): void
    {
        self::assertStringContainsString('ordinary', strtolower($this->plan(['milliamps' => '35'])->findings[0]));
        $empty = $this->plan(['milliamps' => '35', 'charged' => '40', 'starts' => '55']);
        self::assertStringContainsString('would not start even now', $empty->findings[1]);
        self::assertSame([], $empty->charts[0]->marks);
        $this->expectException(ParameterError::class);
        $this->plan(['milliamps' => '0']);
    }
}

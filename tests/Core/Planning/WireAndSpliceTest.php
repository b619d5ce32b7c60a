<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\WireAndSplice\Wire;
use Ispira\Core\Planning\WireAndSplice\WireAndSplicePlanner;
use PHPUnit\Framework\TestCase;

final class WireAndSpliceTest extends TestCase
{
    public function testAmericanGaugesAreWhatTheirFormulaSays(): void
    {
        // Known cross-sections in mm²: 22, 18, 14, 10 and 6.
        foreach ([22 => 0.326, 18 => 0.823, 14 => 2.08, 10 => 5.26, 6 => 13.3] as $number => $area) {
            self::assertEqualsWithDelta($area, Wire::gauge($number)->area, 0.005 * $area);
            self::assertSame($number, Wire::gauge($number)->nearestGauge());
        }
    }

    public function testResistanceAndDropByHand(): void
    {
        // 3 m of 2.5 mm² at 50 °C: 0.017241·1.1179·3/2.5 = 23.13 mΩ, 0.416 V at 18 A.
        self::assertEqualsWithDelta(0.02313, (new Wire(2.5))->ohms(3.0), 1e-5);
        self::assertSame('0.42 V', $this->plan(['amps' => '18', 'metres' => '3'])->figures[2]->value);
        self::assertSame(
            '0.42 V',
            $this->plan(['amps' => '18', 'metres' => '1.5', 'ways' => 'both'])->figures[2]->value,
        );
    }

    public function testCrimpsHaveTheirClasses(): void
    {
        self::assertSame(
            [null, 'red', 'red', 'red', 'blue', 'yellow', 'yellow', null],
            array_map(static fn(float $area): ?string => (new Wire($area))->crimp(), [
                0.35,
                0.5,
                1.0,
                1.5,
                2.5,
                4.0,
                6.0,
                10.0,
            ]),
        );
        self::assertNull((new Wire(3.2))->crimp(), 'Between blue and yellow none is made.');
    }

    public function testMoreCopperCarriesMoreAndLosesLess(): void
    {
        $before = new Wire(0.35);
        foreach (range(36, 1600) as $hundredths) {
            $wire = new Wire($hundredths / 100.0);
            self::assertGreaterThanOrEqual($before->carries(), $wire->carries());
            self::assertLessThan($before->ohms(1.0), $wire->ohms(1.0));
            $before = $wire;
        }
        self::assertSame(0.0, (new Wire(0.2))->carries());
    }

    public function testASpliceThatIsTooSmallIsRefused(): void
    {
        self::assertSame([], $this->plan(['amps' => '12', 'fuse' => '15'])->refusals);
        self::assertStringContainsString(
            'it is too small',
            implode(' ', $this->plan(['amps' => '12', 'fuse' => '15', 'splice' => '0.75'])->refusals),
        );
        $plan = $this->plan(['amps' => '18', 'fuse' => '30']);
        self::assertStringContainsString('it would burn before the fuse', implode(' ', $plan->refusals));
        self::assertStringContainsString('Take 6.00 mm²', $plan->findings[0]);
        self::assertStringContainsString(
            'more than the fuse',
            implode(' ', $this->plan(['amps' => '18', 'fuse' => '15'])->refusals),
        );
        self::assertStringContainsString(
            'are lost',
            implode(' ', $this->plan(['amps' => '12', 'fuse' => '15', 'metres' => '8'])->refusals),
        );
        self::assertStringContainsString(
            'No insulated crimp',
            implode(' ', $this->plan(['wire' => '10.0', 'splice' => '10.0'])->refusals),
        );
        self::assertSame([], $this->plan(['wire' => '10.0', 'splice' => '10.0', 'method' => 'solder'])->refusals);
        self::assertStringContainsString(
            '93 % of the fuse',
            implode(' ', $this->plan(['amps' => '14', 'fuse' => '15'])->findings),
        );
    }

    public function testTheSmallestThatIsEnoughIsTheSmallest(): void
    {
        foreach ([[3.0, 2.0, 0.3], [12.0, 1.5, 0.36], [30.0, 4.0, 0.36], [60.0, 2.0, 0.5]] as [$amps, $metres, $drop]) {
            $found = Wire::smallestFor($amps, $metres, $drop);
            self::assertNotNull($found);
            foreach (Wire::SIZES as $area) {
                $fits = (new Wire($area))->carries() >= $amps && (new Wire($area))->ohms($metres) * $amps <= $drop;
                self::assertSame($area >= $found->area, $fits || $area > $found->area);
            }
        }
        self::assertNull(Wire::smallestFor(100.0, 1.0, 1.0));
    }

    public function testASignalWireWithoutAFuseHasToCarryItsOwnCurrentOnly(): void
    {
        $signal = ['amps' => '0.05', 'fused' => 'no', 'wire' => '0.35', 'splice' => '0.35', 'method' => 'solder'];
        $plan = $this->plan($signal);
        self::assertSame([], $plan->refusals);
        self::assertStringContainsString('never be joined to a feed', implode(' ', $plan->findings));
        self::assertSame([], $plan->charts[0]->levels);
        self::assertNotSame([], $this->plan(['fused' => 'yes', 'fuse' => '30'] + $signal)->refusals);
        self::assertNotSame([], $this->plan(['amps' => '40'] + $signal)->refusals, 'Its own current still counts.');
    }

    /** @param array<string, string> $values */
    private function plan(array $values): Plan
    {
        $planner = new WireAndSplicePlanner();

        return $planner->plan($planner->parameters()->read($values));
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Ispira\Core\Device\ParameterError;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Planning\PinMatrix\PinOrders;
use Ispira\Core\Planning\PinMatrix\ResistorRow;
use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\PlannerRegistry;
use Ispira\Core\Planning\Worksheet;
use PHPUnit\Framework\TestCase;

/**
 * Values that are worked out of several readings.
 */
final class WorksheetsTest extends TestCase
{
    public function testARowOfResistorsIsFoundFromAnySetOfPairs(): void
    {
        mt_srand(5);
        for ($case = 0; $case < 60; ++$case) {
            $count = mt_rand(2, 6);
            $truth = array_map(static fn(): float => mt_rand(20, 400) / 100.0, range(1, $count));
            $pins = array_map(static fn(int $n): string => "p$n", range(0, $count));
            $pairs = [];
            for ($from = 0; $from < $count; ++$from) {
                for ($to = $from + 1; $to <= $count; ++$to) {
                    // All neighbours but one, and then pairs by chance: enough to solve.
                    if ($to === $from + 1 || mt_rand(0, 2) === 0) {
                        $pairs[] =
                            mt_rand(0, 1) === 0
                                ? [$pins[$from], $pins[$to], array_sum(\array_slice($truth, $from, $to - $from))]
                                : [$pins[$to], $pins[$from], array_sum(\array_slice($truth, $from, $to - $from))];
                    }
                }
            }
            $row = ResistorRow::of($pins, $pairs);
            self::assertEqualsWithDelta($truth, $row->ohms, 1e-9);
            self::assertEqualsWithDelta(0.0, $row->residual(), 1e-9);
        }
    }

    public function testWithMoreReadingsThanResistorsTheSquaresAreLeast(): void
    {
        // By hand: x, y with x = 1.0, y = 2.0, x + y = 3.3. Each takes a third of the difference: x = 1.1, y = 2.1.
        $row = ResistorRow::of(['a', 'b', 'c'], [['a', 'b', 1.0], ['b', 'c', 2.0], ['a', 'c', 3.3]]);
        self::assertEqualsWithDelta([1.1, 2.1], $row->ohms, 1e-12);
        self::assertEqualsWithDelta(0.1, $row->residual(), 1e-12);
        self::assertSame(1, $row->surplus());
    }

    public function testWhatIsOpenAndWhatIsNotKnown(): void
    {
        $row = ResistorRow::of(['1', '2', '3', '4'], [['1', '2', 1.4], ['2', '3', \INF], ['3', '4', 0.5]]);
        self::assertSame([1.4, \INF, 0.5], $row->ohms);
        $row = ResistorRow::of(['1', '2', '3'], [['1', '3', 2.0]]);
        self::assertSame([null, null], $row->ohms, 'One reading over both says neither.');
        $row = ResistorRow::of(['1', '2', '3'], [['1', '3', \INF], ['1', '2', 1.0]]);
        self::assertSame([1.0, \INF], $row->ohms, 'The one that nothing proves closed is open.');
    }

    public function testAPairThatDoesNotFitIsNamed(): void
    {
        $plan = $this->plan('pin-matrix', ['order' => '1 2 3', 'pairs' => "1 2 1.4\n2 3 0.8\n1 3 5.0"]);
        self::assertStringContainsString('Read that pair again', implode(' ', $plan->findings));
        self::assertSame('refused', $plan->figures[0]->standing);
        self::assertStringContainsString(
            'agree',
            implode(
                ' ',
                $this->plan('pin-matrix', [
                    'order' => '1 2 3',
                    'pairs' => "1 2 1.7\n2 3 1.1\n1 3 2.5",
                    'leads' => '0.3',
                ])->findings,
            ),
        );
        foreach ([['order' => '1 1 2'], ['pairs' => '1 9 2.0'], ['pairs' => '1 2 two'], ['pairs' => '']] as $bad) {
            try {
                $this->plan('pin-matrix', $bad);
                self::fail((string) json_encode($bad));
            } catch (ParameterError $error) {
                self::assertSame(array_key_first($bad), array_key_first($error->messages));
            }
        }
    }

    public function testTheOrderOfUnknownPinsIsFoundAndTheDecidingPairNamed(): void
    {
        mt_srand(8);
        for ($case = 0; $case < 25; ++$case) {
            $count = mt_rand(3, 5);
            $names = array_map(strval(...), range(1, $count));
            $truth = (new RandomSource($case))->shuffled($names);
            $ohms = array_map(static fn(): float => mt_rand(40, 300) / 100.0, range(2, $count));
            $read = static function (string $a, string $b) use ($truth, $ohms): float {
                $places = array_flip($truth);
                [$i, $j] = [$places[$a], $places[$b]];

                return array_sum(\array_slice($ohms, min($i, $j), abs($i - $j)));
            };
            $pairs = [[$names[0], $names[1], $read($names[0], $names[1])]];
            for ($more = 0; $more < 12; ++$more) {
                $orders = PinOrders::fitting($names, $pairs);
                $found = array_map(static fn(ResistorRow $row): array => $row->pins, $orders->rows);
                self::assertTrue(
                    \in_array($truth, $found, true) || \in_array(array_reverse($truth), $found, true),
                    'the true order is never lost',
                );
                foreach ($orders->rows as $row) {
                    self::assertSame(
                        [],
                        array_filter($row->ohms, static fn(?float $r): bool => $r !== null && $r < -0.05),
                    );
                }
                $next = \count($found) > 1 ? $orders->decides() : null;
                if ($next === null) {
                    break;
                }
                $pairs[] = [$next[0], $next[1], $read($next[0], $next[1])];
            }
            self::assertCount(1, $orders->rows, implode(' ', $truth));
            self::assertLessThanOrEqual(($count * ($count - 1)) / 2, \count($pairs));
        }
    }

    public function testAnOrderThatWouldNeedANegativeResistanceIsNoOrder(): void
    {
        $wrong = ['order' => '1 2 3', 'pairs' => "1 2 3.0\n1 3 2.0"];
        $plan = $this->plan('pin-matrix', $wrong);
        self::assertStringContainsString('less than nothing', implode(' ', $plan->findings));
        self::assertStringContainsString('less than nothing', (string) json_encode($plan->tables));
        $found = $this->plan('pin-matrix', ['known' => 'no'] + $wrong);
        self::assertStringContainsString('orders fit', $found->findings[0]);
        self::assertStringContainsString('Read 2 – 3 next', $found->findings[1]);
        $one = $this->plan('pin-matrix', ['known' => 'no', 'order' => '1 2 3', 'pairs' => "1 2 3.0\n1 3 2.0\n2 3 1.0"]);
        self::assertStringContainsString('Only this order fits: 1 3 2', $one->findings[0]);
        $none = $this->plan('pin-matrix', ['known' => 'no', 'order' => '1 2 3', 'pairs' => "1 2 1\n2 3 1\n1 3 9"]);
        self::assertStringContainsString('No order', $none->findings[0]);
    }

    public function testThreePhases(): void
    {
        self::assertStringContainsString(
            'alike within 1.7 %',
            $this->plan('phase-balance', ['ab' => '11.8', 'bc' => '12.0', 'ca' => '11.9'])->findings[0],
        );
        self::assertStringContainsString(
            'A – B most',
            $this->plan('phase-balance', ['ab' => '8.0', 'bc' => '12.0', 'ca' => '12.0'])->findings[0],
        );
        self::assertStringContainsString(
            'Winding B',
            $this->plan('phase-balance', ['ab' => 'OL', 'bc' => 'OL', 'ca' => '12.0'])->findings[0],
        );
        self::assertStringContainsString(
            'All pairs are open',
            $this->plan('phase-balance', ['ab' => 'OL', 'bc' => 'OL', 'ca' => 'OL'])->findings[0],
        );
        self::assertStringContainsString(
            'kills the next module',
            $this->plan('phase-balance', ['case' => '20k'])->findings[1],
        );
        self::assertStringContainsString(
            'Nothing to the case',
            $this->plan('phase-balance', ['case' => 'OL'])->findings[1],
        );
        // Star windings of 2, 4 and 6 Ω by hand: AB 6, BC 10, CA 8.
        self::assertSame(
            ['2.00 Ω', '4.00 Ω', '6.00 Ω'],
            array_map(
                static fn($figure): string => $figure->value,
                \array_slice($this->plan('phase-balance', ['ab' => '6', 'bc' => '10', 'ca' => '8'])->figures, 2),
            ),
        );
    }

    public function testARunCapacitor(): void
    {
        // 2652·I/V at 60 Hz and 3183·I/V at 50 Hz.
        self::assertEqualsWithDelta(
            (2652.6 * 0.9) / 370.0,
            $this->plan('capacitor', ['way' => 'load', 'amps' => '0.9', 'volts' => '370', 'hertz' => '60'])->worked[0]
                ->value,
            0.01,
        );
        self::assertEqualsWithDelta(
            (3183.1 * 0.9) / 370.0,
            $this->plan('capacitor', ['way' => 'load', 'amps' => '0.9', 'volts' => '370', 'hertz' => '50'])->worked[0]
                ->value,
            0.01,
        );
        $says = fn(string $measured): string => $this->plan('capacitor', [
            'printed' => '7.5',
            'tolerance' => '6',
            'measured' => $measured,
        ])->findings[0];
        self::assertStringContainsString('good', $says('7.4'));
        self::assertStringContainsString('below its tolerance', $says('6.9'));
        self::assertStringContainsString('above its tolerance', $says('8.2 uF'));
        self::assertStringContainsString('open', $says('0.1'));
        self::assertStringContainsString('short', $says('OL'));
        self::assertStringContainsString('Live work', $this->plan('capacitor', ['way' => 'load'])->cautions[0]);
    }

    public function testAFeedUnderTwoLoads(): void
    {
        // 12.50 V at 0.2 A and 12.07 V at 4.5 A: 100 mΩ, 12.52 V without load, 1.8 V lost at 18 A.
        $plan = $this->plan('source-resistance', [
            'lightVolts' => '12.5',
            'lightAmps' => '0.2',
            'heavyVolts' => '12.07',
            'heavyAmps' => '4.5',
            'full' => '18',
        ]);
        self::assertSame(
            ['100 mΩ', '12.52 V', '1.80 V', '10.72 V'],
            array_map(static fn($figure): string => $figure->value, $plan->figures),
        );
        self::assertStringContainsString('more than 0.5 V', $plan->findings[0]);
        self::assertStringContainsString(
            'good',
            $this->plan('source-resistance', ['heavyVolts' => '12.4'])->findings[0],
        );
        self::assertStringContainsString(
            'changed over',
            $this->plan('source-resistance', ['heavyVolts' => '13.4'])->findings[0],
        );
        $this->expectException(ParameterError::class);
        $this->plan('source-resistance', ['lightAmps' => '6']);
    }

    public function testFeedbackPulsesAndAMissingEdge(): void
    {
        self::assertSame(
            '1,050 1/min',
            $this->plan('feedback-pulses', ['hertz' => '140', 'pulses' => '8', 'expected' => '1050'])->figures[0]
                ->value,
        );
        // One of eight edges missing: seven eighths of the frequency, and one period of seven twice as long.
        $plan = $this->plan('feedback-pulses', [
            'hertz' => '122.5',
            'pulses' => '8',
            'expected' => '1050',
            'jitter' => '31',
        ]);
        self::assertStringContainsString('Hall sensor is out', $plan->findings[0]);
        self::assertSame(
            ['122.5 Hz', '31 %'],
            array_map(static fn($figure): string => $figure->value, \array_slice($plan->figures, 2)),
        );
        self::assertStringContainsString('too slow', $this->plan('feedback-pulses', ['hertz' => '100'])->findings[0]);
        self::assertStringContainsString('too fast', $this->plan('feedback-pulses', ['hertz' => '180'])->findings[0]);
        self::assertStringContainsString('uneven', $this->plan('feedback-pulses', ['jitter' => '25'])->findings[0]);
        self::assertStringContainsString('No pulses', $this->plan('feedback-pulses', ['hertz' => '0'])->findings[0]);
    }

    public function testARiseFromTwoThermometers(): void
    {
        self::assertSame(27.0, $this->plan('temperature-rise', ['return' => '19', 'supply' => '46'])->worked[0]->value);
        $us = $this->plan('temperature-rise', [
            'scale' => 'fahrenheit',
            'return' => '66',
            'supply' => '120',
            'from' => '30',
            'to' => '60',
        ]);
        self::assertEqualsWithDelta(30.0, $us->worked[0]->value, 1e-12);
        self::assertStringContainsString('Inside', $us->findings[0]);
        self::assertStringContainsString(
            'too little air',
            $this->plan('temperature-rise', ['supply' => '70'])->findings[0],
        );
        self::assertStringContainsString(
            'too much air',
            $this->plan('temperature-rise', ['supply' => '30'])->findings[0],
        );
        self::assertSame([], $this->plan('temperature-rise', ['supply' => '10'])->worked);
    }

    public function testNoMoreThanTheSupplyIsEverLost(): void
    {
        $plan = $this->plan('source-resistance', [
            'lightVolts' => '12.6',
            'lightAmps' => '0.2',
            'heavyVolts' => '4',
            'heavyAmps' => '4.5',
            'full' => '20',
        ]);
        self::assertStringContainsString('13.00', implode(' ', [...$plan->findings, $plan->figures[1]->value]));
    }

    public function testEveryWorksheetHasItsCautionsFirst(): void
    {
        $worksheets = array_filter(
            (new PlannerRegistry())->all(),
            static fn($planner): bool => $planner instanceof Worksheet,
        );
        self::assertCount(6, $worksheets);
        foreach ($worksheets as $planner) {
            $plan = $planner->plan($planner->parameters()->read([]));
            self::assertNotSame([], $plan->cautions);
            foreach ($plan->worked as $worked) {
                self::assertContains($worked->quantity, $planner->quantities());
            }
        }
    }

    /** @param array<string, string> $values */
    private function plan(string $key, array $values): Plan
    {
        $planner = (new PlannerRegistry())->find($key);
        self::assertNotNull($planner);

        return $planner->plan($planner->parameters()->read($values));
    }
}

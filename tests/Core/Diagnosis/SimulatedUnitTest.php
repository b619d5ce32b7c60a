<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Kernel\RandomSource;
use PHPUnit\Framework\TestCase;

/**
 * The stand-in for a unit on the bench.
 */
final class SimulatedUnitTest extends TestCase
{
    private function unit(Bench $bench, Hypothesis $hidden, int $seed = 1, float $slips = 0.0): SimulatedUnit
    {
        return new SimulatedUnit($bench->circuit, $hidden, new RandomSource($seed), $slips);
    }

    public function testItAnswersAsTheCircuitWithItsFaultWould(): void
    {
        $bench = new Bench();
        foreach (range(1, 20) as $seed) {
            $unit = $this->unit($bench, $bench->hypotheses['common-open#0'], $seed);
            $volts = $unit->read('a', $bench->circuit->tests['common-volts@3'], 0)->value;
            self::assertIsFloat($volts);
            self::assertEqualsWithDelta(0.0, $volts, 0.2);
            self::assertNull($unit->read('b', $bench->circuit->tests['common-ohms'], 0)->value);
            self::assertSame('pack', $unit->remedy());
        }
    }

    public function testItsMeterErrsALittleAndItsValuesDifferFromUnitToUnit(): void
    {
        $bench = new Bench();
        $battery = $bench->circuit->tests['battery-volts@4'];
        $same = $this->unit($bench, $bench->hypotheses['none']);
        $readings = array_map(static fn(): mixed => $same->read('a', $battery, 0)->value, range(1, 30));
        self::assertGreaterThan(
            20,
            \count(array_unique(array_map(strval(...), array_filter($readings, \is_float(...))))),
        );
        $units = array_map(
            fn(int $seed): mixed => $this->unit($bench, $bench->hypotheses['none'], $seed)->read('a', $battery, 0)
                ->value,
            range(1, 40),
        );
        $numbers = array_values(array_filter($units, \is_float(...)));
        sort($numbers);
        self::assertGreaterThan(0.6, $numbers[\count($numbers) - 1] - $numbers[0], 'supplies differ');
    }

    public function testAMeterOnAlternatingCurrentShowsNoSign(): void
    {
        $bench = new Bench([], false, 'control-output');
        foreach (range(1, 15) as $seed) {
            $unit = $this->unit($bench, $bench->hypotheses['common-open#0'], $seed);
            foreach (['coil-volts@call', 'contact-drop@call', 'coil-amps@call'] as $test) {
                self::assertGreaterThanOrEqual(0.0, $unit->read('a', $bench->circuit->tests[$test], 0)->value, $test);
            }
        }
    }

    public function testTheSameSeedIsTheSameUnit(): void
    {
        $bench = new Bench();
        $read = fn(int $seed): mixed => $this->unit($bench, $bench->hypotheses['motor-drag#1'], $seed)->read(
            'a',
            $bench->circuit->tests['current@4'],
            0,
        )->value;
        self::assertSame($read(7), $read(7));
        self::assertNotSame($read(7), $read(8));
    }

    public function testSlipsComeAsOftenAsAsked(): void
    {
        $bench = new Bench();
        $unit = $this->unit($bench, $bench->hypotheses['common-open#0'], 3, 0.3);
        $off = 0;
        for ($n = 0; $n < 400; ++$n) {
            $value = $unit->read('a', $bench->circuit->tests['common-volts@3'], 0)->value;
            $off += \is_float($value) && abs($value) > 0.3 ? 1 : 0;
        }
        self::assertEqualsWithDelta(0.3, $off / 400, 0.08);
    }

    public function testAnIntermittentFaultStaysAsItIsDuringAVisitToASetUp(): void
    {
        $bench = new Bench([], true);
        $unit = $this->unit($bench, $bench->hypotheses['common-open#0~'], 5);
        $tests = ['common-volts@3', 'motor-volts@3'];
        $visits = ['shows' => 0, 'away' => 0];
        for ($n = 0; $n < 200; ++$n) {
            $unit->read('x', $bench->circuit->tests['battery-volts@4'], 0);
            $dead = array_map(
                static fn(string $test): bool => abs(
                    (float) $unit->read('a', $bench->circuit->tests[$test], 0)->value,
                ) < 1.0,
                $tests,
            );
            self::assertSame($dead[0], $dead[1], 'both readings of one visit agree');
            ++$visits[$dead[0] ? 'shows' : 'away'];
        }
        self::assertGreaterThan(50, $visits['shows']);
        self::assertGreaterThan(50, $visits['away']);
    }

    public function testAReadingThroughABadJointMayWander(): void
    {
        $bench = new Bench();
        $unit = $this->unit($bench, $bench->hypotheses['plug-motor-burnt#1'], 6);
        $wanders = static function (string $test) use ($unit, $bench): int {
            return \count(
                array_filter(
                    range(1, 200),
                    static fn(): bool => !$unit->read('a', $bench->circuit->tests[$test], 0)->steady,
                ),
            );
        };
        self::assertGreaterThan(40, $wanders('motor-plug-drop@4'));
        self::assertLessThan(20, $wanders('common-ohms'));
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Ispira\Core\Circuit\CircuitSolver;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Planning\BenchSupply\BenchRun;
use Ispira\Core\Planning\BenchSupply\BenchRunVerdict;
use Ispira\Core\Planning\BenchSupply\BenchSupplyPlanner;
use Ispira\Core\Planning\BenchSupply\CommandDivider;
use Ispira\Core\Planning\BenchSupply\Rectifier;
use Ispira\Core\Planning\MotorTester\TryModuleFirst;
use Ispira\Core\Planning\Plan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Ngspice;

final class BenchSupplyTest extends TestCase
{
    /** @param array<string, mixed> $given */
    private static function plan(array $given = []): Plan
    {
        $planner = new BenchSupplyPlanner();

        return $planner->plan($planner->parameters()->read($given));
    }

    public function testKnownFigures(): void
    {
        self::assertEqualsWithDelta(323.0, (new Rectifier(230.0, 50.0, 1.1, 150e-6))->peak(), 0.5);
        self::assertEqualsWithDelta(15.5, (new Rectifier(12.0, 50.0, 0.7, 1500e-6))->peak(), 0.1);
        self::assertEqualsWithDelta(21.3, (new Rectifier(230.0, 50.0, 0.9, 47e-6))->ripplePerHalfWave(0.1), 0.1);
        self::assertEqualsWithDelta(85.1, (new Rectifier(230.0, 50.0, 0.9, 47e-6))->ripplePerHalfWave(0.4), 0.1);
        self::assertEqualsWithDelta(30.0, (new Rectifier(253.0, 50.0, 0.9, 150e-6))->bleeds(100e3, 50.0), 0.7);
    }

    /** @return iterable<string, array{0: float, 1: float, 2: float, 3: float}> Vrms, Hz, farads, amps */
    public static function rectifiers(): iterable
    {
        yield 'bus, light' => [230.0, 50.0, 100e-6, 0.1];
        yield 'bus, heavy' => [230.0, 50.0, 100e-6, 0.3];
        yield 'bus, small capacitor' => [230.0, 50.0, 47e-6, 0.2];
        yield 'other mains' => [115.0, 60.0, 150e-6, 0.3];
        yield 'logic' => [18.0, 50.0, 1500e-6, 0.1];
    }

    #[DataProvider('rectifiers')]
    public function testPeakRippleAndBleedAgreeWithAnIndependentTransient(
        float $volts,
        float $hertz,
        float $farads,
        float $amps,
    ): void {
        $rectifier = new Rectifier($volts, $hertz, 0.9, $farads);
        $peak = \M_SQRT2 * $volts;
        $from = 12.0 / $hertz;
        $period = sprintf('.tran %g %g 0 %g', 0.02 / $hertz, 14.0 / $hertz, 0.005 / $hertz);
        // Diodes as ideal ones with a drop of 0.9 V, charged once and then loaded with a constant current.
        $deck = [
            '* rectifier',
            "B1 r 0 V=abs($peak*sin(2*3.14159265358979*$hertz*time))-1.8",
            'D1 r out dm',
            '.model dm D(is=1e-6 n=0.01 rs=0.02)',
            "C1 out 0 $farads ic=" . $rectifier->peak(),
            "I1 out 0 $amps",
            '.options reltol=1e-5 method=gear',
            "$period uic",
            '.control',
            'run',
            "meas tran vhigh MAX v(out) from=$from to=" . 13.0 / $hertz,
            "meas tran vlow MIN v(out) from=$from to=" . 13.0 / $hertz,
            '.endc',
            '.end',
            '',
        ];
        [$high, $low] = self::measured($deck, ['vhigh', 'vlow']);
        self::assertEqualsWithDelta($high, $rectifier->peak(), 0.03 * $high);
        self::assertEqualsWithDelta($high - $low, $rectifier->ripple($amps), 0.03 * ($high - $low));
        self::assertLessThan($rectifier->ripplePerHalfWave($amps), $rectifier->ripple($amps));

        $ohms = 100e3;
        $time = $rectifier->bleeds($ohms, 0.3 * $rectifier->peak());
        [$left] = self::measured(
            [
                '* bleeder',
                "C1 out 0 $farads ic=" . $rectifier->peak(),
                "R1 out 0 $ohms",
                '.tran ' . $time / 500.0 . " $time 0 " . $time / 500.0 . ' uic',
                '.control',
                'run',
                'meas tran left FIND v(out) AT=' . 0.9999 * $time,
                '.endc',
                '.end',
                '',
            ],
            ['left'],
        );
        self::assertEqualsWithDelta(0.3 * $rectifier->peak(), $left, 0.03 * 0.3 * $rectifier->peak());
    }

    /**
     * @param list<string> $deck
     * @param list<string> $names
     *
     * @return list<float>
     */
    private static function measured(array $deck, array $names): array
    {
        $output = Ngspice::output($deck);

        return array_map(static function (string $name) use ($output): float {
            self::assertSame(1, preg_match("/^$name\\s*=\\s*(\\S+)/m", $output, $found), $output);

            return (float) $found[1];
        }, $names);
    }

    public function testTheDividerReachesItsLimitsAtTheStopsAndWorstCornerIsAbove(): void
    {
        $divider = new CommandDivider(15.0, 18e3, 10e3, 150e3);
        self::assertSame(0.0, $divider->at(0.0));
        self::assertEqualsWithDelta((15.0 * 9375.0) / 27375.0, $divider->at(1.0), 1e-3);
        self::assertGreaterThan($divider->at(1.0), $divider->corner(15.6, 0.2, -0.05));
        self::assertLessThan($divider->at(1.0), $divider->corner(14.4, -0.2, 0.05));
        for ($before = -1.0, $n = 0; $n <= 20; ++$n) {
            self::assertGreaterThan($before, $before = $divider->at($n / 20.0));
        }
    }

    /** @return iterable<string, array{0: array<string, string>, 1: string}> */
    public static function refused(): iterable
    {
        yield 'twelve volts of secondary' => [['secondary' => '12'], 'Headroom'];
        yield 'no bleeder' => [['bleeder' => '0'], 'No bleeder'];
        yield 'a motor limit above the usual rail and below the highest' => [['busMost' => '340'], 'no load'];
        yield 'capacitor above the usual rail and below the highest' => [['busRating' => '340'], 'bulk capacitor'];
        yield 'a lamp too dim at the low corner' => [['lampOhms' => '6,3'], 'feedback lamp'];
        yield 'capacitor rated too low' => [['busRating' => '350'], 'bulk capacitor'];
        yield 'command over its limit' => [['fixed' => '10'], 'command reaches'];
        yield 'too much input' => [['secondary' => '30'], 'above its limit'];
        yield 'a bleeder that burns' => [['bleeder' => '10'], 'is too much'];
        yield 'a lamp that is too bright' => [['lampOhms' => '0,47'], 'feedback lamp'];
        yield 'a surge absorber that conducts' => [['surge' => '230'], 'surge absorber'];
        yield 'ripple' => [['busMicrofarads' => '10'], 'ripple'];
    }

    /** @param array<string, string> $given */
    #[DataProvider('refused')]
    public function testWhatDoesNotHoldIsRefusedWithItsReason(array $given, string $reason): void
    {
        self::assertSame([], self::plan()->refusals);
        self::assertStringContainsStringIgnoringCase($reason, implode(' ', self::plan($given)->refusals));
    }

    public function testAResistorInSeriesWithTheWiperAgreesWithTheSolver(): void
    {
        $divider = new CommandDivider(15.0, 18e3, 10e3, 150e3, 47e3);
        $solver = new CircuitSolver(
            new Netlist([
                Element::source('vcc', 'vcc', '0', 15.0),
                Element::resistor('fixed', 'vcc', 'top', 18e3),
                Element::resistor('upper', 'top', 'wiper', 3e3),
                Element::resistor('lower', 'wiper', '0', 7e3),
                Element::resistor('series', 'wiper', 'vsp', 47e3),
                Element::resistor('input', 'vsp', '0', 150e3),
            ]),
        );
        self::assertEqualsWithDelta(
            $solver->solve($solver->nominalValues())->voltageBetween('vsp', '0'),
            $divider->at(0.7),
            1e-6,
        );
    }

    public function testATrimmerTakesOutWhatThePotentiometerIsOff(): void
    {
        $refused = static fn(array $given): string => implode(' ', self::plan($given)->refusals);
        self::assertStringContainsString('worst corner', $refused(['fixed' => '15']));
        self::assertSame('', $refused(['fixed' => '15', 'above' => 'trimmer']));
    }

    public function testFifteenVoltsPassOnlyWithALargeReservoir(): void
    {
        $headroom = static fn(array $given): bool => !str_contains(
            implode(' ', self::plan(['secondary' => '15', 'logicMilliamps' => '100', ...$given])->refusals),
            'Headroom',
        );
        self::assertTrue($headroom(['reservoir' => '1500']));
        self::assertFalse($headroom(['reservoir' => '470']));
    }

    public function testABenchRunIsJudgedAndComparedWithTheLastGoodOne(): void
    {
        $good = new BenchRun(2.1, [[3.0, 340.0], [4.0, 600.0], [5.0, 840.0]], true, true, false);
        self::assertTrue(BenchRunVerdict::of($good, null)->isGood());
        $against = static fn(BenchRun $run): array => BenchRunVerdict::of($run, $good)->against;
        self::assertSame(['stands'], $against(new BenchRun(null, [], false, true, false)));
        self::assertSame(
            ['slower'],
            $against(new BenchRun(2.2, [[3.0, 300.0], [4.0, 520.0], [5.0, 800.0]], true, true, false)),
        );
        self::assertSame(
            ['faster'],
            $against(new BenchRun(2.2, [[3.0, 400.0], [4.0, 700.0], [5.0, 900.0]], true, true, false)),
        );
        self::assertSame(
            [],
            $against(new BenchRun(2.2, [[3.0, 300.0], [4.0, 520.0], [5.0, 800.0]], true, true, true)),
            'another load is not compared',
        );
        self::assertSame(
            ['falls'],
            $against(new BenchRun(2.1, [[3.0, 340.0], [4.0, 600.0], [4.5, 560.0], [6.0, 900.0]], true, true, true)),
        );
        self::assertSame(
            ['no-points', 'starts-late', 'gaps', 'rough'],
            $against(new BenchRun(3.1, [[4.0, 600.0]], false, false, true)),
        );
        self::assertSame(['starts-early'], $against(new BenchRun(1.0, $good->points, true, true, false)));
        self::assertEqualsWithDelta(1050.0, BenchRun::rpm(140.0, 8.0), 1e-9);
    }

    public function testTheBreakEvenOfATester(): void
    {
        // A wrong module costs 365, in one of five jobs: 73 a job; a test costs 5, so 420 ÷ 68 = 6.18 jobs.
        $choice = new TryModuleFirst(0.8, 365.0, 420.0, 5.0);
        self::assertEqualsWithDelta(73.0, $choice->lossWithout(), 1e-9);
        self::assertEqualsWithDelta(6.176, (float) $choice->breakEven(), 1e-3);
        self::assertEqualsWithDelta($choice->costWith(6.1765), $choice->costWithout(6.1765), 0.01);
        self::assertEqualsWithDelta(0.8904, (float) $choice->breakEvenChance(12.0), 1e-3);
        self::assertNull((new TryModuleFirst(0.999, 365.0, 420.0, 5.0))->breakEven());
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Family;

use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\OneMachine;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\NominalMachine;

/**
 * What meters would show in one set-up hangs together, whatever is wrong: by the laws of Ohm and of Kirchhoff, worked out
 * from what the tests show and never from the solver's own currents.
 */
final class OhmsLawTest extends TestCase
{
    /** Of a drop, relative; and in V. */
    private const WITHIN = 0.002;
    private const LEAST = 2e-4;

    /** @return iterable<string, array{0: string, 1: string, 2: string, 3: list<string>, 4?: array<string, string>}> */
    public static function drops(): iterable
    {
        yield 'ground of a blower' => ['stepped-blower', 'ground-drop@4', 'current@4', ['ground']];
        yield 'plug of a blower' => ['stepped-blower', 'motor-plug-drop@4', 'current@4', ['plug-plus']];
        yield 'feed of a blower' => ['stepped-blower', 'feed-drop@4', 'current@4', ['feed', 'fuse', 'relay']];
        yield 'feed of a blower of 24 V' => [
            'stepped-blower',
            'feed-drop@4',
            'current@4',
            ['feed', 'fuse', 'relay'],
            ['supply' => '24'],
        ];
        yield 'plug of a module' => ['electronic-blower', 'plug-drop@5', 'current@5', ['plug-feed']];
        yield 'ground of a radiator fan' => ['radiator-fan', 'ground-drop-a', 'current-a', ['ground-a']];
        yield 'plug of a radiator fan' => ['radiator-fan', 'plug-drop-a', 'current-a', ['plug-minus-a']];
        yield 'common of a contactor' => ['control-output', 'common-drop@call', 'coil-amps@call', ['common']];
        yield 'neutral of a flue fan' => ['flue-fan', 'neutral-drop', 'amps', ['neutral']];
        yield 'fuse of a flue fan' => ['flue-fan', 'fuse-drop', 'amps', ['fuse']];
        yield 'ground of a wiper' => ['wiper', 'ground-pin@low', 'current-low', ['ground']];
        yield 'ground of an interval module' => ['wiper-interval', 'ground-drop', 'current-low', ['ground']];
    }

    /**
     * @param list<string>          $elements  in a row, that the current flows through
     * @param array<string, string> $parameters
     */
    #[DataProvider('drops')]
    public function testADropIsItsCurrentTimesItsOhms(
        string $family,
        string $drop,
        string $amps,
        array $elements,
        array $parameters = [],
    ): void {
        $machine = new NominalMachine($family, $parameters);
        $values = OneMachine::drawn($machine->circuit, static fn(): float => 0.0);
        $ohms = array_sum(array_map(static fn(string $one): float => $values->value("$one.ohms"), $elements));
        $tried = 0;
        foreach ($machine->hypotheses as $key => $hypothesis) {
            if ($key === 'something-else' || self::touches($hypothesis, $elements)) {
                continue;
            }
            $expected = abs($machine->shows($key, $amps)) * $ohms;
            $shown = abs($machine->shows($key, $drop));
            self::assertEqualsWithDelta($expected, $shown, self::LEAST + self::WITHIN * $expected, "$family: $key");
            $tried += $expected > self::LEAST ? 1 : 0;
        }
        self::assertGreaterThan(5, $tried, 'current flows under some of them');
    }

    /** @param list<string> $elements */
    private static function touches(Hypothesis $hypothesis, array $elements): bool
    {
        foreach ($hypothesis->inDegree(0.0, 0.0)->adjustments as $adjustment) {
            if (\in_array(explode('.', $adjustment->parameter)[0], $elements, true)) {
                return true;
            }
        }

        return false;
    }

    /** @return iterable<string, array{0: string, 1: array<string, float>, 2?: array<string, string>}> tests whose sum is nothing */
    public static function sums(): iterable
    {
        $blower = ['motor-volts@4' => 1.0, 'plus-volts@4' => -1.0, 'minus-volts@4' => 1.0];
        yield 'motor of a blower' => ['stepped-blower', $blower];
        yield 'motor of a blower switched on its ground side' => ['stepped-blower', $blower, ['side' => 'ground']];
        yield 'feed of a blower' => [
            'stepped-blower',
            ['battery-volts@4' => 1.0, 'feed-drop@4' => -1.0, 'relay-out@4' => -1.0],
        ];
        yield 'contact of an output' => [
            'control-output',
            ['fused@call' => 1.0, 'contact-drop@call' => -1.0, 'output-loaded@call' => -1.0],
        ];
    }

    /**
     * Within what the parts between two places lose that no test spans: a tenth of the largest, and nothing where all of
     * it is spanned.
     *
     * @param array<string, float>  $sum        what each test counts
     * @param array<string, string> $parameters
     */
    #[DataProvider('sums')]
    public function testVoltsAddUpAroundALoop(string $family, array $sum, array $parameters = []): void
    {
        $machine = new NominalMachine($family, $parameters);
        $most = 0.0;
        foreach ($machine->hypotheses as $key => $hypothesis) {
            if ($key === 'something-else' || $hypothesis->comesAndGoes || $hypothesis->hasDegree()) {
                continue;
            }
            $total = $largest = 0.0;
            foreach ($sum as $test => $counts) {
                $volts = $machine->shows($key, $test);
                $total += $counts * $volts;
                $largest = max($largest, abs($volts));
            }
            $most = max($most, $largest);
            self::assertLessThanOrEqual(0.1 * $largest + 0.02, abs($total), "$family: $key");
        }
        self::assertGreaterThan(5.0, $most);
    }

    /** @return iterable<string, array{0: string, 1: list<string>, 2?: array<string, string>}> places from the battery on */
    public static function paths(): iterable
    {
        $blower = ['battery-volts@4', 'fuse-in@4', 'fuse-out@4', 'relay-out@4', 'plus-volts@4', 'minus-volts@4'];
        yield 'blower' => ['stepped-blower', $blower];
        yield 'blower, ground side' => ['stepped-blower', $blower, ['side' => 'ground']];
        yield 'blower of 24 V' => ['stepped-blower', $blower, ['supply' => '24']];
        $module = ['battery-volts@5', 'fuse-in@5', 'fuse-out@5', 'feed-volts@5', 'ground-drop@5'];
        yield 'module' => ['electronic-blower', $module];
        yield 'module behind a relay' => ['electronic-blower', $module, ['feed' => 'relay']];
        yield 'motor with its own electronics' => ['electronic-blower', $module, ['module' => 'own']];
        yield 'radiator fan on high' => [
            'radiator-fan',
            ['battery-volts', 'fuse-in', 'fuse-out', 'switch-supply', 'fan-volts@high', 'ground-drop-a'],
        ];
        yield 'wiper on low' => [
            'wiper',
            ['battery-volts', 'fuse-in', 'fuse-out', 'dash-feed', 'dash-low', 'low-pin@low'],
        ];
        yield 'interval module' => [
            'wiper-interval',
            ['battery-volts', 'fuse-in', 'fuse-out', 'supply-volts', 'ground-drop'],
        ];
        yield 'stalk on low' => [
            'wiper-interval',
            ['battery-volts', 'fuse-out', 'stalk-feed', 'speed-out', 'speed-volts@low'],
        ];
        yield 'door head' => ['air-door', ['fuse-in', 'fuse-out', 'head-volts', 'head-ground']];
    }

    /**
     * @param list<string>          $tests
     * @param array<string, string> $parameters
     */
    #[DataProvider('paths')]
    public function testVoltsOnlyFallAlongThePathOfTheCurrent(
        string $family,
        array $tests,
        array $parameters = [],
    ): void {
        $machine = new NominalMachine($family, $parameters);
        foreach ($machine->hypotheses as $key => $hypothesis) {
            if ($key === 'something-else' || $hypothesis->comesAndGoes) {
                continue;
            }
            $before = INF;
            foreach ($tests as $test) {
                $volts = $machine->shows($key, $test);
                self::assertLessThanOrEqual($before + 1e-3, $volts, "$family: $test under $key");
                self::assertGreaterThan(-0.01, $volts, "$family: $test under $key");
                $before = $volts;
            }
        }
    }
}

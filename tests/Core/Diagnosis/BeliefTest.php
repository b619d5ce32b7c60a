<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Diagnosis\Inference\Belief;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Likelihood;
use Ispira\Core\Diagnosis\Inference\Misbehaviour;
use Ispira\Core\Reading\MeterAccuracy;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\Trust;
use PHPUnit\Framework\TestCase;

/**
 * How readings and replacements move the weights.
 */
final class BeliefTest extends TestCase
{
    private const ONLY_HIGH = [
        'key-off' => 'right',
        'off' => 'right',
        '1' => 'dead',
        '2' => 'dead',
        '3' => 'dead',
        '4' => 'right',
    ];

    private function belief(Bench $bench, CaseFile $case): Belief
    {
        return Belief::of(
            $case,
            $bench->hypotheses,
            $bench->predictions,
            new Misbehaviour($bench->predictions, $bench->hypotheses['none']),
            1.0,
        );
    }

    public function testWithoutReadingsThePriorStands(): void
    {
        $bench = new Bench();
        $belief = $this->belief($bench, new CaseFile([]));
        self::assertEqualsWithDelta(1.0, array_sum($belief->weights), 1e-9);
        foreach ($bench->hypotheses as $key => $hypothesis) {
            self::assertEqualsWithDelta($hypothesis->prior, $belief->weights[$key], 1e-9);
        }
    }

    public function testOneReadingIsBayesRule(): void
    {
        $bench = new Bench();
        $belief = $this->belief($bench, new CaseFile([new Reading('a', 'look-pack', 'burnt')]));
        $usual = $bench->circuit->observations['look-pack']->usual;
        $weights = [];
        foreach ($bench->hypotheses as $key => $hypothesis) {
            $chance = Likelihood::observed($hypothesis, $bench->circuit->tests['look-pack'], $usual)['burnt'];
            $weights[$key] =
                $hypothesis->prior *
                ($key === 'something-else' ? 0.85 * $chance + 0.15 / 4 : 0.98 * $chance + 0.02 / 4);
        }
        foreach ($weights as $key => $weight) {
            self::assertEqualsWithDelta($weight / array_sum($weights), $belief->weights[$key], 1e-9, $key);
        }
    }

    public function testAReadingThatFitsNothingIsASlipForAll(): void
    {
        $bench = new Bench();
        $belief = $this->belief($bench, new CaseFile([new Reading('a', 'battery-volts@4', 400.0)]));
        self::assertGreaterThan(0.99, $belief->slips['a'] + $belief->weights['something-else']);
        $listed = 1.0 - $belief->weights['something-else'];
        self::assertGreaterThan(0.4, 1.0 - $listed, 'what no listed fault explains may be none of them');
        foreach ($bench->hypotheses as $key => $hypothesis) {
            if ($key !== 'something-else') {
                self::assertEqualsWithDelta(
                    $hypothesis->prior,
                    $belief->weights[$key] / $listed,
                    0.02,
                    'a slip for all',
                );
            }
        }
    }

    public function testTheSameReadingTwiceIsAFact(): void
    {
        $bench = new Bench();
        $volts = 3.1;
        $once = $this->belief($bench, new CaseFile([new Reading('a', 'battery-volts@4', $volts)]));
        $twice = $this->belief(
            $bench,
            new CaseFile([new Reading('a', 'battery-volts@4', $volts), new Reading('b', 'battery-volts@4', 3.12)]),
        );
        $kept = $this->belief($bench, new CaseFile([new Reading('a', 'battery-volts@4', $volts, kept: true)]));
        self::assertGreaterThan(0.3, $once->slips['a']);
        foreach ([$twice, $kept] as $fact) {
            self::assertLessThan(0.05, $fact->slips['a']);
            $listed = 1.0 - $fact->weights['something-else'];
            self::assertLessThan(0.1 * (1.0 - $once->weights['something-else']), $listed);
        }
    }

    public function testAGoodReadingIsNoSlip(): void
    {
        $bench = new Bench();
        $belief = $this->belief($bench, new CaseFile([new Reading('a', 'battery-volts@4', 12.9)]));
        self::assertLessThan(0.1, $belief->slips['a']);
    }

    public function testRememberedReadingsMoveLess(): void
    {
        $bench = new Bench();
        $move = function (Trust $trust) use ($bench): float {
            $readings = [];
            foreach (self::ONLY_HIGH as $position => $state) {
                $readings[] = new Reading("r$position", "speed@$position", $state, trust: $trust);
            }
            $belief = $this->belief($bench, new CaseFile($readings));

            return $belief->weights['common-open#0'] / $bench->hypotheses['common-open#0']->prior;
        };
        self::assertGreaterThan($move(Trust::Remembered), $move(Trust::Measured));
        self::assertGreaterThan(1.0, $move(Trust::Remembered));
    }

    public function testANotedSupplyScalesThePredictions(): void
    {
        $bench = new Bench();
        $volts = $bench->shows('none', 'motor-volts@4');
        $low = new Reading('a', 'motor-volts@4', ($volts * 11.0) / 13.1, supplyVolts: 11.0);
        $unnoted = new Reading('a', 'motor-volts@4', ($volts * 11.0) / 13.1);
        $noted = $this->belief($bench, new CaseFile([$low]));
        $silent = $this->belief($bench, new CaseFile([$unnoted]));
        self::assertGreaterThan($silent->weights['none'], $noted->weights['none']);
        self::assertLessThan(
            $silent->weights['feed-resistive#0'] + $silent->weights['ground-resistive#0'],
            $noted->weights['feed-resistive#0'] + $noted->weights['ground-resistive#0'],
        );
    }

    public function testIntermittentReadingsOfOneVisitAgreeWithEachOther(): void
    {
        $bench = new Bench([], true);
        $good = $bench->shows('none', 'common-volts@3');
        $one = [new Reading('a', 'common-volts@3', 0.01), new Reading('b', 'motor-volts@3', 0.02)];
        $mixed = [new Reading('a', 'common-volts@3', 0.01), new Reading('b', 'motor-volts@3', $good)];
        $apart = [
            new Reading('a', 'common-volts@3', 0.01),
            new Reading('c', 'battery-volts@4', 13.0),
            new Reading('b', 'motor-volts@3', $good),
        ];
        $passing = static fn(Belief $belief): float => $belief->weights['common-open#0~'] +
            $belief->weights['resistor-3-open#0~'];
        self::assertGreaterThan(
            $passing($this->belief($bench, new CaseFile($mixed, [], true))),
            $passing($this->belief($bench, new CaseFile($apart, [], true))),
            'dead and alive in one visit speaks against coming and going between visits',
        );
        self::assertGreaterThan(0.01, $passing($this->belief($bench, new CaseFile($one, [], true))));
    }

    public function testAGoodReadingClearsAPassingFaultOnlyWhileTheMachineMisbehaves(): void
    {
        $bench = new Bench([], true);
        $volts = $bench->shows('motor-open#0', 'motor-volts@4');
        $odds = function (?bool $misbehaved) use ($bench, $volts): float {
            $weights = $this->belief(
                $bench,
                new CaseFile([new Reading('a', 'motor-volts@4', $volts, misbehaved: $misbehaved)], [], true),
            )->weights;

            return $weights['feed-open#0~'] / $weights['motor-open#0~'];
        };
        self::assertLessThan(0.2 * $odds(null), $odds(true), 'voltage and no fan: not the feed but the motor itself');
        self::assertGreaterThan($odds(true), $odds(false), 'it was away: little is said');
    }

    public function testWhatTheMachineDoesPartsOneVisitFromTheNext(): void
    {
        $bench = new Bench([], true);
        $good = $bench->shows('none', 'motor-volts@3');
        $readings = static fn(?bool $first, ?bool $second): CaseFile => new CaseFile(
            [
                new Reading('a', 'common-volts@3', 0.01, misbehaved: $first),
                new Reading('b', 'motor-volts@3', $good, misbehaved: $second),
            ],
            [],
            true,
        );
        $weight = fn(CaseFile $case): float => $this->belief($bench, $case)->weights['common-open#0~'];
        self::assertGreaterThan(
            2.0 * $weight($readings(null, null)),
            $weight($readings(true, false)),
            'dead while it misbehaved, alive once it worked',
        );
    }

    public function testReplacingTheRightPartLeavesLittleDoubt(): void
    {
        $bench = new Bench();
        $readings = Bench::case(self::ONLY_HIGH, ['common-ohms' => null])->readings;
        $belief = $this->belief($bench, new CaseFile($readings, ['pack']));
        self::assertEqualsWithDelta(1.0, array_sum($belief->weights), 1e-9);
        self::assertGreaterThan(0.6, $belief->weights['none']);
        self::assertArrayHasKey('cured', $belief->origins['none']);
        self::assertLessThan(0.06, $belief->weights['common-open#0'], 'only a faulty new part');
        self::assertSame(['new-part'], array_keys($belief->origins['common-open#0']));
    }

    public function testReplacingAnotherPartLeavesTheSuspectsAsTheyWere(): void
    {
        $bench = new Bench();
        $readings = Bench::case(self::ONLY_HIGH, ['common-ohms' => null])->readings;
        $belief = $this->belief($bench, new CaseFile($readings, ['fuse']));
        $before = $this->belief($bench, new CaseFile($readings));
        self::assertEqualsWithDelta($before->weights['common-open#0'], $belief->weights['common-open#0'], 0.02);
    }

    public function testHalfOfAPairRemains(): void
    {
        $bench = new Bench();
        $readings = Bench::case(self::ONLY_HIGH, [
            'common-ohms' => null,
            'spin' => 'gritty',
            'spin-bare' => 'gritty',
            'look-wheel' => 'clean',
        ])->readings;
        $belief = $this->belief($bench, new CaseFile($readings, ['pack']));
        $drag = array_sum(
            array_filter(
                $belief->weights,
                static fn(string $key): bool => str_starts_with($key, 'motor-drag#'),
                \ARRAY_FILTER_USE_KEY,
            ),
        );
        self::assertGreaterThan(0.5, $drag);
        self::assertArrayHasKey('cause-remains', $belief->origins['motor-drag#1']);
    }

    public function testInstrumentSpreadGrowsWithTheReading(): void
    {
        foreach ([Quantity::Volts, Quantity::Amps, Quantity::Ohms] as $quantity) {
            self::assertGreaterThan(0.0, MeterAccuracy::spread($quantity, 0.0));
            self::assertGreaterThan(MeterAccuracy::spread($quantity, 1.0), MeterAccuracy::spread($quantity, 10.0));
            self::assertSame(MeterAccuracy::spread($quantity, 5.0), MeterAccuracy::spread($quantity, -5.0));
        }
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\OneMachine;
use Ispira\Core\Diagnosis\Trial\ForeignOutcome;
use Ispira\Core\Diagnosis\Trial\ForeignSummary;
use Ispira\Core\Diagnosis\Trial\Leak;
use Ispira\Core\Diagnosis\Trial\Outcome;
use Ispira\Core\Diagnosis\Trial\TrialSummary;
use Ispira\Core\Kernel\RandomSource;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

/**
 * The figures that trials are judged by, counted by hand, and the leaks that no family lists.
 */
final class TrialFiguresTest extends TestCase
{
    private static ?CircuitModel $any = null;

    private static function job(
        string $kind,
        bool $right,
        float $probability,
        string $end = 'verdict',
        int $tests = 4,
        bool $refused = false,
    ): ForeignOutcome {
        \assert(\in_array($kind, ['listed', 'unlisted', 'nothing'], true));
        $circuit = self::$any ??= (new Bench())->circuit;

        return new ForeignOutcome(
            'stepped-blower',
            $kind,
            'fuse-open#0',
            $right,
            'fuse',
            $probability,
            $end,
            $tests,
            $refused,
            [],
            ['fuse'],
            $circuit,
            [],
        );
    }

    private static function summary(ForeignOutcome ...$jobs): ForeignSummary
    {
        $summary = new ForeignSummary();
        foreach ($jobs as $job) {
            $summary->take($job);
        }

        return $summary;
    }

    public function testTheFiguresOfTheForeignWorldByHand(): void
    {
        $figures = self::summary(
            self::job('listed', true, 0.99, tests: 2),
            self::job('listed', true, 0.96, tests: 4),
            self::job('listed', false, 0.98, tests: 6),
            self::job('listed', true, 0.6, 'limit', 12, true),
            self::job('unlisted', false, 0.95),
            self::job('unlisted', false, 0.8),
            self::job('unlisted', true, 0.99),
            self::job('unlisted', false, 0.99, 'nothing left'),
            self::job('nothing', true, 0.9),
            self::job('nothing', false, 0.75, refused: true),
        )->figures();
        self::assertSame([4, 4, 2], [$figures['jobs'], $figures['unlisted'], $figures['nothing']]);
        self::assertSame(0.75, $figures['right'], 'without a verdict the leader counts');
        self::assertEqualsWithDelta(2.0 / 3.0, $figures['verdictRight'], 1e-12, 'of three verdicts');
        self::assertEqualsWithDelta((0.99 + 0.96 + 0.98) / 3.0, $figures['stated'], 1e-12);
        self::assertSame(0.25, $figures['sureAndWrong']);
        self::assertSame(0.25, $figures['noVerdict']);
        self::assertSame(6.0, $figures['tests']);
        self::assertSame(0.2, $figures['refused'], 'of all ten');
        self::assertSame(0.25, $figures['unlistedWrong'], 'only what is sure from 90 % and a verdict');
        self::assertSame(0.5, $figures['nothingWrong']);
    }

    public function testWithoutJobsEveryFigureIsNothing(): void
    {
        self::assertSame([0.0], array_values(array_unique(array_map(floatval(...), self::summary()->figures()))));
        self::assertSame([], self::summary()->calibration(true));
    }

    public function testEveryVerdictStandsInOneBinAndOthersInNone(): void
    {
        $summary = self::summary(
            self::job('listed', true, 0.98),
            self::job('listed', false, 0.994),
            self::job('listed', true, 1.0),
            self::job('listed', true, 0.97, 'limit'),
            self::job('unlisted', false, 0.981),
            self::job('nothing', true, 0.72),
        );
        self::assertSame(
            [[0.98, 0.995, 2, 0.5], [0.995, 1.0, 1, 1.0]],
            array_map(
                static fn(array $bin): array => [$bin['from'], $bin['to'], $bin['jobs'], $bin['held']],
                $summary->calibration(true),
            ),
        );
        self::assertEqualsWithDelta(0.987, $summary->calibration(true)[0]['stated'], 1e-12);
        $any = $summary->calibration(false);
        self::assertSame(5, array_sum(array_column($any, 'jobs')));
        self::assertSame([0.5, 0.98, 0.995], array_column($any, 'from'));
        self::assertEqualsWithDelta(1.0 / 3.0, $any[1]['held'], 1e-12);
    }

    public function testTheFiguresOfTheOwnWorldByHand(): void
    {
        $outcome = static fn(bool $right, float $probability, float $avoidable): Outcome => new Outcome(
            $right,
            true,
            $probability,
            6,
            20.0,
            $avoidable,
            'pack',
        );
        $lasting = new TrialSummary();
        $lasting->take('lasting', 'stepped-blower: resistor-2-open', $outcome(true, 0.99, 0.0));
        $lasting->take('lasting', 'stepped-blower: resistor-3-open', $outcome(false, 0.7, 120.0));
        self::assertSame(['lasting'], array_keys($lasting->groups()), 'one group needs no sum');
        self::assertSame(
            ['stepped-blower: resistor-open'],
            array_keys($lasting->kinds()),
            'alike but for their number',
        );
        $all = new TrialSummary();
        $all->takeFrom($lasting);
        $pairs = new TrialSummary();
        $pairs->take('pair', 'stepped-blower: motor-drag', $outcome(true, 0.96, 60.0));
        $all->takeFrom($pairs);
        self::assertSame(['lasting', 'pair', 'together'], array_keys($all->groups()));
        self::assertEqualsWithDelta(2.0 / 3.0, TrialSummary::right($all->groups()['together']), 1e-12);
        self::assertEqualsWithDelta(60.0, $all->avoidable(), 1e-12);
        self::assertCount(1, $all->stated(0.95, 0.98));
        self::assertCount(3, $all->stated(0.0, 1.01));
        self::assertSame(20.0, TrialSummary::mean($all->groups()['pair'], 'minutes'));
        self::assertSame(0.0, TrialSummary::right([]));
    }

    /** A leak joins what nothing joins, is no fault of the list, and is gone where it is taken away. */
    #[DataProviderExternal(Families::class, 'all')]
    public function testALeakLiesBetweenPlacesThatNothingJoins(string $family): void
    {
        $circuit = (new Bench(family: $family))->circuit;
        $joined = [];
        foreach ($circuit->netlist->elements as $element) {
            $joined[] = "$element->from|$element->to";
            $joined[] = "$element->to|$element->from";
        }
        for ($seed = 0; $seed < 20; ++$seed) {
            $leak = Leak::drawn($circuit, new RandomSource($seed));
            self::assertEquals($leak, Leak::drawn($circuit, new RandomSource($seed)));
            self::assertNotContains("$leak->from|$leak->to", $joined);
            self::assertTrue($leak->ohms >= 0.2 && $leak->ohms <= 50.0);
            $right = $leak->right($circuit);
            self::assertSame(HypothesisList::SOMETHING_ELSE, $right[0]);
            self::assertSame([], array_diff(\array_slice($right, 1), array_keys($circuit->parts)));
        }
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testWithoutItsLeakACircuitShowsWhatItAlwaysDid(string $family): void
    {
        $bench = new Bench(family: $family);
        $leak = Leak::drawn($bench->circuit, new RandomSource(11));
        $leaking = OneMachine::asDeclared($bench->circuit->withElement($leak->element()));
        $sound = OneMachine::asDeclared($bench->circuit);
        foreach ($bench->circuit->tests as $test) {
            if (!$test->probe->quantity->isNumber()) {
                continue;
            }
            $right = $sound->shows($test, $bench->hypotheses['none']);
            $without = $leaking->shows($test, Leak::without());
            if (is_finite($right) && abs($right) > 0.02) {
                self::assertEqualsWithDelta($right, $without, 1e-3 * max(1.0, abs($right)), $test->key);
            }
        }
    }
}

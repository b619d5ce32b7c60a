<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\PositionKind;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Decision\TestChoice;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\UnknownTest;
use Ispira\Core\Diagnosis\Presentation\DiagnosisFormat;
use Ispira\Core\Diagnosis\Presentation\Reasons;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\Trust;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class EngineTest extends TestCase
{
    private const ONLY_HIGH = [
        'key-off' => 'right',
        'off' => 'right',
        '1' => 'dead',
        '2' => 'dead',
        '3' => 'dead',
        '4' => 'right',
    ];
    private const ALL_DEAD = [
        'key-off' => 'right',
        'off' => 'right',
        '1' => 'dead',
        '2' => 'dead',
        '3' => 'dead',
        '4' => 'dead',
    ];
    private const ALL_RIGHT = [
        'key-off' => 'right',
        'off' => 'right',
        '1' => 'right',
        '2' => 'right',
        '3' => 'right',
        '4' => 'right',
    ];

    public function testOnlyTheHighestWorksPointsAtThePackButAsksFirst(): void
    {
        $diagnosis = (new Bench())->diagnose(Bench::case(self::ONLY_HIGH));
        self::assertSame('pack', $diagnosis->suspects[0]->remedy);
        self::assertNull($diagnosis->verdict);
        self::assertNotNull($diagnosis->next);
        self::assertGreaterThan($diagnosis->next->cost, $diagnosis->next->saves);
        self::assertEqualsWithDelta(
            1.0,
            array_sum(array_map(static fn($s): float => $s->probability, $diagnosis->suspects)),
            1e-9,
        );
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1: string, 2: string}> */
    public static function hidden(): iterable
    {
        foreach (['feed', 'ground'] as $side) {
            yield "$side, thermal fuse" => [['side' => $side], 'common-open#0', 'pack'];
            yield "$side, burnt pack plug" => [['side' => $side], 'plug-pack-burnt#1', 'pack-plug'];
            yield "$side, ground" => [['side' => $side], 'ground-resistive#1', 'ground-wire'];
            yield "$side, motor open" => [['side' => $side], 'motor-open#0', 'motor'];
            yield "$side, selector" => [['side' => $side], 'contact-2-open#0', 'selector'];
        }
        yield 'changeover rest contact' => [['high' => 'changeover'], 'rest-contact-burnt#0', 'high-relay'];
        yield 'pack in the head' => [['packPlace' => 'head'], 'common-open#0', 'head'];
        yield '24 V' => [['supply' => '24', 'positions' => '3'], 'resistor-1-open#0', 'pack'];
    }

    /** @param array<string, mixed> $parameters */
    #[DataProvider('hidden')]
    public function testFollowingTheProposalsFindsTheHiddenPart(array $parameters, string $hidden, string $part): void
    {
        $bench = new Bench($parameters);
        $verdict = null;
        $case = $this->follow($bench, $hidden, $verdict);
        self::assertSame(
            $part,
            $verdict,
            implode(', ', array_map(static fn(Reading $r): string => $r->test, $case->readings)),
        );
    }

    public function testFeedAndGroundSideGiveTheSameVerdictFromMirroredReadings(): void
    {
        $feed = new Bench(['side' => 'feed']);
        $ground = new Bench(['side' => 'ground']);
        foreach (
            ['common-open#0' => 'pack', 'plug-pack-open#0' => 'pack-plug', 'contact-3-open#0' => 'selector']
            as $fault => $part
        ) {
            $readings = ['common-volts@3', 'motor-volts@3', 'tap-volts@3', 'look-pack-plug', 'pack-plug-drop@3'];
            $verdicts = [];
            foreach ([$feed, $ground] as $bench) {
                $taken = [];
                foreach ($readings as $test) {
                    $taken[$test] =
                        $test === 'look-pack-plug'
                            ? ($part === 'pack-plug'
                                ? 'burnt'
                                : 'fine')
                            : $bench->shows($fault, $test);
                }
                $states = $this->statesOf($bench, $fault);
                $verdicts[] = $bench->diagnose(Bench::case($states, $taken))->suspects[0];
            }
            self::assertSame($part, $verdicts[0]->remedy);
            self::assertSame($part, $verdicts[1]->remedy);
            self::assertEqualsWithDelta($verdicts[0]->probability, $verdicts[1]->probability, 0.1);
        }
    }

    public function testAnImpossibleReadingGivesAMisfitThatNamesItAndNoVerdict(): void
    {
        $bench = new Bench();
        $case = Bench::case(self::ONLY_HIGH, ['common-volts@3' => 0.02, 'battery-volts@4' => 98.0]);
        $diagnosis = $bench->diagnose($case);
        self::assertNotNull($diagnosis->misfit);
        self::assertSame(['reading-battery-volts@4'], $diagnosis->misfit->spoiling);
        self::assertNull($diagnosis->verdict);
        $shown = (new DiagnosisFormat($bench->circuit, $case, $diagnosis))->shown();
        self::assertNull($shown->verdict);
    }

    public function testAMisfitGuessesAtTheDecimalPoint(): void
    {
        $bench = new Bench();
        $case = Bench::case(self::ONLY_HIGH, ['battery-volts@4' => 1.29]);
        $diagnosis = $bench->diagnose($case);
        self::assertNotNull($diagnosis->misfit);
        $hint = (new Reasons($bench->circuit, $case, $diagnosis))->misfit($case->readings[6])->hint;
        self::assertStringContainsString('12.9 V instead of 1.3 V', $hint);
    }

    public function testAStruckReadingCountsForNothing(): void
    {
        $bench = new Bench();
        $plain = $bench->diagnose(Bench::case(self::ONLY_HIGH));
        $struck = $bench->diagnose(
            Bench::case(self::ONLY_HIGH)->with(new Reading('x', 'common-volts@3', 98.0, struck: true)),
        );
        self::assertSame($this->odds($plain->suspects), $this->odds($struck->suspects));
        self::assertNull($struck->misfit);
    }

    public function testOverRangeIsAValue(): void
    {
        $bench = new Bench();
        $open = $bench->diagnose(Bench::case(self::ONLY_HIGH, ['common-ohms' => null]));
        $closed = $bench->diagnose(Bench::case(self::ONLY_HIGH, ['common-ohms' => 0.1]));
        self::assertGreaterThan(0.75, $open->suspects[0]->faults['common-open'] ?? 0.0);
        self::assertLessThan(0.2, $closed->suspects[0]->faults['common-open'] ?? 0.0);
    }

    public function testOneSlipDoesNotKillTheTruth(): void
    {
        $bench = new Bench();
        $readings = ['common-volts@3' => 0.01, 'tap-volts@3' => 12.6, 'common-ohms' => null, 'pack-plug-drop@3' => 9.0];
        self::assertSame('pack', $bench->diagnose(Bench::case(self::ONLY_HIGH, $readings))->suspects[0]->remedy);
    }

    public function testAReadingThatMayBeASlipIsProposedOnceMore(): void
    {
        $bench = new Bench();
        $case = Bench::case(self::ONLY_HIGH, [
            'look-wheel' => 'debris',
            'spin' => 'free',
            'common-volts@3' => 0.01,
            'tap-volts@3' => 12.6,
        ]);
        $diagnosis = $bench->diagnose($case);
        $id = array_column($case->readings, 'id', 'test')['look-wheel'];
        self::assertGreaterThan(
            Engine::DOUBTED,
            $diagnosis->evidence->belief->slips[$id] ?? 0.0,
            'debris beside a wheel that spins freely',
        );
        $offered = array_map(static fn(TestChoice $c): string => $c->test->key, [
            ...$diagnosis->others,
            ...$diagnosis->next === null ? [] : [$diagnosis->next],
        ]);
        self::assertContains('look-wheel', $offered);
        self::assertNotContains('common-volts@3', $offered, 'nothing speaks against it');
        $again = $bench->diagnose($case->with(new Reading('again', 'look-wheel', 'clean')));
        $offered = array_map(static fn(TestChoice $c): string => $c->test->key, $again->others);
        self::assertNotContains('look-wheel', $offered, 'not a third time');
    }

    public function testARememberedMapCountsLess(): void
    {
        $bench = new Bench();
        $measured = Bench::case(self::ALL_DEAD);
        $remembered = array_map(
            static fn(Reading $r): Reading => new Reading("old-$r->id", $r->test, $r->value, trust: Trust::Remembered),
            Bench::case(self::ONLY_HIGH)->readings,
        );
        $with = $bench->diagnose(new CaseFile([...$remembered, ...$measured->readings]));
        self::assertNotSame('pack', $with->suspects[0]->remedy);
    }

    public function testAWanderingReadingSpeaksForABadJoint(): void
    {
        $bench = new Bench();
        $map = Bench::case(['1' => 'slow', '2' => 'slow', '3' => 'slow', '4' => 'slow']);
        $steady = $bench->diagnose($map->with(new Reading('x', 'motor-volts@4', 11.4)));
        $wanders = $bench->diagnose($map->with(new Reading('x', 'motor-volts@4', 11.4, steady: false)));
        self::assertGreaterThan(
            $this->odds($steady->suspects)['motor-plug'],
            $this->odds($wanders->suspects)['motor-plug'],
        );
    }

    public function testUnknownPackOhmsAreLearnedAcrossReadings(): void
    {
        $bench = new Bench();
        $before = $bench->diagnose(Bench::case(self::ALL_RIGHT));
        $after = $bench->diagnose(Bench::case(self::ALL_RIGHT, ['pack-ohms-1' => 2.4]));
        $sound = $bench->hypotheses['none'];
        $test = $bench->circuit->tests['motor-volts@1'];
        [$meanBefore, $spreadBefore] = $before->evidence->expected($sound, $test);
        [$meanAfter, $spreadAfter] = $after->evidence->expected($sound, $test);
        self::assertLessThan($meanBefore, $meanAfter, 'more ohms, fewer volts at the blower');
        self::assertLessThan($spreadBefore, $spreadAfter);
    }

    public function testTheSameReadingTwiceIsNoIndependentProof(): void
    {
        $bench = new Bench();
        $once = $bench->diagnose(Bench::case(self::ALL_RIGHT, ['pack-ohms-1' => 2.6]));
        $case = Bench::case(self::ALL_RIGHT, ['pack-ohms-1' => 2.6]);
        foreach (range(1, 4) as $n) {
            $case = $case->with(new Reading("again-$n", 'pack-ohms-1', 2.6));
        }
        $often = $bench->diagnose($case);
        self::assertEqualsWithDelta($this->odds($once->suspects)['pack'], $this->odds($often->suspects)['pack'], 0.15);
    }

    public function testAfterTheWrongPartTheOthersStandUpAgain(): void
    {
        $bench = new Bench();
        $before = Bench::case(self::ONLY_HIGH)->readings;
        $after = array_map(
            static fn(Reading $r): Reading => new Reading("after-$r->id", $r->test, $r->value, episode: 1),
            $before,
        );
        $diagnosis = $bench->diagnose(new CaseFile([...$before, ...$after], ['pack']));
        self::assertSame('pack-plug', $diagnosis->suspects[0]->remedy);
        self::assertGreaterThan(0.5, $diagnosis->suspects[0]->origins['verdict-wrong'] ?? 0.0);
        self::assertNull($diagnosis->verdict);
    }

    public function testADragLeftBehindIsFoundAsTheCauseThatRemains(): void
    {
        $bench = new Bench();
        $readings = Bench::case(self::ONLY_HIGH)->readings;
        foreach (
            ['1' => 'dead', '2' => 'slow', '3' => 'slow', '4' => 'slow', 'off' => 'right', 'key-off' => 'right']
            as $position => $state
        ) {
            $readings[] = new Reading("after-$position", "speed@$position", $state, episode: 1);
        }
        $diagnosis = $bench->diagnose(new CaseFile($readings, ['pack']));
        self::assertContains($diagnosis->suspects[0]->remedy, ['motor', 'wheel']);
        self::assertArrayHasKey('cause-remains', $diagnosis->suspects[0]->origins);
    }

    public function testWhenAllIsRightAfterwardsTheJobIsCured(): void
    {
        $bench = new Bench();
        $readings = Bench::case(self::ONLY_HIGH)->readings;
        foreach (self::ALL_RIGHT as $position => $state) {
            $readings[] = new Reading("after-$position", "speed@$position", $state, episode: 1);
        }
        $diagnosis = $bench->diagnose(new CaseFile($readings, ['pack']));
        self::assertSame('none', $diagnosis->suspects[0]->remedy);
        self::assertGreaterThan(0.9, $diagnosis->suspects[0]->probability);
    }

    public function testThePackVerdictAsksForTheCauseBehindIt(): void
    {
        $bench = new Bench();
        $verdict = null;
        $case = $this->follow($bench, 'common-open#0', $verdict, causes: false);
        $diagnosis = $bench->diagnose($case);
        self::assertNotNull($diagnosis->verdict);
        $asked = array_map(static fn($check): string => $check->test, $diagnosis->verdict->causesToCheck);
        $done = array_map(static fn(Reading $r): string => $r->test, $case->readings);
        self::assertEqualsCanonicalizing(
            array_values(array_diff(['current@4', 'spin', 'look-wheel', 'look-pack-plug'], $done)),
            $asked,
        );
    }

    public function testOnAComplaintThatComesAndGoesAGoodReadingClearsLittle(): void
    {
        $map = ['1' => 'cuts-out', '2' => 'cuts-out', '3' => 'cuts-out', '4' => 'right'];
        $steady = new Bench([], true);
        $odds = $this->odds(
            $steady->diagnose(Bench::case($map, ['motor-volts@3' => $steady->shows('none', 'motor-volts@3')], true))
                ->suspects,
        );
        self::assertGreaterThan(0.5, $odds['pack'] + $odds['pack-plug']);
    }

    public function testAReadingOfAnUnknownTestIsRefused(): void
    {
        $this->expectException(UnknownTest::class);
        (new Bench())->diagnose(Bench::case([], ['moon-phase' => 1.0]));
    }

    public function testTheOrderOfTheCellsOfAMapDoesNotMatter(): void
    {
        $bench = new Bench();
        $forward = $bench->diagnose(Bench::case(self::ONLY_HIGH));
        $backward = $bench->diagnose(Bench::case(array_reverse(self::ONLY_HIGH, true)));
        foreach ($this->odds($forward->suspects) as $remedy => $odds) {
            self::assertEqualsWithDelta($odds, $this->odds($backward->suspects)[$remedy], 1e-6);
        }
    }

    /** @param list<\Ispira\Core\Diagnosis\Decision\Suspect> $suspects
     *
     * @return array<string, float>
     */
    private function odds(array $suspects): array
    {
        return array_column(array_map(static fn($s): array => [$s->remedy, $s->probability], $suspects), 1, 0);
    }

    /** @return array<string, string> */
    private function statesOf(Bench $bench, string $fault): array
    {
        $states = [];
        foreach ($bench->speeds($fault) as $position => $ratio) {
            $stands = \in_array((string) $position, ['off', 'key-off'], true);
            $states[$position] = $stands
                ? ($ratio > 0.05
                    ? 'runs'
                    : 'right')
                : ($ratio < 0.05
                    ? 'dead'
                    : ($ratio < 0.88
                        ? 'slow'
                        : ($ratio > 1.12
                            ? 'fast'
                            : 'right')));
        }

        return $states;
    }

    /** Takes the proposed tests with the readings that the hidden fault gives. */
    private function follow(Bench $bench, string $hidden, ?string &$verdict, bool $causes = true): CaseFile
    {
        $case = Bench::case($this->statesOf($bench, $hidden));
        for ($n = 0; $n < 25; ++$n) {
            $diagnosis = $bench->diagnose($case);
            $test =
                $diagnosis->next->test ??
                ($causes && isset($diagnosis->verdict->causesToCheck[0])
                    ? $bench->circuit->tests[$diagnosis->verdict->causesToCheck[0]->test]
                    : null);
            if ($test === null) {
                $verdict = $diagnosis->verdict?->suspect->remedy;
                break;
            }
            if (!$test->probe->quantity->isNumber()) {
                $chances = isset($bench->circuit->observations[$test->probe->at])
                    ? \Ispira\Core\Diagnosis\Inference\Likelihood::observed(
                        $bench->hypotheses[$hidden],
                        $test,
                        $bench->circuit->observations[$test->probe->at]->usual,
                    )
                    : \Ispira\Core\Diagnosis\Inference\SpeedState::chances(
                        $bench->shows($hidden, $test->key),
                        PositionKind::Runs,
                    );
                arsort($chances);
                $value = array_key_first($chances);
            } else {
                $shown = $bench->shows($hidden, $test->key);
                $value = is_infinite($shown) ? null : $shown;
            }
            $case = $case->with(new Reading("r$n", $test->key, $value));
        }

        return $case;
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Decision\Progress;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\Reading;
use PHPUnit\Framework\TestCase;

/**
 * What has to be done before a part is named.
 */
final class BeforeVerdictTest extends TestCase
{
    /**
     * @param array<string, string>            $map  what is not right, by position
     * @param array<string, float|string|null> $more readings by test
     */
    private static function case(Bench $bench, array $map, array $more = []): CaseFile
    {
        $readings = [];
        foreach (array_keys($bench->circuit->positions) as $position) {
            $readings[] = new Reading("m-$position", "speed@$position", $map[$position] ?? 'right');
        }
        foreach ($more as $test => $value) {
            $readings[] = new Reading("r-$test", $test, $value);
        }

        return new CaseFile($readings);
    }

    public function testOneSlowStepAndOneNumberAreAskedForOnceMoreBeforeAPartIsNamed(): void
    {
        $bench = new Bench([], false, 'five-wire-fan');
        $case = self::case($bench, ['high' => 'slow'], ['ground-drop' => 0.225]);
        $found = $bench->diagnose($case);
        self::assertSame('cable', $found->suspects[0]->remedy);
        self::assertNull($found->verdict);
        self::assertSame('speed@high', $found->next?->test->key, 'only one pair of ears spoke, once');
        $case = $case->with(new Reading('again', 'speed@high', 'right'));
        $found = $bench->diagnose($case);
        self::assertNull($found->verdict);
        self::assertSame('ground-drop', $found->next?->test->key, 'all rests on this number: it may be a slip');
        $right = $bench->diagnose($case->with(new Reading('second', 'ground-drop', 0.022)));
        self::assertNotSame('cable', $right->verdict?->suspect->remedy);
        $fact = $bench->diagnose($case->with(new Reading('second', 'ground-drop', 0.224)));
        self::assertSame('cable', $fact->suspects[0]->remedy);
        self::assertNotSame('ground-drop', $fact->next?->test->key, 'read twice alike, it is a fact');
    }

    public function testAHeardComplaintIsNotHeardAgain(): void
    {
        $bench = new Bench([], false, 'five-wire-fan');
        $dead = self::case($bench, ['low' => 'dead', 'medium' => 'dead', 'high' => 'dead']);
        $progress = new Progress($bench->circuit, $dead, $bench->diagnose($dead)->evidence->belief);
        self::assertFalse($progress->isInDoubt(), 'nobody mishears a dead fan three times');
        $slow = self::case($bench, ['high' => 'slow']);
        $progress = new Progress($bench->circuit, $slow, $bench->diagnose($slow)->evidence->belief);
        self::assertTrue($progress->isInDoubt());
        self::assertSame(['speed@high' => true], $progress->calledWrongOnce());
        $twice = $slow->with(new Reading('again', 'speed@high', 'slow'));
        $progress = new Progress($bench->circuit, $twice, $bench->diagnose($twice)->evidence->belief);
        self::assertFalse($progress->isInDoubt());
        self::assertSame([], $progress->calledWrongOnce());
    }

    public function testADeadModuleIsNamedByWhatWasMeasuredAtIt(): void
    {
        $bench = new Bench([], false, 'ecm-blower');
        $positions = array_map(strval(...), array_keys($bench->circuit->positions));
        $running = array_values(array_diff($positions, ['off']));
        $case = self::case($bench, array_fill_keys($running, 'dead'), [
            'tap-volts@cool' => 24.4,
            'plug-volts' => 229.0,
            'spin' => 'free',
            'start' => 'smooth',
            'phase-ab' => 3.1,
            'phase-bc' => 3.1,
            'phase-ca' => 3.05,
            'spin-unplugged' => 'free',
        ]);
        $found = $bench->diagnose($case);
        self::assertSame('module', $found->suspects[0]->remedy);
        self::assertStringStartsNotWith('speed@', $found->next->test->key ?? '', 'it was heard in every position');
    }

    public function testWhoCannotBeSureLooksAgain(): void
    {
        $bench = new Bench([], false, 'ecm-blower');
        // Without what is measured in the air: only the looks tell filter from wheel.
        $circuit = $bench->circuit->with(
            ['without rise'],
            tests: array_values(
                array_filter(
                    $bench->circuit->tests,
                    static fn(Test $test): bool => !\in_array($test->key, ['rise', 'limit-holds'], true),
                ),
            ),
        );
        $engine = new Engine(new MemoryStore());
        $positions = array_map(strval(...), array_keys($circuit->positions));
        $running = array_values(array_diff($positions, ['off']));
        $case = self::case($bench, array_fill_keys($running, 'fast'), [
            'look-filter' => 'clean',
            'look-wheel' => 'clean',
            'rotation' => 'forward',
        ]);
        $seen = [];
        for ($n = 0; $n < 25; ++$n) {
            $found = $engine->diagnose($circuit, $case, new DecisionSettings());
            if ($found->next === null) {
                break;
            }
            $key = $found->next->test->key;
            $seen[$key] = ($seen[$key] ?? 0) + 1;
            $value = str_starts_with($key, 'speed@') ? 'fast' : $bench->usual($key);
            $case = $case->with(new Reading("n-$n", $key, $value));
        }
        self::assertLessThan(25, $n, 'it ends');
        self::assertLessThanOrEqual(2, max([0, ...array_values($seen)]), 'nothing is asked for a third time');
        self::assertGreaterThanOrEqual(1, ($seen['look-filter'] ?? 0) + ($seen['look-wheel'] ?? 0));
    }

    public function testATestTouchesAPartAtItsEndsOrByWhatIsSeenOfIt(): void
    {
        $bench = new Bench();
        $tests = $bench->circuit->tests;
        self::assertTrue($bench->circuit->touches($tests['spin'], 'motor'));
        self::assertTrue($bench->circuit->touches($tests['fuse-out@4'], 'fuse'));
        self::assertFalse($bench->circuit->touches($tests['fuse-out@4'], 'motor'));
        self::assertFalse($bench->circuit->touches($tests['battery-volts@4'], 'pack'));
        self::assertTrue($bench->circuit->touches($tests['look-pack'], 'pack'));
        self::assertFalse($bench->circuit->touches($tests['look-pack'], 'selector'));
    }

    /**
     * Half of a pair was changed, and what it was paired with was another fault that has nothing to do with it: it comes
     * to light, and nobody says that nothing is wrong.
     */
    public function testASecondFaultThatHasNothingToDoWithTheFirstComesToLight(): void
    {
        $bench = new Bench(['positions' => '4']);
        $hypotheses = $bench->hypotheses;
        foreach (['tap-1-open#0' => 'tap-wire', 'resistor-1-open#0' => 'pack'] as $second => $part) {
            [$drag, $other] = [$hypotheses['motor-drag#4'], $hypotheses[$second]];
            $both = new Hypothesis('both', [...$drag->faults, ...$other->faults], ['motor', $part], 1.0, [
                ...$drag->adjustments,
                ...$other->adjustments,
            ]);
            $readings = $this->follow($bench, $both, [], []);
            $readings = $this->follow($bench, $other, $readings, ['motor']);
            $found = $bench->diagnose(new CaseFile($readings, ['motor']));
            self::assertSame($part, $found->suspects[0]->remedy, $second);
            self::assertGreaterThan(0.9, $found->suspects[0]->probability, $second);
        }
    }

    /**
     * @param list<Reading> $readings
     * @param list<string>  $replaced
     *
     * @return list<Reading> with the map of the machine as it is now, and what is proposed until nothing is
     */
    private function follow(Bench $bench, Hypothesis $state, array $readings, array $replaced): array
    {
        $episode = \count($replaced);
        $unit = new SimulatedUnit($bench->circuit, $state, new RandomSource(2), 0.0);
        foreach (array_keys($bench->circuit->positions) as $position) {
            $readings[] = $unit
                ->read("m$episode-$position", $bench->circuit->tests["speed@$position"], 0)
                ->inEpisode($episode);
        }
        for ($number = 0; $number < 15; ++$number) {
            $next = $bench->diagnose(new CaseFile($readings, $replaced))->next;
            if ($next === null) {
                break;
            }
            $readings[] = $unit->read("r$episode-$number", $next->test, 0)->inEpisode($episode);
        }

        return $readings;
    }
}

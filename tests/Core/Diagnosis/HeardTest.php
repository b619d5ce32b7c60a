<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Heard;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Inference\Likelihood;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Diagnosis\Inference\NoStore;
use Ispira\Core\Diagnosis\Inference\OneMachine;
use Ispira\Core\Diagnosis\Inference\Predictions;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\Reading;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

/**
 * What is heard of one machine is weighed together.
 */
final class HeardTest extends TestCase
{
    private const MACHINES = 120;

    public function testNothingHeardIsNoEvidence(): void
    {
        self::assertSame(0.0, Heard::together([]));
        self::assertSame([1.0, 2.0], Heard::and([1.0, 2.0], []));
    }

    public function testWhatIsTheSameForAllMachinesIsThat(): void
    {
        self::assertEqualsWithDelta(log(0.3), Heard::together(array_fill(0, 18, log(0.3))), 1e-12);
    }

    public function testTwoThingsThatNoMachineDoesBothAreUnlikely(): void
    {
        // Half of all machines do the one for certain, the other half the other.
        $one = array_map(static fn(int $place): float => log($place % 6 < 3 ? 1.0 : 1e-6), range(0, 17));
        $other = array_reverse($one);
        self::assertEqualsWithDelta(log(0.5), Heard::together($one), 1e-5);
        self::assertEqualsWithDelta(log(0.5), Heard::together($other), 1e-5);
        self::assertLessThan(log(1e-5), Heard::together(Heard::and($one, $other)));
        self::assertEqualsWithDelta(log(0.5), Heard::together(Heard::and($one, $one)), 1e-5);
    }

    public function testWhatIsHeardAgainCountsLess(): void
    {
        $once = array_fill(0, 18, log(0.2));
        self::assertEqualsWithDelta(1.5 * log(0.2), Heard::together(Heard::and($once, $once, 0.5)), 1e-12);
    }

    /**
     * Of each fault that may be worse or less bad, what a person makes of the last position that runs: against machines
     * that are all solved. Six machines cannot tell exactly when a fan no longer starts.
     */
    #[DataProviderExternal(Families::class, 'all')]
    public function testFewMachinesSayWhatManyDo(string $family): void
    {
        $bench = new Bench([], false, $family);
        $circuit = $bench->circuit;
        $sound = $bench->hypotheses[HypothesisList::NOTHING_WRONG];
        $heard = new Heard(new Predictions($circuit, $sound, new NoStore()));
        $running = array_filter(
            $circuit->tests,
            static fn(Test $t): bool => $t->probe->quantity === Quantity::Speed &&
                $circuit->setUps[$t->setUp]->atRest === [] &&
                $circuit->kindIn($t) === PositionKind::Runs,
        );
        $test = end($running);
        if ($test === false) {
            self::assertSame('control-output', $family, 'only coils have no speed in between');

            return;
        }
        $chance = new RandomSource(5);
        $machines = $degrees = [];
        for ($draw = 0; $draw < self::MACHINES; ++$draw) {
            $machines[] = OneMachine::drawn($circuit, $chance->normal(...));
            $degrees[] = [$chance->even(), $chance->even()];
        }
        $off = [];
        foreach ($bench->hypotheses as $key => $hypothesis) {
            if (!$hypothesis->hasDegree() || $hypothesis->comesAndGoes || \count($hypothesis->faults) > 1) {
                continue;
            }
            $solved = [];
            foreach ($machines as $draw => $machine) {
                $ratio = $machine->judged($test, $hypothesis->inDegree(...$degrees[$draw]), $sound);
                foreach (Judged::chances($circuit, $test, $ratio) as $answer => $share) {
                    $solved[$answer] = ($solved[$answer] ?? 0.0) + $share / self::MACHINES;
                }
            }
            foreach (array_keys($solved) as $answer) {
                $reading = new Reading("$key/$answer", $test->key, (string) $answer);
                $meant = Likelihood::ofChoice($solved, (string) $answer, $reading->slip())[0];
                $off[$key] = max($off[$key] ?? 0.0, abs($heard->chance($hypothesis, $reading, $test)[0] - $meant));
            }
        }
        self::assertNotSame([], $off);
        arsort($off);
        self::assertLessThan(0.06, array_sum($off) / \count($off), $family);
        self::assertLessThan(0.4, current($off), (string) key($off));
    }

    /** To the last bit, whatever was weighed before it, and in which order: a device and the server say the same. */
    #[DataProviderExternal(Families::class, 'all')]
    public function testWhatWasKeptWeighsTheSame(string $family): void
    {
        $bench = new Bench([], false, $family);
        $sound = $bench->hypotheses[HypothesisList::NOTHING_WRONG];
        $store = new MemoryStore();
        $tests = array_filter($bench->circuit->tests, static fn(Test $t): bool => !$t->offered);
        $weighed = static function (Predictions $predictions, array $hypotheses) use ($tests, $bench): array {
            $heard = new Heard($predictions);
            $logs = [];
            foreach ($hypotheses as $key => $hypothesis) {
                foreach ($tests as $test) {
                    if ($test->probe->quantity !== Quantity::Speed) {
                        continue;
                    }
                    foreach (Judged::answers($bench->circuit, $test) as $answer) {
                        $reading = new Reading("$test->key/$answer", $test->key, $answer);
                        $logs["$key|$reading->id"] = [
                            $heard->chance($hypothesis, $reading, $test),
                            $heard->logs($hypothesis, $reading, $test),
                        ];
                    }
                }
            }
            $predictions->keep();
            ksort($logs);

            return $logs;
        };
        $some = \array_slice($bench->hypotheses, 0, 40, true);
        $anew = $weighed(new Predictions($bench->circuit, $sound, new NoStore()), $some);
        $weighed(new Predictions($bench->circuit, $sound, $store), array_reverse($some, true));
        self::assertSame($anew, $weighed(new Predictions($bench->circuit, $sound, $store), $some));
    }

    /** Stuck too low to run anything it would stand at rest as well: no machine does what was heard. */
    public function testACommandThatRunsTheFanAtRestIsNotToBlameForAFanThatIsDead(): void
    {
        $bench = new Bench([], false, 'five-wire-fan');
        $found = $bench->diagnose(
            new CaseFile(
                Bench::case(['off' => 'runs', 'low' => 'dead', 'medium' => 'dead', 'high' => 'dead'])->readings,
            ),
        );
        $odds = $found->evidence->belief->byHypothesis();
        self::assertLessThan(0.03, $odds['command-stuck#0']);
        self::assertGreaterThan(3.0 * $odds['command-stuck#0'], $odds['bus-dead#0']);
    }
}

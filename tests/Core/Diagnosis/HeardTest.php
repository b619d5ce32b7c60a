<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Heard;
use PHPUnit\Framework\TestCase;

/**
 * What is heard of one machine is weighed together.
 */
final class HeardTest extends TestCase
{
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

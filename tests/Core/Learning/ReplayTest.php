<?php

declare(strict_types=1);

namespace Tests\Core\Learning;

use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Job\JobState;
use Ispira\Core\Learning\Replay;
use PHPUnit\Framework\TestCase;

final class ReplayTest extends TestCase
{
    public function testEveryVerdictThatDidNotHoldIsGoneThrough(): void
    {
        $jobs = PastJobs::inVain();
        self::assertGreaterThan(3, \count($jobs));
        $told = 0;
        foreach ($jobs as $job) {
            foreach (Replay::vain($job) as $replaced) {
                $shown = $this->replay($job)->of($replaced);
                self::assertNotSame('', $shown->because);
                self::assertNotNull($shown->truth);
                self::assertFalse($shown->supposed, 'a closed and proven job says what it was');
                self::assertNotSame($shown->chosen, $shown->truth);
                self::assertNotSame('', $shown->lesson);
                self::assertSame(
                    \count(array_filter($job->case->standing(), fn($one): bool => $one->episode === 0)),
                    $this->readingsIn($shown->steps, $job),
                );
                foreach ($shown->steps as $step) {
                    self::assertGreaterThanOrEqual(0.0, $step->chosen);
                    self::assertLessThanOrEqual(1.0 + 1e-9, $step->chosen + $step->truth);
                }
                foreach ($shown->told as $one) {
                    self::assertNotSame($one->underChosen, $one->underTruth, "$one->key tells nothing apart");
                    self::assertNotContains(
                        $one->key,
                        array_map(
                            static fn($reading): string => $reading->test,
                            array_filter($job->case->standing(), static fn($reading): bool => $reading->episode === 0),
                        ),
                    );
                }
                $told += $shown->told === [] ? 0 : 1;
            }
        }
        self::assertGreaterThan(0, $told);
    }

    public function testWhatMisledIsTheReadingThatSpokeMostForTheWrongPart(): void
    {
        foreach (PastJobs::inVain() as $job) {
            foreach (Replay::vain($job) as $replaced) {
                $shown = $this->replay($job)->of($replaced);
                if ($shown->misled === null) {
                    continue;
                }
                $step = $shown->steps[$shown->misled];
                self::assertLessThan(0.0, $step->speaks);
                foreach ($shown->steps as $other) {
                    self::assertTrue($other->chosen < 0.05 || $other->speaks >= $step->speaks);
                }
            }
        }
    }

    private function replay(JobState $job): Replay
    {
        return new Replay($job, new Engine(new MemoryStore()), new DecisionSettings());
    }

    /** @param list<\Ispira\Core\Learning\Shown\ReplayStep> $steps */
    private function readingsIn(array $steps, JobState $job): int
    {
        $ofMap = \count(
            array_filter(
                $job->case->standing(),
                static fn($one): bool => $one->episode === 0 && !$job->circuit->tests[$one->test]->offered,
            ),
        );

        return \count($steps) - ($ofMap > 0 ? 1 : 0) + $ofMap;
    }
}

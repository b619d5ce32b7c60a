<?php

declare(strict_types=1);

namespace Tests\Core\Learning;

use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Money;
use Ispira\Core\Learning\JobResult;
use Ispira\Core\Learning\ProvenJob;
use Ispira\Core\Learning\WorkingHours;
use PHPUnit\Framework\TestCase;

final class JobResultTest extends TestCase
{
    public function testEveryClosedJobSaysWhatCameOfIt(): void
    {
        $right = 0;
        $settings = new DecisionSettings();
        foreach (PastJobs::all() as $number => $job) {
            $result = JobResult::of($job, $settings, new WorkingHours());
            self::assertNotNull($result, "job $number");
            self::assertCount(\count($job->replacements), $result->verdicts);
            self::assertSame(!$result->isInVain(), $result->rightFirst, "job $number");
            self::assertGreaterThanOrEqual(0.0, $result->minutes);
            $least = $settings->labour($result->minutes);
            foreach ($result->verdicts as $one) {
                if ($one->held === false) {
                    $least += (new Money($job->circuit, $settings))->ofRemedy($one->remedy) + $settings->comeBack();
                }
                self::assertTrue($one->stated === null || ($one->stated > 0.5 && $one->stated <= 1.0));
            }
            self::assertEqualsWithDelta($least, $result->avoidable, 1e-6);
            $right += $result->rightFirst === true ? 1 : 0;
        }
        self::assertGreaterThan(0.8 * \count(PastJobs::all()), $right);
    }

    public function testWhatHeldIsProvenWithTheFaultsOfItsVerdict(): void
    {
        $proven = 0;
        foreach (PastJobs::all() as $job) {
            $one = ProvenJob::from($job);
            if ($one === null) {
                continue;
            }
            ++$proven;
            if ($job->replacements === []) {
                self::assertSame('none', $one->remedy);
                continue;
            }
            foreach ($job->replacements as $replaced) {
                self::assertSame(
                    $job->held($replaced->id) !== false,
                    array_diff(explode('+', $replaced->remedy), explode('+', $one->remedy)) === [],
                );
            }
            self::assertTrue($one->faults === [] || abs(array_sum($one->faults) - 1.0) < 1e-9);
        }
        self::assertGreaterThan(50, $proven);
    }

    public function testWhatIsNotProvenDoesNotCount(): void
    {
        $number = null;
        foreach (PastJobs::all() as $n => $job) {
            $number ??= $job->replacements !== [] && ProvenJob::from($job) !== null ? $n : null;
        }
        self::assertNotNull($number);
        foreach (
            [
                ['outcome' => 'watched', 'dueOn' => '2026-12-24'],
                ['outcome' => 'temporary', 'dueOn' => '2026-12-24'],
                ['outcome' => 'not-repaired'],
                ['stage' => 'proof', 'outcome' => null, 'closedAt' => null],
                ['kind' => 'adjustment'],
            ]
            as $change
        ) {
            self::assertNull(ProvenJob::from(PastJobs::changed($number, $change)), json_encode($change) ?: '');
        }
        self::assertNull(
            JobResult::of(
                PastJobs::changed($number, ['outcome' => 'cancelled']),
                new DecisionSettings(),
                new WorkingHours(),
            ),
        );
    }
}

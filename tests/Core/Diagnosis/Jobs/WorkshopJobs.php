<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\StatedOdds;
use Ispira\Core\Diagnosis\Inference\Judged;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Diagnosis\Bench;

/**
 * Jobs written by hand, with values as meters show them: none of them was computed.
 */
abstract class WorkshopJobs extends TestCase
{
    /** Permutations of the readings may move the odds by this much. */
    private const ONE_POINT = 0.01;

    abstract protected static function family(): string;

    /** @return iterable<string, array{0: WorkshopJob}> */
    abstract public static function jobs(): iterable;

    #[DataProvider('jobs')]
    public function testTheRightPartLeadsNoReadingIsRefusedAndOrderTellsNothing(WorkshopJob $job): void
    {
        $diagnosis = self::diagnosed($job, false);
        $told = json_encode(\array_slice(self::odds($diagnosis), 0, 4), \JSON_THROW_ON_ERROR);
        self::assertContains($job->part, explode('+', $diagnosis->suspects[0]->remedy), $told);
        self::assertGreaterThan(StatedOdds::of($job->part, $job->least), self::oddsWith($job->part, $diagnosis), $told);
        foreach ($job->innocent as $remedy) {
            self::assertLessThan(0.07, self::oddsWith($remedy, $diagnosis), "$remedy in $told");
        }
        self::assertNull($diagnosis->misfit, 'every reading is one that such a machine shows');
        if ($diagnosis->verdict !== null) {
            self::assertContains($job->part, explode('+', $diagnosis->verdict->suspect->remedy));
        }
        $odds = self::odds($diagnosis);
        foreach (self::odds(self::diagnosed($job, true)) as $remedy => $turned) {
            self::assertEqualsWithDelta($odds[$remedy] ?? 0.0, $turned, self::ONE_POINT, (string) $remedy);
        }
    }

    private static function diagnosed(WorkshopJob $job, bool $turned): Diagnosis
    {
        $bench = new Bench($job->machine, false, static::family());
        $circuit = $bench->circuit;
        foreach ($job->readings as $test => $value) {
            $answers = Judged::answers($circuit, $circuit->tests[$test]);
            self::assertTrue(
                $answers === [] ? !\is_string($value) : \in_array($value, $answers, true),
                "$test: $value",
            );
        }
        $case = Bench::case(array_combine(array_keys($circuit->positions), explode(' ', $job->heard)), $job->readings);

        return $bench->diagnose($turned ? $case->withReadings(array_reverse($case->readings)) : $case);
    }

    /** Odds that a part is at fault, alone or together with another. */
    private static function oddsWith(string $part, Diagnosis $diagnosis): float
    {
        $odds = 0.0;
        foreach ($diagnosis->suspects as $suspect) {
            $odds += \in_array($part, explode('+', $suspect->remedy), true) ? $suspect->probability : 0.0;
        }

        return $odds;
    }

    /** @return array<string, float> by remedy */
    private static function odds(Diagnosis $diagnosis): array
    {
        return array_column($diagnosis->suspects, 'probability', 'remedy');
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Job\JobState;
use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Pages\Shown\ProcedureHead;
use Ispira\Core\Pages\Shown\RunListed;
use Ispira\Core\Pages\Shown\RunShown;
use Ispira\Core\Procedure\Procedure;
use Ispira\Core\Procedure\StartedRun;

/**
 * Procedures and their runs as the pages show them.
 */
final class ProcedurePages
{
    private function __construct() {}

    /**
     * @param array<string, Procedure> $procedures
     * @param list<string>             $own     keys of those in the workshop's own words
     * @param list<RunListed>          $running newest first
     * @param string|null              $family  of the job; null for those of all
     * @param bool                     $lead    whether who looks may write some
     */
    public static function all(
        array $procedures,
        array $own,
        array $running,
        ?JobHead $job,
        ?string $family,
        bool $lead,
    ): ProceduresPage {
        $serving = array_filter(
            $procedures,
            static fn(Procedure $one): bool => $family === null || $one->serves($family),
        );

        return new ProceduresPage(
            procedures: array_values(
                array_map(
                    static fn(Procedure $one): ProcedureHead => self::head(
                        $one,
                        \in_array($one->key, $own, true),
                        array_values(array_filter($running, static fn(RunListed $run) => $run->key === $one->key)),
                    ),
                    $serving,
                ),
            ),
            running: $running,
            job: $job,
            lead: $lead,
        );
    }

    /**
     * @param bool $own     whether its text is the workshop's own
     * @param bool $shipped whether one of that key ships
     * @param bool $lead    whether who looks may change it
     */
    public static function procedure(
        Procedure $procedure,
        ?JobHead $job,
        bool $own = false,
        bool $shipped = true,
        bool $lead = false,
    ): ProcedurePage {
        return new ProcedurePage(
            procedure: $procedure,
            asksForCapacitor: $procedure->asksForCapacitor(),
            own: $own,
            shipped: $shipped,
            lead: $lead,
            job: $job,
        );
    }

    /** @param list<RunListed> $runs of it, newest first */
    private static function head(Procedure $procedure, bool $own, array $runs): ProcedureHead
    {
        $seconds = array_sum(array_map(static fn($step): int => $step->wait->least ?? 0, $procedure->steps));

        return new ProcedureHead(
            key: $procedure->key,
            title: $procedure->title,
            summary: $procedure->summary,
            minutes: (int) ceil($seconds / 60),
            steps: \count($procedure->steps),
            own: $own,
            worked: \count($runs),
            last: $runs[0] ?? null,
        );
    }

    public static function listed(StartedRun $started, ?JobHead $job): RunListed
    {
        $run = $started->run;

        return new RunListed(
            id: $started->id,
            key: $started->key,
            title: $run->procedure->title,
            job: $job === null ? null : "$job->number $job->unit",
            at: $started->startedAt,
            state: match (true) {
                $run->aborted !== null => 'broken off',
                $run->isFinished() => 'done',
                default => 'running',
            },
        );
    }

    /** @return list<RunListed> those of a job */
    public static function ofJob(JobState $job): array
    {
        return array_map(static fn(StartedRun $one): RunListed => self::listed($one, $job->head), $job->runs);
    }

    /** @param float $now by the clock that gave the moments of the run */
    public static function run(StartedRun $started, float $now, ?JobHead $job): RunPage
    {
        $run = $started->run;

        return new RunPage(
            run: new RunShown(
                id: $started->id,
                procedure: $run->procedure,
                step: $run->step,
                since: $run->since,
                now: $now,
                remaining: $run->remaining($now),
                late: $run->isLate($now),
                finished: $run->isFinished(),
                aborted: $run->aborted,
                startedAt: $started->startedAt,
            ),
            job: $job,
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Procedures;

use App\Jobs\JobView;
use App\Models\ProcedureRun;
use Ispira\Core\Pages\Shown\RunListed;
use Ispira\Core\Procedure\MarkKind;
use Ispira\Core\Procedure\Procedure;
use Ispira\Core\Procedure\Run;

/**
 * Procedures and their runs as the pages show them.
 */
final class RunView
{
    public static function head(Procedure $procedure, bool $own): ProcedureHead
    {
        $seconds = array_sum(array_map(static fn($step): int => $step->wait->least ?? 0, $procedure->steps));

        return new ProcedureHead(
            key: $procedure->key,
            title: $procedure->title,
            summary: $procedure->summary,
            minutes: (int) ceil($seconds / 60),
            steps: count($procedure->steps),
            own: $own,
        );
    }

    public static function listed(ProcedureRun $stored): RunListed
    {
        $run = $stored->run();

        return new RunListed(
            id: $stored->id,
            title: $run->procedure->title,
            job: $stored->job === null ? null : JobView::number($stored->job) . ' ' . $stored->job->unit->name,
            at: $stored->started_at->toIso8601String(),
            state: match (true) {
                $run->aborted !== null => 'broken off',
                $run->isFinished() => 'done',
                default => 'running',
            },
        );
    }

    public static function of(ProcedureRun $stored, float $now): RunShown
    {
        $run = $stored->run();

        return new RunShown(
            id: $stored->id,
            procedure: $run->procedure,
            step: $run->step,
            since: $run->since,
            now: $now,
            remaining: $run->remaining($now),
            late: $run->isLate($now),
            finished: $run->isFinished(),
            aborted: $run->aborted,
            times: self::times($run),
            startedAt: $stored->started_at->toIso8601String(),
        );
    }

    /** @return list<StepTime> how long each step that was done took */
    private static function times(Run $run): array
    {
        $times = [];
        $before = null;
        foreach ($run->marks as $mark) {
            if ($mark->kind === MarkKind::Done) {
                $times[] = new StepTime(step: $mark->step, seconds: $before === null ? 0.0 : $mark->at - $before);
            }
            $before = $mark->at;
        }

        return $times;
    }
}

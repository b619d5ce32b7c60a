<?php

declare(strict_types=1);

namespace App\Procedures;

use App\Jobs\JobView;
use App\Models\ProcedureRun;
use Ispira\Core\Procedure\MarkKind;
use Ispira\Core\Procedure\Procedure;
use Ispira\Core\Procedure\ProcedureFormat;
use Ispira\Core\Procedure\Run;

/**
 * Procedures and their runs as the pages show them.
 */
final class RunView
{
    /** @return array{key: string, title: string, summary: string, minutes: int, steps: int} */
    public static function head(Procedure $procedure): array
    {
        $seconds = array_sum(array_map(static fn($step): int => $step->wait->least ?? 0, $procedure->steps));

        return [
            'key' => $procedure->key,
            'title' => $procedure->title,
            'summary' => $procedure->summary,
            'minutes' => (int) ceil($seconds / 60),
            'steps' => count($procedure->steps),
        ];
    }

    /** @return array{id: string, title: string, job: string|null, at: string, state: string} */
    public static function listed(ProcedureRun $stored): array
    {
        $run = $stored->run();

        return [
            'id' => $stored->id,
            'title' => $run->procedure->title,
            'job' => $stored->job === null ? null : JobView::number($stored->job) . ' ' . $stored->job->unit->name,
            'at' => $stored->started_at->toIso8601String(),
            'state' => match (true) {
                $run->aborted !== null => 'broken off',
                $run->isFinished() => 'done',
                default => 'running',
            },
        ];
    }

    /** @return array<string, mixed> */
    public static function of(ProcedureRun $stored, float $now): array
    {
        $run = $stored->run();
        $text = ProcedureFormat::toArray($run->procedure);

        return [
            'id' => $stored->id,
            'procedure' => $text,
            'step' => $run->step,
            'since' => $run->since,
            'now' => $now,
            'remaining' => $run->remaining($now),
            'late' => $run->isLate($now),
            'finished' => $run->isFinished(),
            'aborted' => $run->aborted,
            'times' => self::times($run),
            'startedAt' => $stored->started_at->toIso8601String(),
        ];
    }

    /** @return list<array{step: int, seconds: float}> how long each step that was done took */
    private static function times(Run $run): array
    {
        $times = [];
        $before = null;
        foreach ($run->marks as $mark) {
            if ($mark->kind === MarkKind::Done) {
                $times[] = ['step' => $mark->step, 'seconds' => $before === null ? 0.0 : $mark->at - $before];
            }
            $before = $mark->at;
        }

        return $times;
    }
}

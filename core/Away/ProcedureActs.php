<?php

declare(strict_types=1);

namespace Ispira\Core\Away;

use Ispira\Core\Acts\ChargeTold;
use Ispira\Core\Job\JobState;
use Ispira\Core\Pages\Workplace;
use Ispira\Core\Procedure\Marked;
use Ispira\Core\Procedure\MarkKind;
use Ispira\Core\Procedure\NotYet;
use Ispira\Core\Procedure\Run;
use Ispira\Core\Procedure\StartedRun;
use Ispira\Core\Repair\Ledger\EntryRefused;

/**
 * Procedures that are begun and worked away from the server.
 *
 * Waits go by what the device counted since the step came up on it, never by the time of day that it shows; the server
 * asks its own clock again when it hears of them.
 */
final readonly class ProcedureActs
{
    public function __construct(private Workplace $place) {}

    /** @throws EntryRefused */
    public function apply(JobState $job, Done $done): Outcome
    {
        [$what, $key, $act] = explode('/', $done->act, 3) + ['', '', ''];

        return $what === 'procedures' ? $this->begun($job, $done, $key) : self::marked($job, $done, $key, $act);
    }

    private function begun(JobState $job, Done $done, string $key): Outcome
    {
        $procedure = $this->place->procedures()[$key] ?? null;
        if ($procedure === null) {
            return Outcome::waits($job);
        }
        if ($job->run($done->id()) === null) {
            $run = Run::of(ChargeTold::applied($procedure, $done->given), 0.0, []);
            $job = $job->with(runs: [...$job->runs, new StartedRun($done->id(), $key, $done->at, $run)]);
        }

        return new Outcome($job, "runs/{$done->id()}");
    }

    private static function marked(JobState $job, Done $done, string $id, string $act): Outcome
    {
        $started = $job->run($id);
        if ($started === null) {
            return Outcome::waits($job);
        }
        $mark = $act === 'done' ? self::done($started->run, $done) : self::other($started->run, $done);
        $after = $mark === null ? $started : $started->with($mark);

        return new Outcome(
            $job->with(
                runs: array_map(static fn(StartedRun $one): StartedRun => $one->id === $id ? $after : $one, $job->runs),
            ),
            "runs/$id",
        );
    }

    private static function done(Run $run, Done $done): Marked
    {
        $waited = max(0.0, $done->number('waited'));
        try {
            return $run->done(
                (int) $done->number('step'),
                $run->after($waited),
                $done->flag('seen'),
                $done->flag('confirmed'),
                $waited,
            );
        } catch (NotYet $notYet) {
            throw new EntryRefused('step', $notYet->getMessage());
        }
    }

    private static function other(Run $run, Done $done): ?Marked
    {
        $kind = MarkKind::tryFrom($done->text('kind'));
        if ($kind === null || $kind === MarkKind::Done || $run->current() === null) {
            return null;
        }
        if ($kind === MarkKind::Aborted && trim($done->text('note')) === '') {
            throw new EntryRefused('note', 'Say why it is broken off.');
        }
        $note = $done->text('note');

        return new Marked($kind, $run->step, $run->after(0.0), $note === '' ? null : $note, 0.0);
    }
}

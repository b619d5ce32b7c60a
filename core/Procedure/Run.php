<?php

declare(strict_types=1);

namespace Ispira\Core\Procedure;

/**
 * A procedure that is being worked: where it stands follows from what was noted, and when.
 */
final readonly class Run
{
    /** What the server's clock may differ from the time that a device counted, in seconds. */
    private const SLACK = 5.0;

    /**
     * @param float        $started   when it began, by the clock that also gives "now"
     * @param float|null   $heard     when the server heard of that, where a device began it without
     * @param int          $step      number of the step that is up; the count of steps when all are done
     * @param float        $since     when that step came up, as seconds of the clock that also gives "now"
     * @param string|null  $aborted   why it was broken off
     * @param list<Marked> $marks     what was noted of the steps before, in order
     * @param float        $told      when something was last noted with the server in reach
     * @param float        $claimed   seconds that devices have waited since then without it
     */
    private function __construct(
        public Procedure $procedure,
        public float $started,
        public ?float $heard,
        public int $step,
        public float $since,
        public ?string $aborted,
        public array $marks,
        private float $told,
        private float $claimed,
    ) {}

    /**
     * @param list<Marked> $marks in the order noted
     * @param float|null   $heard when the server heard of its begin, where a device began it without; null for at once
     */
    public static function of(Procedure $procedure, float $started, array $marks, ?float $heard = null): self
    {
        [$step, $since, $aborted, $told, $claimed] = [0, $heard ?? $started, null, $started, 0.0];
        foreach ($marks as $mark) {
            [$told, $claimed] = $mark->waited === null ? [$mark->at, 0.0] : [$told, $claimed + $mark->waited];
            if ($mark->kind === MarkKind::Aborted) {
                $aborted = $mark->note ?? '';
            } elseif ($mark->kind === MarkKind::Done) {
                ++$step;
                $since = $mark->at;
            } elseif ($mark->kind === MarkKind::Again) {
                $since = $mark->at;
            }
        }

        return new self(
            $procedure,
            $started,
            $heard,
            min($step, \count($procedure->steps)),
            $since,
            $aborted,
            $marks,
            $told,
            $claimed,
        );
    }

    public function current(): ?Step
    {
        return $this->aborted === null ? $this->procedure->steps[$this->step] ?? null : null;
    }

    public function isFinished(): bool
    {
        return $this->aborted === null && $this->step >= \count($this->procedure->steps);
    }

    /** Seconds that still have to pass before the step can be done. */
    public function remaining(float $now): float
    {
        return max(0.0, ($this->current()?->wait->least ?? 0) - ($now - $this->since));
    }

    /** Whether the step has taken longer than it may. */
    public function isLate(float $now): bool
    {
        $most = $this->current()?->wait?->most;

        return $most !== null && $now - $this->since > $most;
    }

    /**
     * Says that the step that is up was done.
     *
     * @param int  $step      number of the step that the user saw, so that a second press does not do the next
     * @param bool $seen      whether what was expected was seen
     * @param bool $confirmed for a step that cannot be undone
     * @param float|null $waited  seconds that a device without the server counted since the step came up, by a clock that
     *     only goes forward; null for a step that was done with the server in reach
     *
     * @throws NotYet with the reason in words
     */
    public function done(int $step, float $now, bool $seen, bool $confirmed, ?float $waited = null): Marked
    {
        $current = $this->current();
        if ($current === null || $step !== $this->step) {
            throw new NotYet('This step is not up any more: the page shows where the procedure stands.');
        }
        $remaining = $waited === null ? $this->remaining($now) : $this->remainingAfter($waited, $now);
        if ($remaining > 0.0) {
            throw new NotYet('Not yet: ' . self::clock($remaining) . " to go. {$current->wait?->reason}");
        }
        if ($current->confirm !== null && !$confirmed) {
            throw new NotYet("This cannot be undone. $current->confirm");
        }
        if ($current->expect !== null && !$seen) {
            throw new NotYet(
                $current->otherwise ?? 'Without that the procedure does not go on: break it off, or do the step again.',
            );
        }

        return new Marked(MarkKind::Done, $step, $now, waited: $waited);
    }

    /** Seconds that still have to pass, where a device counted some: no more of them than can have gone by at all. */
    private function remainingAfter(float $waited, float $now): float
    {
        $possible = $now - $this->told - $this->claimed + self::SLACK;

        return max(0.0, ($this->current()?->wait->least ?? 0) - min($waited, $possible));
    }

    /** The moment that follows when so many seconds were waited, for a device that has no other clock. */
    public function after(float $waited): float
    {
        return $this->told + $this->claimed + $waited;
    }

    /** Minutes and seconds, as "4:05". */
    public static function clock(float $seconds): string
    {
        $whole = (int) ceil($seconds);

        return \sprintf('%d:%02d', intdiv($whole, 60), $whole % 60);
    }
}

<?php

declare(strict_types=1);

namespace Ispira\Core\Procedure;

/**
 * A procedure that is being worked: where it stands follows from what was noted, and when.
 */
final readonly class Run
{
    /**
     * @param int          $step      number of the step that is up; the count of steps when all are done
     * @param float        $since     when that step came up, as seconds of the clock that also gives "now"
     * @param string|null  $aborted   why it was broken off
     * @param list<Marked> $marks     what was noted of the steps before, in order
     */
    private function __construct(
        public Procedure $procedure,
        public int $step,
        public float $since,
        public ?string $aborted,
        public array $marks,
    ) {}

    /** @param list<Marked> $marks in the order noted */
    public static function of(Procedure $procedure, float $started, array $marks): self
    {
        [$step, $since, $aborted] = [0, $started, null];
        foreach ($marks as $mark) {
            if ($mark->kind === MarkKind::Aborted) {
                $aborted = $mark->note ?? '';
            } elseif ($mark->kind === MarkKind::Done) {
                ++$step;
                $since = $mark->at;
            } elseif ($mark->kind === MarkKind::Again) {
                $since = $mark->at;
            }
        }

        return new self($procedure, min($step, \count($procedure->steps)), $since, $aborted, $marks);
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
     *
     * @throws NotYet with the reason in words
     */
    public function done(int $step, float $now, bool $seen, bool $confirmed): Marked
    {
        $current = $this->current();
        if ($current === null || $step !== $this->step) {
            throw new NotYet('This step is not up any more: the page shows where the procedure stands.');
        }
        $remaining = $this->remaining($now);
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

        return new Marked(MarkKind::Done, $step, $now);
    }

    /** Minutes and seconds, as "4:05". */
    public static function clock(float $seconds): string
    {
        $whole = (int) ceil($seconds);

        return \sprintf('%d:%02d', intdiv($whole, 60), $whole % 60);
    }
}

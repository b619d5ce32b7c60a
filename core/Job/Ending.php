<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;
use Ispira\Core\Repair\Proof\Complaint;
use Ispira\Core\Repair\Work\JobOutcome;

/**
 * What each end of a job asks for.
 */
final readonly class Ending
{
    /** Passes of the proof that have to be right where a fault came and went. */
    private const PASSES = 3;

    private JobOutcome $outcome;

    /**
     * @param Entry $closing of the kind "closed"
     * @param list<array{title: string, always: bool, complained: bool}> $unread checks of the repair that were not
     *     read: their being left out needs a reason, or is no way out where they are always due
     */
    public function __construct(private JobState $job, private Entry $closing, private array $unread)
    {
        $this->outcome = JobOutcome::from($closing->text('outcome'));
    }

    /** @throws EntryRefused with what is missing, at its field */
    public function check(): void
    {
        $never = $this->job->repairSheet->never;
        if ($this->outcome === JobOutcome::Cancelled) {
            $this->isUntouched();

            return;
        }
        if (!\in_array($this->outcome, $this->job->head->kind->outcomes($never->outOfService), true)) {
            throw new EntryRefused(
                'outcome',
                $this->outcome === JobOutcome::NotRepaired && $never->outOfService
                    ? "$never->because End it as not in service, or as handed to a licensed person."
                    : 'A job of this kind does not end like that.',
            );
        }
        if ($this->job->head->kind->provesBeforeIt($this->outcome)) {
            $this->isProved();
        }
        $this->isLookedInto();
        $this->showsAChange();
        if ($this->outcome === JobOutcome::Repaired) {
            $this->isForGood();
        }
        if ($this->outcome === JobOutcome::Adjusted && $this->job->ledger->latest(EntryKind::Adjusted) === null) {
            throw new EntryRefused('outcome', 'Note what was adjusted, from what to what, first.');
        }
    }

    /** Whether that end says that what was replaced has cured it. */
    public function held(): bool
    {
        return \in_array($this->outcome, [JobOutcome::Repaired, JobOutcome::Watched, JobOutcome::Temporary], true);
    }

    /** The day on which it has to be looked at again, as YYYY-MM-DD. */
    public function dueOn(): ?string
    {
        $day = $this->closing->text('dueOn');
        $undo = $this->job->ledger->latest(EntryKind::Adjusted)?->text('undoOn') ?? '';

        return $day !== '' ? $day : ($undo !== '' ? $undo : null);
    }

    private function isProved(): void
    {
        $never = $this->job->repairSheet->never;
        $this->job->isProved() ||
            throw new EntryRefused(
                'outcome',
                'First run every position again and record what it does: only then can it close like that.',
            );
        $always = array_column(array_filter($this->unread, static fn(array $one): bool => $one['always']), 'title');
        $always === [] ||
            throw new EntryRefused(
                'outcome',
                'Not measured and right: ' .
                    implode('; ', $always) .
                    '. No note replaces that. ' .
                    ($never->outOfService && !$this->onlyComplained()
                        ? "$never->because Measure it, or end the job as not in service, or as handed to a " .
                            'licensed person.'
                        : 'Measure it or ask it again, or put it back as it was.'),
            );
        $this->unread === [] ||
            $this->closing->text('reason') !== '' ||
            throw new EntryRefused(
                'reason',
                'Not measured: ' .
                    implode('; ', array_column($this->unread, 'title')) .
                    '. Measure it, or say why it is left out.',
            );
    }

    /** What was worked on is proved, or ends in one of the ways that say in which state it is left. */
    private function isUntouched(): void
    {
        $touched =
            $this->job->lastReplaced() !== null ||
            $this->job->ledger->all(
                EntryKind::Down,
                EntryKind::WireMoved,
                EntryKind::Adjusted,
                EntryKind::SwitchesSet,
            ) !== [];
        $touched &&
            throw new EntryRefused(
                'outcome',
                'The machine has been worked on already: a job is cancelled only before that. Prove it, or close it ' .
                    'in a way that says how the machine is left.',
            );
    }

    private function onlyComplained(): bool
    {
        return array_filter($this->unread, static fn(array $one): bool => $one['always'] && !$one['complained']) === [];
    }

    /** Water or another cause that the findings point to has to be looked into before a repair is called one. */
    private function isLookedInto(): void
    {
        $before = $this->job->stillOpen()->beforeClosing();
        if ($before !== [] && \in_array($this->outcome, [JobOutcome::Repaired, JobOutcome::ProvenGood], true)) {
            throw new EntryRefused(
                'outcome',
                'Not looked into yet: ' .
                    implode('; ', $before) .
                    '. Settle it under "Still open" with a name, or close the job as to be watched.',
            );
        }
    }

    /** A map that was right before as well proves nothing: somebody has to say how the complaint was seen to be gone. */
    private function showsAChange(): void
    {
        $proves = !(new Complaint($this->job->circuit, $this->job->case))->showedNothing();
        if (
            $this->outcome === JobOutcome::Repaired &&
            !$this->job->head->intermittent &&
            !$proves &&
            $this->closing->text('reason') === ''
        ) {
            throw new EntryRefused(
                'reason',
                'Every position was right before as well, so the map proves nothing: say how you saw that the ' .
                    'complaint is gone.',
            );
        }
    }

    /** What is called repaired was shown by a reading, holds as often as it failed, and is no makeshift. */
    private function isForGood(): void
    {
        $last = $this->job->lastReplaced();
        if ($last?->wasByElimination() === true) {
            throw new EntryRefused(
                'outcome',
                'The part was named because nothing else was left, not because a reading showed it: close it as ' .
                    'repaired, to be watched, with a day.',
            );
        }
        if ($this->job->head->intermittent && $this->job->passesOfProof() < self::PASSES) {
            throw new EntryRefused(
                'outcome',
                'It came and went: ' .
                    self::PASSES .
                    ' passes have to be right, each with what used to bring it on, or close it as repaired, to be ' .
                    'watched, with a day.',
            );
        }
        $choice = $this->job->ledger->latest(EntryKind::Choice);
        if (
            $last?->temporaryUntil !== null ||
            \in_array('temporary', [$choice?->text('kind'), $choice?->text('lasting')], true)
        ) {
            throw new EntryRefused(
                'outcome',
                'It is only bridged: close it as temporary, with the day on which the part is due.',
            );
        }
    }
}

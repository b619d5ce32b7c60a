<?php

declare(strict_types=1);

namespace App\Repair;

use App\Models\Job;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\MapKind;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;
use Ispira\Core\Repair\Proof\Complaint;
use Ispira\Core\Repair\Work\JobOutcome;

/**
 * Ends a job, when everything that this end asks for is there.
 */
final readonly class CloseJob
{
    /** Passes of the proof that have to be right where a fault came and went. */
    private const PASSES = 3;

    public function __construct(private RecordEntry $record) {}

    /**
     * @param list<array{title: string, always: bool, complained: bool}> $unread checks of the repair that were not read: their being left
     *     out needs a reason, or is no way out where they are always due
     *
     * @throws EntryRefused
     */
    public function __invoke(User $user, Job $job, Entry $closing, array $unread): void
    {
        DB::transaction(function () use ($user, $job, $closing, $unread): void {
            $locked = Job::query()->whereKey($job->id)->lockForUpdate()->firstOrFail();
            if ($locked->stage === JobStage::Closed) {
                return;
            }
            $outcome = JobOutcome::from($closing->text('outcome'));
            $ledger = $locked->ledger();
            $never = $locked->repairSheet()->never;
            if (!in_array($outcome, $locked->kind->outcomes($never->outOfService), true)) {
                throw new EntryRefused(
                    'outcome',
                    $outcome === JobOutcome::NotRepaired && $never->outOfService
                        ? "$never->because End it as not in service, or as handed to a licensed person."
                        : 'A job of this kind does not end like that.',
                );
            }
            if ($locked->kind->provesBeforeIt($outcome)) {
                self::isProved($locked) ||
                    throw new EntryRefused(
                        'outcome',
                        'First run every position again and record what it does: only then can it close like that.',
                    );
                $always = array_column(array_filter($unread, static fn(array $one): bool => $one['always']), 'title');
                $always === [] ||
                    throw new EntryRefused(
                        'outcome',
                        'Not measured and right: ' .
                            implode('; ', $always) .
                            '. No note replaces that. ' .
                            ($never->outOfService && !self::onlyComplained($unread)
                                ? "$never->because Measure it, or end the job as not in service, or as handed to a " .
                                    'licensed person.'
                                : 'Measure it or ask it again, or put it back as it was.'),
                    );
                $unread === [] ||
                    $closing->text('reason') !== '' ||
                    throw new EntryRefused(
                        'reason',
                        'Not measured: ' .
                            implode('; ', array_column($unread, 'title')) .
                            '. Measure it, or say why it is left out.',
                    );
            }
            $this->isLookedInto($locked, $outcome);
            self::showsAChange($locked, $closing, $outcome);
            $last = $locked->replacements()->reorder('sequence', 'desc')->first();
            if ($outcome === JobOutcome::Repaired && $last?->wasByElimination() === true) {
                throw new EntryRefused(
                    'outcome',
                    'The part was named because nothing else was left, not because a reading showed it: close it as ' .
                        'repaired, to be watched, with a day.',
                );
            }
            if ($outcome === JobOutcome::Repaired && $locked->intermittent && self::passes($locked) < self::PASSES) {
                throw new EntryRefused(
                    'outcome',
                    'It came and went: ' .
                        self::PASSES .
                        ' passes have to be right, each with what used to bring it on, or close it as repaired, to be ' .
                        'watched, with a day.',
                );
            }
            if (
                $outcome === JobOutcome::Repaired &&
                ($last?->temporary_until !== null ||
                    in_array(
                        'temporary',
                        [
                            $ledger->latest(EntryKind::Choice)?->text('kind'),
                            $ledger->latest(EntryKind::Choice)?->text('lasting'),
                        ],
                        true,
                    ))
            ) {
                throw new EntryRefused(
                    'outcome',
                    'It is only bridged: close it as temporary, with the day on which the part is due.',
                );
            }
            if ($outcome === JobOutcome::Adjusted && $ledger->latest(EntryKind::Adjusted) === null) {
                throw new EntryRefused('outcome', 'Note what was adjusted, from what to what, first.');
            }
            ($this->record)($user, $locked, $closing);
            if (
                $last !== null &&
                in_array($outcome, [JobOutcome::Repaired, JobOutcome::Watched, JobOutcome::Temporary], true)
            ) {
                ($this->record)(
                    $user,
                    $locked,
                    Entry::read(strtolower((string) Str::ulid()), EntryKind::Held, [
                        'replacement' => $last->id,
                        'held' => true,
                    ]),
                );
            }
            $due =
                $closing->text('dueOn') !== ''
                    ? $closing->text('dueOn')
                    : ($ledger->latest(EntryKind::Adjusted)?->text('undoOn') ?:
                    null);
            $locked->update([
                'stage' => JobStage::Closed,
                'closed_at' => now(),
                'outcome' => $outcome,
                'due_on' => $due,
            ]);
        });
    }

    /** @param list<array{title: string, always: bool, complained: bool}> $unread */
    private static function onlyComplained(array $unread): bool
    {
        return array_filter($unread, static fn(array $one): bool => $one['always'] && !$one['complained']) === [];
    }

    /** Water or another cause that the findings point to has to be looked into before a repair is called one. */
    private function isLookedInto(Job $job, JobOutcome $outcome): void
    {
        $before = $job->stillOpen()->beforeClosing();
        if ($before !== [] && in_array($outcome, [JobOutcome::Repaired, JobOutcome::ProvenGood], true)) {
            throw new EntryRefused(
                'outcome',
                'Not looked into yet: ' .
                    implode('; ', $before) .
                    '. Settle it under "Still open" with a name, or close the job as to be watched.',
            );
        }
    }

    /** A map that was right before as well proves nothing: somebody has to say how the complaint was seen to be gone. */
    private static function showsAChange(Job $job, Entry $closing, JobOutcome $outcome): void
    {
        $proves = !(new Complaint($job->circuit(), $job->caseFile()))->showedNothing();
        if ($outcome === JobOutcome::Repaired && !$job->intermittent && !$proves && $closing->text('reason') === '') {
            throw new EntryRefused(
                'reason',
                'Every position was right before as well, so the map proves nothing: say how you saw that the ' .
                    'complaint is gone.',
            );
        }
    }

    /** How often the map was taken since the last replacement, each position right. */
    public static function passes(Job $job): int
    {
        $wrong = $job
            ->readings()
            ->whereDoesntHave('strike')
            ->whereNotNull('speed_map_id')
            ->where('choice', '!=', SpeedState::Right->value)
            ->pluck('speed_map_id');

        return $job
            ->maps()
            ->where('kind', MapKind::After)
            ->where('episode', $job->replacements()->count())
            ->whereNotIn('id', $wrong)
            ->count();
    }

    /** Whether every position was right, the last time the map was taken since the last replacement. */
    public static function isProved(Job $job): bool
    {
        $episode = $job->replacements()->count();
        $map = $job
            ->maps()
            ->where('kind', MapKind::After)
            ->where('episode', $episode)
            ->reorder('taken_at', 'desc')
            ->first();
        if ($map === null) {
            return false;
        }
        $states = $job
            ->readings()
            ->with('strike')
            ->where('speed_map_id', $map->id)
            ->get()
            ->filter(static fn($reading): bool => $reading->strike === null);

        return $states->isNotEmpty() &&
            $states->every(static fn($reading): bool => $reading->choice === SpeedState::Right->value);
    }
}

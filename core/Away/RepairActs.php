<?php

declare(strict_types=1);

namespace Ispira\Core\Away;

use Ispira\Core\Acts\MapStates;
use Ispira\Core\Acts\NewPart;
use Ispira\Core\Acts\PlanAnswered;
use Ispira\Core\Acts\RemedyChosen;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Job\Ending;
use Ispira\Core\Job\FiledReading;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\JobState;
use Ispira\Core\Job\MapKind;
use Ispira\Core\Pages\JobProof;
use Ispira\Core\Pages\Workplace;
use Ispira\Core\Planning\PlannerRegistry;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\RefusedReading;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;
use Ispira\Core\Repair\Ledger\Ledger;
use Ispira\Core\Repair\Proof\CheckFinding;
use Ispira\Core\Repair\Proof\ProofChecks;
use Ispira\Core\Repair\Work\Acceptance;
use Ispira\Core\Repair\Work\JobOutcome;

/**
 * From the choice of a remedy to the closed job, away from the server.
 */
final readonly class RepairActs
{
    public function __construct(
        private Workplace $place,
        private BenchActs $bench,
        private RemedyChosen $remedy,
        private NewPart $part,
        private JobProof $proof,
        private PlannerRegistry $planners,
    ) {}

    /** @throws EntryRefused|ParameterError */
    public function apply(JobState $job, Done $done): Outcome
    {
        return match ($done->act) {
            'remedy' => $job->is(JobStage::Bench)
                ? $this->chosen($job, $done)
                : new Outcome($job, notice: 'This job has moved on: the remedy was chosen already.'),
            'fit' => new Outcome(
                self::noted(
                    $job,
                    Entry::read(
                        $done->id(),
                        EntryKind::Fit,
                        array_intersect_key($done->given, EntryKind::Fit->fields()),
                    ),
                    $done->at,
                ),
                'fit',
                'The comparison is on record.',
            ),
            'measured' => new Outcome(
                self::noted($job, $this->part->measured($job, $done->id(), $done->given), $done->at),
                'swap',
            ),
            'replacements' => $this->replaced($job, $done),
            'to-proof' => new Outcome(
                $job->is(JobStage::Bench) && $job->passes(JobStage::Proof) ? $job->inStage(JobStage::Proof) : $job,
                'proof',
            ),
            'proof' => $this->map($job, $done),
            'checks' => $this->check($job, $done),
            'close' => $this->close($job, $done),
            default => $this->entry($job, $done),
        };
    }

    /** @throws EntryRefused */
    private static function noted(JobState $job, Entry $entry, string $at): JobState
    {
        if ($job->is(JobStage::Closed) && !\in_array($entry->kind, Acceptance::AFTER_CLOSING, true)) {
            throw new EntryRefused('stage', 'This job is closed: nothing more is noted in it.');
        }
        (new Acceptance($job->ledger, $job->stillOpen()))->check($entry);

        return $job->with(
            ledger: Ledger::of([...$job->ledger->entries(), Entry::read($entry->id, $entry->kind, $entry->data, $at)]),
        );
    }

    private function chosen(JobState $job, Done $done): Outcome
    {
        $choice = $this->remedy->entry($job, $done->id(), $done->given);

        return new Outcome(self::noted($job, $choice, $done->at), 'fit', RemedyChosen::said($choice));
    }

    /** An answer of a planner, kept or taken down. */
    private function planned(JobState $job, Done $done, string $what, string $key): Outcome
    {
        $planner = $this->planners->find($key);
        $values = $done->given['values'] ?? [];
        if ($planner === null) {
            return Outcome::waits($job);
        }
        $answered = new PlanAnswered($planner, \is_array($values) ? $values : []);
        if ($what === 'plans') {
            return new Outcome(self::noted($job, $answered->entry($done->id()), $done->at), Outcome::STAY);
        }
        if (!$job->is(JobStage::Bench)) {
            return new Outcome($job, notice: 'This job is no longer on the bench: that was not recorded.');
        }
        $takes = $done->given['takes'] ?? [];
        foreach ($answered->readings($job->circuit, \is_array($takes) ? $takes : []) as $reading) {
            $job = $this->bench->record($job, $reading, $done->at);
        }

        return new Outcome($job, 'bench');
    }

    private function entry(JobState $job, Done $done): Outcome
    {
        [$what, $key] = explode('/', $done->act, 2) + ['', ''];
        if ($what === 'plans' || $what === 'worked') {
            return $this->planned($job, $done, $what, $key);
        }
        if ($done->act !== 'entries') {
            return Outcome::waits($job);
        }
        $kind = EntryKind::tryFrom($done->text('kind'));
        if ($kind === null || !\in_array($kind, EntryKind::PLAIN, true)) {
            throw new EntryRefused('kind', 'This cannot be noted like that. Reload the page.');
        }
        $data = $done->given['data'] ?? [];

        return new Outcome(
            self::noted($job, Entry::read($done->id(), $kind, \is_array($data) ? $data : []), $done->at),
            Outcome::STAY,
        );
    }

    private function replaced(JobState $job, Done $done): Outcome
    {
        if (!$job->is(JobStage::Bench)) {
            return new Outcome($job, notice: 'This job has moved on: the part was noted already.');
        }
        $parts = \is_array($done->given['parts'] ?? null) ? array_filter($done->given['parts'], \is_string(...)) : [];
        $replaced = $this->part->replaced($job, $done->text('id'), array_values($parts), $done->given, $done->at);

        return new Outcome(
            $job->with(replacements: [...$job->replacements, $replaced])->inStage(JobStage::Proof),
            'proof',
        );
    }

    private function map(JobState $job, Done $done): Outcome
    {
        if (!$job->is(JobStage::Proof)) {
            return new Outcome($job, notice: 'This job has moved on.');
        }
        $states = MapStates::read($done->given['states'] ?? null, $job->circuit, whole: true);
        $episode = \count($job->replacements);
        $readings = $job->readings;
        foreach ($states as $position => $state) {
            $readings[] = new FiledReading(
                new Reading("{$done->text('id')}-$position", "speed@$position", $state, episode: $episode),
                $done->text('id'),
                $done->at,
                null,
                null,
            );
        }
        $after = $job->with(
            readings: $readings,
            maps: [
                ...$job->maps,
                [
                    'id' => $done->text('id'),
                    'kind' => MapKind::After,
                    'notedFor' => $done->text('provokedBy') === '' ? null : $done->text('provokedBy'),
                    'episode' => $episode,
                ],
            ],
        );

        return array_unique(array_values($states)) === [SpeedState::Right->value]
            ? new Outcome($after)
            : new Outcome(
                self::reopened($after, $done, 'Not every position was right after it.'),
                notice: 'Not every position is right yet. The job is back on the bench with the new map as readings, and the verdict is marked as not having held.',
            );
    }

    private function check(JobState $job, Done $done): Outcome
    {
        if (!$job->is(JobStage::Proof)) {
            return new Outcome($job, notice: 'This job has moved on.');
        }
        $intake = Judged::intake($job->circuit, $this->place->units());
        try {
            $test = $intake->test($done->text('test'));
            $value = $intake->value($test, $done->given['value'] ?? '');
        } catch (RefusedReading $refused) {
            throw new EntryRefused($done->text('test'), $refused->getMessage());
        }
        $missing = ProofChecks::missing($test);
        $missing === null || throw new EntryRefused($test->key, $missing);
        $reading = new Reading($done->id(), $test->key, $value);
        $finding = $this->proof->of($job)->finding($job->case, $test, $reading);
        $hasBench = $job->passes(JobStage::Bench);
        $after = $this->bench->record($job, $reading, $done->at);

        $notice = $finding->said($hasBench);

        return $finding === CheckFinding::Wrong && $hasBench
            ? new Outcome(self::reopened($after, $done, 'A check after it was not right.'), notice: $notice)
            : new Outcome($after, notice: $notice);
    }

    private static function reopened(JobState $job, Done $done, string $because): JobState
    {
        $last = $job->lastReplaced();
        $job = $last === null ? $job : self::held($job, $done, ['held' => false, 'because' => $because]);

        return $job->inStage(JobStage::Bench);
    }

    /** @param array<string, mixed> $data */
    private static function held(JobState $job, Done $done, array $data): JobState
    {
        return self::noted(
            $job,
            Entry::read("{$done->id()}-held", EntryKind::Held, ['replacement' => $job->lastReplaced()?->id] + $data),
            $done->at,
        );
    }

    private function close(JobState $job, Done $done): Outcome
    {
        if ($job->is(JobStage::Circuit) || $job->is(JobStage::Closed)) {
            return new Outcome($job);
        }
        $unread = $this->proof->unread($job);
        $closing = Entry::read(
            $done->id(),
            EntryKind::Closed,
            ['leftOut' => $job->isProved() ? array_column($unread, 'title') : []] +
                array_intersect_key($done->given, array_flip(['outcome', 'reason', 'dueOn', 'who'])),
        );
        if ($closing->text('dueOn') !== '' && $closing->text('dueOn') <= $this->place->today()) {
            throw new EntryRefused('dueOn', 'Give a day after today.');
        }
        $ending = new Ending($job, $closing, $unread);
        $ending->check();
        $after = self::noted($job, $closing, $done->at);
        if ($after->lastReplaced() !== null && $ending->held()) {
            $after = self::held($after, $done, ['held' => true]);
        }
        $outcome = JobOutcome::from($closing->text('outcome'));

        return new Outcome(
            $after->with(head: $after->head->inStage(JobStage::Closed, $outcome, $ending->dueOn(), $done->at)),
            'proof',
        );
    }
}

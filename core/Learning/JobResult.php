<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Money;
use Ispira\Core\Job\JobKind;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\JobState;
use Ispira\Core\Job\Replaced;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Work\JobOutcome;

/**
 * What came of a job: whether the first thing that was replaced was the right one, and what it cost to find it.
 */
final readonly class JobResult
{
    /** Ends that say whether what was done was right. */
    private const SAID = [JobOutcome::Repaired, JobOutcome::Watched, JobOutcome::ProvenGood];

    /**
     * @param list<StatedVerdict> $verdicts in the order in which parts were replaced
     * @param bool|null  $rightFirst whether the first remedy held; null where the end of the job does not say
     * @param bool       $cameBack   whether it was opened again since the fault was back
     * @param float      $minutes    between its readings, without breaks
     * @param float      $avoidable  money for those minutes, for parts that did not hold, and for coming back
     * @param float|null $guessing   avoidable money that buying on the speed map would have taken on average
     */
    private function __construct(
        public ?ProvenJob $proven,
        public array $verdicts,
        public ?bool $rightFirst,
        public bool $cameBack,
        public float $minutes,
        public float $avoidable,
        public ?float $guessing,
    ) {}

    /** Null where a job says nothing yet, or is make-believe. */
    public static function of(JobState $job, DecisionSettings $settings, WorkingHours $hours): ?self
    {
        if (
            $job->practice !== null ||
            $job->head->outcome === JobOutcome::Cancelled ||
            (!$job->is(JobStage::Closed) && $job->replacements === [])
        ) {
            return null;
        }
        $verdicts = array_map(
            static fn(Replaced $one): StatedVerdict => new StatedVerdict(
                $one->remedy,
                $one->stated(),
                $job->held($one->id),
            ),
            $job->replacements,
        );
        $vain = array_filter($verdicts, static fn(StatedVerdict $one): bool => $one->held === false);
        $cameBack =
            array_filter(
                $job->ledger->all(EntryKind::Reopened),
                static fn(Entry $one): bool => $one->flag('cameBack'),
            ) !== [];
        $minutes = self::minutes($job, $hours);
        $money = new Money($job->circuit, $settings);
        $avoidable = $settings->labour($minutes);
        foreach ($vain as $one) {
            $avoidable += $money->ofRemedy($one->remedy) + $settings->comeBack();
        }
        $first = $job->replacements[0] ?? null;

        return new self(
            ProvenJob::from($job),
            $verdicts,
            $job->head->kind === JobKind::Fault && \in_array($job->head->outcome, self::SAID, true)
                ? $vain === []
                : null,
            $cameBack,
            $minutes,
            $avoidable,
            $first?->then() === null ? null : $first->then()->guessing,
        );
    }

    /** Whether something was replaced that did not hold. */
    public function isInVain(): bool
    {
        return array_filter($this->verdicts, static fn(StatedVerdict $one): bool => $one->held === false) !== [];
    }

    private static function minutes(JobState $job, WorkingHours $hours): float
    {
        return array_sum(
            array_map(static fn(Taken $one): float => $one->minutes, Taken::on($job->circuit, $job->readings, $hours)),
        );
    }
}

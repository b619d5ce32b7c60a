<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Job\JobState;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Pages\Shown\CheckShown;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Proof\ProofCheck;
use Ispira\Core\Repair\Proof\ProofChecks;

/**
 * What a repair is proved by beside the speed map, as the page shows it.
 */
final readonly class JobProof
{
    public function __construct(private JobDiagnosis $diagnosis, private Workplace $place) {}

    /** @return list<ProofCheck> */
    public function checks(JobState $job): array
    {
        $changed = array_map(static fn(Entry $one): string => $one->text('of'), $job->ledger->all(EntryKind::Adjusted));

        $chosen = $job->ledger->latest(EntryKind::Choice)?->text('option') ?? '';

        return $this->of($job)->of($job->case, $changed, $job->repairSheet->option($chosen)->proves ?? []);
    }

    /**
     * Checks that were not read since the last replacement, and those that are always due and are not right.
     *
     * @return list<array{title: string, always: bool, complained: bool}>
     */
    public function unread(JobState $job): array
    {
        $words = new Words($job->circuit);

        return array_values(
            array_map(
                static fn(ProofCheck $one): array => [
                    'title' => $words->test($one->test),
                    'always' => $one->isNeverLeftOut(),
                    'complained' => $one->complained,
                ],
                array_filter($this->checks($job), static fn(ProofCheck $one): bool => $one->isOpen()),
            ),
        );
    }

    /** @return list<CheckShown> */
    public function shown(JobState $job): array
    {
        $words = new Words($job->circuit, $this->place->units());

        return array_map(
            static fn(ProofCheck $one): CheckShown => new CheckShown(
                test: $one->test->key,
                title: $words->test($one->test),
                setUp: $words->setUp($one->test),
                unit: $words->unit($one->test->probe->quantity)->symbol,
                choices: array_map(
                    static fn(string $value): Choice => new Choice(
                        value: $value,
                        label: $words->choice($one->test, $value),
                    ),
                    Judged::answers($job->circuit, $one->test),
                ),
                cautions: $words->cautions($one->test),
                expected: $one->expected,
                read: $one->read,
                right: $one->isRight(),
                always: $one->isNeverLeftOut(),
                complained: $one->complained,
            ),
            $this->checks($job),
        );
    }

    public function of(JobState $job): ProofChecks
    {
        return new ProofChecks(
            $job->circuit,
            $job->repairSheet,
            $this->diagnosis->evidence($job),
            $this->place->units(),
        );
    }
}

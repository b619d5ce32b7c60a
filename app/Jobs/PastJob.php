<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Job;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Pages\JobShown;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * An earlier job of a unit.
 */
final readonly class PastJob
{
    /**
     * @param list<string> $found
     * @param list<string> $replaced
     */
    public function __construct(
        public string $number,
        public string $complaint,
        public JobStage $stage,
        public string $openedAt,
        public array $found,
        public array $replaced,
    ) {}

    public static function of(Job $job): self
    {
        return new self(
            number: JobView::number($job),
            complaint: $job->complaint,
            stage: $job->stage,
            openedAt: $job->created_at->toIso8601String(),
            found: array_map(
                static fn(Entry $found): string => $found->text('what') . ', ' . $found->text('condition'),
                $job->ledger()->all(EntryKind::Found),
            ),
            replaced: $job->replacements->isEmpty()
                ? []
                : array_column(JobShown::replaced($job->circuit(), JobStates::replaced($job)), 'label'),
        );
    }
}

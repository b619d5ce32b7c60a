<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Job;
use App\Models\User;
use App\Repair\RecordEntry;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;

/**
 * Opens a closed job again: only so can anything of it be changed. Where the fault came back, the verdict did not hold.
 */
final readonly class ReopenJob
{
    public function __construct(private RecordEntry $record) {}

    /** @throws EntryRefused */
    public function __invoke(User $user, Job $job, string $id, bool $cameBack, string $reason): void
    {
        DB::transaction(function () use ($user, $job, $id, $cameBack, $reason): void {
            $locked = $job->locked();
            if ($locked->entries()->where('id', $id)->exists()) {
                return;
            }
            $locked->stage === JobStage::Closed ||
                throw new EntryRefused('stage', 'This job is open already: another window may have opened it.');
            $flow = $locked->kind->flow();
            $toBench = $cameBack && in_array(JobStage::Bench, $flow, true);
            $locked->update([
                'stage' => $toBench ? JobStage::Bench : $flow[count($flow) - 2],
                'closed_at' => null,
                'outcome' => null,
                'due_on' => null,
            ]);
            $last = $locked->replacements()->reorder('sequence', 'desc')->first();
            if ($cameBack && $last !== null) {
                ($this->record)(
                    $user,
                    $locked,
                    Entry::read(strtolower((string) Str::ulid()), EntryKind::Held, [
                        'replacement' => $last->id,
                        'held' => false,
                        'because' => $reason,
                    ]),
                );
            }
            ($this->record)(
                $user,
                $locked,
                Entry::read($id, EntryKind::Reopened, ['cameBack' => $cameBack, 'reason' => $reason]),
            );
        });
    }
}

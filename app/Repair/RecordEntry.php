<?php

declare(strict_types=1);

namespace App\Repair;

use App\Http\EnteredAt;
use App\Models\Job;
use App\Models\RepairEntry;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryRefused;
use Ispira\Core\Repair\Work\Acceptance;

/**
 * Notes something of a repair, where it goes together with what stands there. The same id sent again is the same entry.
 */
final readonly class RecordEntry
{
    public function __construct(private EnteredAt $entered) {}

    /** @throws EntryRefused */
    public function __invoke(User $user, Job $job, Entry $entry): RepairEntry
    {
        return DB::transaction(function () use ($user, $job, $entry): RepairEntry {
            $locked = $job->locked();
            $existing = RepairEntry::query()->where('id', $entry->id)->first();
            if ($existing instanceof RepairEntry) {
                return $existing->job_id === $job->id
                    ? $existing
                    : throw new EntryRefused('id', 'This was not taken. Reload the page and note it again.');
            }
            if ($locked->stage === JobStage::Closed && !in_array($entry->kind, Acceptance::AFTER_CLOSING, true)) {
                throw new EntryRefused('stage', 'This job is closed: nothing more is noted in it.');
            }
            (new Acceptance($locked->ledger(), $locked->stillOpen()))->check($entry);
            $stored = RepairEntry::query()->create([
                'id' => $entry->id,
                'job_id' => $job->id,
                'user_id' => $user->id,
                'kind' => $entry->kind,
                'data' => $entry->data,
                'noted_at' => $this->entered->moment(),
            ]);
            $locked->recountOpen();

            return $stored;
        });
    }
}

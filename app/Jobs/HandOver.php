<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Job;
use App\Models\User;
use App\Repair\RecordEntry;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;

/**
 * Makes a job somebody else's, with a sentence on how it stands.
 */
final readonly class HandOver
{
    public function __construct(private RecordEntry $record) {}

    /** @throws EntryRefused */
    public function __invoke(User $user, Job $job, string $id, User $to, string $note): void
    {
        DB::transaction(function () use ($user, $job, $id, $to, $note): void {
            $locked = $job->locked();
            if ($locked->entries()->where('id', $id)->exists()) {
                return;
            }
            if ($locked->owner_id === $to->id) {
                throw new EntryRefused('to', "It is a job of $to->name already.");
            }
            ($this->record)(
                $user,
                $locked,
                Entry::read($id, EntryKind::HandedOver, [
                    'from' => $locked->owner->name ?? '',
                    'to' => $to->name,
                    'note' => $note,
                ]),
            );
            $locked->refresh()->update(['owner_id' => $to->id]);
        });
    }
}

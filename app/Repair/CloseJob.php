<?php

declare(strict_types=1);

namespace App\Repair;

use App\Http\EnteredAt;
use App\Jobs\JobStates;
use App\Models\Job;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Ispira\Core\Job\Ending;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;
use Ispira\Core\Repair\Work\JobOutcome;

/**
 * Ends a job, when everything that this end asks for is there.
 */
final readonly class CloseJob
{
    public function __construct(private RecordEntry $record, private EnteredAt $entered) {}

    /**
     * @param list<array{title: string, always: bool, complained: bool}> $unread checks of the repair that were not read
     *
     * @throws EntryRefused
     */
    public function __invoke(User $user, Job $job, Entry $closing, array $unread): void
    {
        DB::transaction(function () use ($user, $job, $closing, $unread): void {
            $locked = $job->locked();
            if ($locked->stage === JobStage::Closed) {
                return;
            }
            $state = JobStates::of($locked);
            $ending = new Ending($state, $closing, $unread);
            $ending->check();
            ($this->record)($user, $locked, $closing);
            $last = $state->lastReplaced();
            if ($last !== null && $ending->held()) {
                ($this->record)(
                    $user,
                    $locked,
                    Entry::read(strtolower((string) Str::ulid()), EntryKind::Held, [
                        'replacement' => $last->id,
                        'held' => true,
                    ]),
                );
            }
            $locked->refresh()->update([
                'stage' => JobStage::Closed,
                'closed_at' => $this->entered->moment(),
                'outcome' => JobOutcome::from($closing->text('outcome')),
                'due_on' => $ending->dueOn(),
            ]);
        });
    }
}

<?php

declare(strict_types=1);

namespace App\People;

use App\Jobs\JobTerms;
use App\Models\AuditEntry;
use App\Models\Job;
use App\Models\RepairEntry;
use App\Models\User;
use App\Models\Workshop;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/**
 * Takes the name and the address of somebody who has left out of everything. What that person noted stays, as noted by
 * "Former person 3": records of work are not changed, only who is named in them.
 */
final readonly class ErasePerson
{
    /** Fields of entries in which a person is named. */
    private const NAMED = ['from', 'to', 'who'];

    /** Tables whose rows may carry a name that came with a file. */
    private const AUTHORS = ['readings', 'repair_entries', 'replacements', 'photos'];

    public function __invoke(User $lead, int $person): string
    {
        return DB::transaction(static function () use ($lead, $person): string {
            $workshop = Workshop::query()->whereKey($lead->workshop_id)->lockForUpdate()->firstOrFail();
            $one = $workshop->users()->findOrFail($person);
            if ($one->disabled_at === null) {
                throw ValidationException::withMessages(['person' => 'Disable the account first.']);
            }
            $old = $one->name;
            $new = "Former person $one->id";
            if ($old === $new) {
                return $new;
            }
            $one->update([
                'name' => $new,
                'email' => "former-$one->id@invalid.example",
                'password' => Str::random(64),
            ]);
            self::inEntries($workshop, $old, $new);
            foreach (self::AUTHORS as $table) {
                DB::table($table)
                    ->whereIn('job_id', $workshop->jobs()->select('id'))
                    ->where('author', $old)
                    ->update(['author' => $new]);
            }
            $workshop
                ->audit()
                ->where('about', $old)
                ->update(['about' => $new]);
            $workshop
                ->invitations()
                ->where('name', $old)
                ->update(['name' => $new, 'email' => $one->email]);
            $workshop
                ->jobs()
                ->where(static fn($jobs) => $jobs->where('owner_id', $one->id)->orWhere('user_id', $one->id))
                ->lazyById(200)
                ->each(static fn(Job $job) => JobTerms::note($job));
            AuditEntry::note($lead, AuditAct::PersonErased, $new);

            return $new;
        });
    }

    private static function inEntries(Workshop $workshop, string $old, string $new): void
    {
        RepairEntry::query()
            ->whereIn('job_id', $workshop->jobs()->select('id'))
            ->where('data', 'like', '%' . addcslashes(trim((string) json_encode($old), '"'), '%_\\') . '%')
            ->lazyById(200, 'sequence')
            ->each(static function (RepairEntry $entry) use ($old, $new): void {
                $data = $entry->data;
                foreach (self::NAMED as $field) {
                    if (($data[$field] ?? null) === $old) {
                        $data[$field] = $new;
                    }
                }
                $entry->update(['data' => $data]);
            });
    }
}

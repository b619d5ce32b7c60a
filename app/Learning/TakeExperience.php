<?php

declare(strict_types=1);

namespace App\Learning;

use App\Models\AuditEntry;
use App\Models\TakenExperience;
use App\Models\User;
use App\Models\Workshop;
use App\People\AuditAct;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Learning\CountedFault;
use Ispira\Core\Learning\Experience;

/**
 * Counts the experience of another workshop in; what it gave before is replaced, or it would count twice.
 */
final readonly class TakeExperience
{
    public function __invoke(User $lead, Experience $given, float $weight): TakenExperience
    {
        return DB::transaction(static function () use ($lead, $given, $weight): TakenExperience {
            Workshop::query()->whereKey($lead->workshop_id)->lockForUpdate()->firstOrFail();
            $lead->workshop->experiences()->where('name', $given->name)->delete();
            $taken = TakenExperience::query()->create([
                'workshop_id' => $lead->workshop_id,
                'user_id' => $lead->id,
                'name' => $given->name,
                'made_on' => $given->madeOn,
                'weight' => $weight,
                'jobs' => $given->jobs(),
            ]);
            $rows = array_map(
                static fn(CountedFault $one): array => [
                    'experience_id' => $taken->id,
                    'family' => $one->family,
                    'model' => $one->model,
                    'remedy' => $one->remedy,
                    'fault' => $one->fault,
                    'jobs' => $one->jobs,
                ],
                $given->counts,
            );
            foreach (array_chunk($rows, 1000) as $some) {
                DB::table('experience_faults')->insert($some);
            }
            AuditEntry::note($lead, AuditAct::ExperienceTaken, $given->name, "weight $weight");

            return $taken;
        });
    }

    public function remove(User $lead, string $id): void
    {
        DB::transaction(static function () use ($lead, $id): void {
            $taken = $lead->workshop->experiences()->whereKey($id)->lockForUpdate()->firstOrFail();
            $taken->delete();
            AuditEntry::note($lead, AuditAct::ExperienceRemoved, $taken->name);
        });
    }
}
